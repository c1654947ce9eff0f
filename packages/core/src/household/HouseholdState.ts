import { codeKey, codeShape, type CodesInUse } from '../base';
import type { LedgerEvent } from './ledger';
import type { RowReader } from './applyCommand';
import {
  entityKinds,
  hasCode,
  isEntityKind,
  parentsOf,
  type AnyRow,
  type BinRow,
  type ClearOutRow,
  type EntityKind,
  type LotRow,
  type Nook,
  type PlanRow,
  type RowOf,
  type ShelfRow,
  type SpaceRow,
  type TaggedRow,
  type VerdictRow,
} from './registry';

/** Something that is kept up with the rows: told of each row that comes, changes or goes. */
export interface RowView {
  /** Either may be missing: a row that is new, or one that is forgotten. */
  changed(entity: EntityKind, before: AnyRow | undefined, after: AnyRow | undefined): void;
}

interface Children {
  living: Map<string, EntityKind>;
  /** Most parents have none. */
  retired: Map<string, EntityKind> | null;
}

/**
 * A household's current rows with the look-ups the screens and rules need, kept up row by row: putting one row costs
 * the same in a home of ten things and of ten thousand.
 */
export class HouseholdState implements RowReader {
  private readonly tables = new Map<EntityKind, Map<string, AnyRow>>();
  /** The rows of each kind that are not retired, in the order they became known. */
  private readonly living = new Map<EntityKind, Map<string, AnyRow>>();
  private readonly contents = new Map<string, Children>();
  private readonly views = new Map<unknown, RowView>();
  private readonly codes = new Map<string, string>();
  /** Of every code ever given out, by how it reads: the nooks that have it and whether they are living. */
  private readonly shapes = new Map<string, Map<string, { code: string; living: boolean }>>();
  readonly knowsRetired: boolean;
  /** Set by a device that keeps what it did to a lot. */
  ledgerOf?: RowReader['ledgerOf'];

  /** @param options.knowsRetired true when every row there ever was is put in, as on the server and in tests of rules */
  constructor(options: { knowsRetired?: boolean } = {}) {
    this.knowsRetired = options.knowsRetired ?? false;
    for (const kind of entityKinds()) {
      this.tables.set(kind, new Map());
      this.living.set(kind, new Map());
    }
  }

  /**
   * A view over these rows that is kept up from now on; made when it is first asked for.
   * @param make gets the state, and reads what is there already
   */
  view<V extends RowView>(make: new (state: HouseholdState) => V): V {
    const known = this.views.get(make);
    if (known) return known as V;
    const view = new make(this);
    this.views.set(make, view);
    return view;
  }

  /** Adds a row or replaces the one with its id. A row of a kind that this version does not know is passed over. */
  put(tagged: TaggedRow): void {
    const { entity, row } = tagged;
    if (!isEntityKind(entity)) return;
    const before = this.table(entity).get(row.id);
    this.unlink(entity, row.id);
    this.table(entity).set(row.id, row);
    if (row.retired) this.living.get(entity)!.delete(row.id);
    else this.living.get(entity)!.set(row.id, row);
    for (const parent of parentsOf(tagged)) {
      let children = this.contents.get(parent);
      if (!children) this.contents.set(parent, (children = { living: new Map(), retired: null }));
      if (row.retired) (children.retired ??= new Map()).set(row.id, entity);
      else children.living.set(row.id, entity);
    }
    this.noteCode(entity, row);
    for (const view of this.views.values()) view.changed(entity, before, row);
  }

  private noteCode(entity: EntityKind, row: AnyRow): void {
    const code = codeOf(entity, row);
    if (code === null) return;
    const alike = this.shapes.get(codeShape(code));
    const entry = { code, living: !row.retired };
    if (alike) alike.set(row.id, entry);
    else this.shapes.set(codeShape(code), new Map([[row.id, entry]]));
    if (!row.retired) this.codes.set(codeKey(code), row.id);
  }

  /** Takes a row out altogether (not the same as a retired row, which stays as a tombstone). */
  forget(entity: EntityKind, id: string): void {
    const before = this.table(entity).get(id);
    this.unlink(entity, id);
    this.table(entity).delete(id);
    this.living.get(entity)!.delete(id);
    if (before) for (const view of this.views.values()) view.changed(entity, before, undefined);
  }

  private table(entity: EntityKind): Map<string, AnyRow> {
    return this.tables.get(entity)!;
  }

