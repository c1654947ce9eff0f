import { codeKey, codeShape, type CodesInUse } from '../spaces/nookCode';
import type { RowReader } from './applyCommand';
import {
  ENTITY_KINDS,
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
} from './entities';

type Tables = { [K in EntityKind]: Map<string, RowOf[K]> };

/**
 * A household's current rows with the look-ups the screens and rules need, kept up row by row: putting one row costs
 * the same in a home of ten things and of ten thousand.
 */
export class HouseholdState implements RowReader {
  private readonly tables = Object.fromEntries(ENTITY_KINDS.map((kind) => [kind, new Map()])) as unknown as Tables;
  private readonly contents = new Map<string, Map<string, EntityKind>>();
  private readonly codes = new Map<string, string>();
  private readonly shapeCount = new Map<string, number>();

  /** Adds a row or replaces the one with its id. */
  put({ entity, row }: TaggedRow): void {
    this.unlink(entity, row.id);
    (this.tables[entity] as Map<string, AnyRow>).set(row.id, row);
    for (const parent of parentIds(entity, row)) {
      const children = this.contents.get(parent);
      if (children) children.set(row.id, entity);
      else this.contents.set(parent, new Map([[row.id, entity]]));
    }
    const code = codeOf(entity, row);
    if (code === null) return;
    const shape = codeShape(code);
    this.shapeCount.set(shape, (this.shapeCount.get(shape) ?? 0) + 1);
    if (!row.retired) this.codes.set(codeKey(code), row.id);
  }

  /** Takes a row out altogether (not the same as a retired row, which stays as a tombstone). */
  forget(entity: EntityKind, id: string): void {
    this.unlink(entity, id);
    this.tables[entity].delete(id);
  }

  private unlink(entity: EntityKind, id: string): void {
    const row = this.tables[entity].get(id);
    if (!row) return;
    for (const parent of parentIds(entity, row)) this.contents.get(parent)?.delete(id);
    const code = codeOf(entity, row);
    if (code === null) return;
    const shape = codeShape(code);
    const left = (this.shapeCount.get(shape) ?? 1) - 1;
    if (left === 0) this.shapeCount.delete(shape);
    else this.shapeCount.set(shape, left);
    if (this.codes.get(codeKey(code)) === id) this.codes.delete(codeKey(code));
  }

  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined {
    return this.tables[entity].get(id);
  }

  /** Every row of a kind that is not retired, in the order they became known. */
  all<K extends EntityKind>(entity: K): RowOf[K][] {
    return [...this.tables[entity].values()].filter((row) => !row.retired);
  }

  contentsOf(id: string): TaggedRow[] {
    const found: TaggedRow[] = [];
    for (const [childId, entity] of this.contents.get(id) ?? []) {
      const row = this.tables[entity].get(childId);
      if (row) found.push({ entity, row } as TaggedRow);
    }
    return found;
  }

  nookIdByCodeKey(key: string): string | undefined {
    return this.codes.get(key);
  }

  codesInUse(): CodesInUse {
    return { shapes: new Set(this.shapeCount.keys()) };
  }

  /** The labelled place with this id, retired or not. */
  nook(id: string): Nook | undefined {
    const bin = this.tables.bin.get(id);
    if (bin) return { kind: 'bin', row: bin };
    const shelf = this.tables.shelf.get(id);
    if (shelf) return { kind: 'shelf', row: shelf };
    const space = this.tables.space.get(id);
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

  /** Rounds of emptying this space, the newest first. */
  clearOutsOf(spaceId: string): ClearOutRow[] {
    return this.childRows<ClearOutRow>(spaceId, 'clear_out').sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1));
  }

  verdictsOf(clearOutId: string): VerdictRow[] {
    return this.childRows<VerdictRow>(clearOutId, 'verdict');
  }

  private childRows<R extends AnyRow>(parentId: string, kind: EntityKind): R[] {
    const rows: R[] = [];
    for (const [childId, entity] of this.contents.get(parentId) ?? []) {
      if (entity !== kind) continue;
      const row = this.tables[entity].get(childId);
      if (row && !row.retired) rows.push(row as unknown as R);
    }
    return rows;
  }
}

const isPresent = (lot: LotRow): boolean => lot.quantityThousandths > 0 || lot.pleaseCount;
const bySort = (a: { sort: number; id: string }, b: { sort: number; id: string }): number =>
  a.sort - b.sort || (a.id < b.id ? -1 : 1);

function parentIds(entity: EntityKind, row: AnyRow): string[] {
  if (entity === 'space') return [(row as SpaceRow).roomId];
  if (entity === 'shelf') return [(row as ShelfRow).spaceId];
  if (entity === 'bin') return [(row as BinRow).parentBinId ?? (row as BinRow).shelfId];
  if (entity === 'lot') return [(row as LotRow).nookId, (row as LotRow).itemId];
  if (entity === 'plan') return [(row as PlanRow).spaceId];
  if (entity === 'clear_out') return [(row as ClearOutRow).spaceId];
  if (entity === 'verdict') return [(row as VerdictRow).clearOutId];
  return [];
}

function codeOf(entity: EntityKind, row: AnyRow): string | null {
  return entity === 'space' || entity === 'shelf' || entity === 'bin' ? (row as SpaceRow).code : null;
}