  private unlink(entity: EntityKind, id: string): void {
    const row = this.table(entity).get(id);
    if (!row) return;
    for (const parent of parentsOf({ entity, row } as TaggedRow)) {
      const children = this.contents.get(parent);
      children?.living.delete(id);
      children?.retired?.delete(id);
    }
    const code = codeOf(entity, row);
    if (code === null) return;
    const shape = codeShape(code);
    const alike = this.shapes.get(shape);
    alike?.delete(id);
    if (alike?.size === 0) this.shapes.delete(shape);
    if (this.codes.get(codeKey(code)) === id) this.codes.delete(codeKey(code));
  }

  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined {
    return this.tables.get(entity)?.get(id) as RowOf[K] | undefined;
  }

  kindOf(id: string): EntityKind | undefined {
    for (const [kind, rows] of this.tables) if (rows.has(id)) return kind;
    return undefined;
  }

  single(entity: EntityKind): AnyRow | undefined {
    return this.table(entity).values().next().value;
  }

  /** The current rows know no history; the server's reader does. */
  event(_id: string): LedgerEvent | null | undefined {
    return undefined;
  }

  wasApplied(_commandId: string): boolean | undefined {
    return undefined;
  }

  /** Every row of a kind that is not retired, in the order they became known. */
  all<K extends EntityKind>(entity: K): RowOf[K][] {
    return [...this.living.get(entity)!.values()] as RowOf[K][];
  }

  /** Whether there is a living row of a kind. */
  has(entity: EntityKind): boolean {
    return this.living.get(entity)!.size > 0;
  }

  contentsOf(id: string): TaggedRow[] {
    const found: TaggedRow[] = [];
    const children = this.contents.get(id);
    for (const of of [children?.living, children?.retired])
      for (const [childId, entity] of of ?? []) {
        const row = this.table(entity).get(childId);
        if (row) found.push({ entity, row } as TaggedRow);
      }
    return found;
  }

  nookIdByCodeKey(key: string): string | undefined {
    return this.codes.get(key);
  }

  nooksByCodeShape(shape: string): { id: string; code: string }[] {
    return [...(this.shapes.get(shape) ?? [])].flatMap(([id, { code, living }]) => (living ? [{ id, code }] : []));
  }

  codesInUse(): CodesInUse {
    return { shapes: new Set(this.shapes.keys()) };
  }

  /** The labelled place with this id, retired or not. */
  nook(id: string): Nook | undefined {
    const bin = this.get('bin', id);
    if (bin) return { kind: 'bin', row: bin };
    const shelf = this.get('shelf', id);
    if (shelf) return { kind: 'shelf', row: shelf };
    const space = this.get('space', id);
    return space && { kind: 'space', row: space };
  }

  spacesIn(roomId: string): SpaceRow[] {
    return this.childRows<SpaceRow>(roomId, 'space').sort(bySort);
  }

  /** From the top of the drawing down. */
  shelvesOf(spaceId: string): ShelfRow[] {
    return this.childRows<ShelfRow>(spaceId, 'shelf').sort(bySort);
  }

  /** Bins standing directly on a shelf (or, given a bin, directly in it), from left to right. */
  binsIn(parentId: string): BinRow[] {
    return this.childRows<BinRow>(parentId, 'bin').sort(bySort);
  }

  /** Lots directly in a nook; used-up ones are left out, ones to be counted are not. */
  lotsIn(nookId: string): LotRow[] {
    return this.childRows<LotRow>(nookId, 'lot').filter(isPresent);
  }

  lotsOf(itemId: string): LotRow[] {
    return this.childRows<LotRow>(itemId, 'lot').filter(isPresent);
  }

  plansOf(spaceId: string): PlanRow[] {
    return this.childRows<PlanRow>(spaceId, 'plan').sort(bySort);
  }

  /** Clear-outs of this space, the newest first. */
  clearOutsOf(spaceId: string): ClearOutRow[] {
    return this.childRows<ClearOutRow>(spaceId, 'clear_out').sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1));
  }

  verdictsOf(clearOutId: string): VerdictRow[] {
    return this.childRows<VerdictRow>(clearOutId, 'verdict');
  }

  private childRows<R extends AnyRow>(parentId: string, kind: EntityKind): R[] {
    const rows: R[] = [];
    for (const [childId, entity] of this.contents.get(parentId)?.living ?? []) {
      if (entity === kind) rows.push(this.table(entity).get(childId) as unknown as R);
    }
    return rows;
  }
}

const isPresent = (lot: LotRow): boolean => lot.quantityThousandths > 0 || lot.pleaseCount;
const bySort = (a: { sort: number; id: string }, b: { sort: number; id: string }): number =>
  a.sort - b.sort || (a.id < b.id ? -1 : 1);

const codeOf = (entity: EntityKind, row: AnyRow): string | null =>
  hasCode(entity) ? (row as unknown as { code: string }).code : null;
