import { codeKey, codeShape, MOST_ROWS_PER_COMMAND } from '../base';
import { continueLedger, type LedgerEvent } from './ledger';
import type { LotHistory } from './LotJournal';
import type { Command, Op, Refusal } from './command';
import { rulesOf } from './entityRules';
import { mayWrite, type Actor } from '../definition';
import { Refused, refuse } from './refuse';
import { continueUse, useIdOf } from './useRows';
import {
  definitionOf,
  hasCode,
  NOOK_KINDS,
  parentsOf,
  refFieldsOf,
  referencesOf,
  type AnyRow,
  type EntityKind,
  type LotBalance,
  type Nook,
  type RowOf,
  type TaggedRow,
} from './registry';

/** What the rules need to look up. The device answers from memory, the server from what it read beforehand. */
export interface RowReader {
  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined;
  /** The kind of the row with this id, among those this reader has. */
  kindOf(id: string): EntityKind | undefined;
  /** Every row listed under this one; retired ones may be among them. */
  contentsOf(id: string): TaggedRow[];
  /** The living nooks whose codes read like this one (`codeShape`). */
  nooksByCodeShape(shape: string): { id: string; code: string }[];
  /** The row of a kind there is only one of. */
  single(entity: EntityKind): AnyRow | undefined;
  /** False for a device: it does not get what was retired before it came. */
  readonly knowsRetired: boolean;
  /** A ledger event; null: there is none; undefined: this reader has no history to look in. */
  event(id: string): LedgerEvent | null | undefined;
  /** What happened to a lot since a balance that is known; not there: only its row is known. */
  ledgerOf?(lotId: string): LotHistory | undefined;
  /** Whether a command was applied; undefined: this reader cannot say. */
  wasApplied(commandId: string): boolean | undefined;
}

export type Applied = { ok: true; changed: TaggedRow[] } | { ok: false; refusal: Refusal };

/** A reader with the command's own changes on top. */
export class Working {
  readonly rows = new Map<string, TaggedRow>();
  readonly events = new Map<string, LedgerEvent>();
  constructor(
    readonly reader: RowReader,
    private readonly seq: number,
  ) {}

  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined {
    const touched = this.rows.get(id);
    if (touched) return touched.entity === entity ? (touched.row as RowOf[K]) : undefined;
    return this.reader.get(entity, id);
  }

  need<K extends EntityKind>(entity: K, id: string): RowOf[K] {
    return this.get(entity, id) ?? refuse({ kind: 'unknown_id', entity, id });
  }

  nook(id: string): Nook | undefined {
    for (const kind of NOOK_KINDS) {
      const row = this.get(kind, id);
      if (row) return { kind, row } as Nook;
    }
    return undefined;
  }

  kindOf(id: string): EntityKind | undefined {
    return this.rows.get(id)?.entity ?? this.reader.kindOf(id);
  }

  put(entity: EntityKind, row: AnyRow): void {
    this.rows.set(row.id, { entity, row: { ...row, seq: this.seq } } as TaggedRow);
  }

  contentsOf(id: string): TaggedRow[] {
    const found = new Map<string, TaggedRow>();
    for (const known of this.reader.contentsOf(id)) found.set(known.row.id, this.rows.get(known.row.id) ?? known);
    for (const touched of this.rows.values()) found.set(touched.row.id, touched);
    return [...found.values()].filter((tagged) => !tagged.row.retired && parentsOf(tagged).includes(id));
  }

  living(entity: EntityKind, id: string): boolean {
    const row = this.get(entity, id);
    return row !== undefined && !row.retired;
  }

  /** Another living nook whose code reads like this one. */
  codeRival(code: string, id: string): { id: string; code: string } | undefined {
    const shape = codeShape(code);
    for (const { entity, row } of this.rows.values()) {
      if (row.id === id || row.retired || !hasCode(entity)) continue;
      const other = (row as { code: string } & AnyRow).code;
      if (codeShape(other) === shape) return { id: row.id, code: other };
    }
    return this.reader.nooksByCodeShape(shape).find((other) => other.id !== id && !this.rows.has(other.id));
  }
}

function checkReferences(work: Working, entity: EntityKind, row: AnyRow, fields: object): void {
  for (const { to, hold, id } of referencesOf(entity, fields)) {
    if (hold === 'known' && !work.reader.knowsRetired) continue;
    const kinds = to as readonly EntityKind[];
    const there = kinds.some((kind) => (hold === 'known' ? work.get(kind, id) !== undefined : work.living(kind, id)));
    if (!there) refuse({ kind: 'parent_missing', entity, id: row.id, parentId: id });
  }
}

function checkCode(work: Working, entity: EntityKind, row: AnyRow): void {
  if (!hasCode(entity)) return;
  const { code } = row as unknown as { code: string };
  const rival = work.codeRival(code, row.id);
  if (!rival) return;
  const same = codeKey(rival.code) === codeKey(code);
  refuse(
    same ? { kind: 'code_taken', code, id: row.id } : { kind: 'code_reads_alike', code, other: rival.code, id: row.id },
  );
}

const sitsWithin = ({ entity, row }: TaggedRow, id: string): boolean =>
  refFieldsOf(entity).some(
    ({ key, field }) => field.hold === 'within' && (row as unknown as Record<string, unknown>)[key] === id,
  );
const occupies = ({ entity, row }: TaggedRow): boolean => definitionOf(entity).occupies?.(row as never) ?? true;

function checkMayRetire(work: Working, entity: EntityKind, row: AnyRow): void {
  const { retire, occupies: holdsStock } = definitionOf(entity);
  if (retire === 'freely') return;
  const { id } = row;
  if (retire === 'never') refuse({ kind: 'never_retired', entity, id });
  if (holdsStock?.(row as never)) refuse({ kind: 'holds_stock', entity, id, lots: 1, nooks: 0 });
  const inside = work.contentsOf(id).filter((tagged) => sitsWithin(tagged, id) && occupies(tagged));
  const lots = inside.filter((tagged) => tagged.entity === 'lot').length;
  if (inside.length > 0) refuse({ kind: 'holds_stock', entity, id, lots, nooks: inside.length - lots });
}

function applyEvent(work: Working, event: LedgerEvent): void {
  const lot = work.need('lot', event.lotId);
  const gone = (entity: EntityKind, id: string): never => refuse({ kind: 'retired', entity, id });
  if (lot.retired) gone('lot', lot.id);
  const nook = work.nook(lot.nookId);
  if (nook?.row.retired) gone(nook.kind, lot.nookId);
  if (work.get('item', lot.itemId)?.retired) gone('item', lot.itemId);
  if (work.events.has(event.id) || work.reader.event(event.id)) {
    refuse({ kind: 'id_taken', entity: 'event', id: event.id });
  }
  if (event.voids !== null) checkVoided(work, event, event.voids);
  work.events.set(event.id, event);
  work.put('use', continueUse(work.get('use', useIdOf(lot.itemId)), lot.itemId, lot, event));
  work.put('lot', { ...lot, ...balanceAfter(work, lot, event) });
}

/** From the lot's history where it is known: taking back a count is no difference that could be added. */
function balanceAfter(work: Working, lot: RowOf['lot'], event: LedgerEvent): LotBalance {
  const history = work.reader.ledgerOf?.(lot.id);
  if (!history) return continueLedger(lot, [event]);
  const own = [...work.events.values()].filter(({ lotId }) => lotId === lot.id);
  return continueLedger(history.base, [...history.events, ...own]);
}

function checkVoided(work: Working, { lotId }: LedgerEvent, id: string): void {
  const voided = work.events.get(id) ?? work.reader.event(id);
  if (voided === null) refuse({ kind: 'unknown_event', id });
  if (voided && voided.lotId !== lotId) refuse({ kind: 'event_of_other_lot', id, lotId });
}

function create(work: Working, op: Extract<Op, { op: 'create' }>): void {
  const { entity, id } = op;
  const { single, derived } = definitionOf(entity);
  if (work.kindOf(id) !== undefined) refuse({ kind: 'id_taken', entity, id });
  if (single && work.reader.single(entity)) refuse({ kind: 'only_one', entity });
  const row = { ...op.fields, ...derived?.start, id, seq: 0, retired: false } as unknown as AnyRow;
  checkReferences(work, entity, row, op.fields);
  checkCode(work, entity, row);
  rulesOf(entity).check?.(work, row);
  work.put(entity, row);
}

function change(work: Working, op: Extract<Op, { op: 'change' }>): void {
  const { entity, id } = op;
  const row = work.need(entity, id) as AnyRow;
  if (row.retired) refuse({ kind: 'retired', entity, id });
  const next = { ...row, ...op.fields } as AnyRow;
  checkReferences(work, entity, next, op.fields);
  if ('code' in op.fields) checkCode(work, entity, next);
  const { check, follow } = rulesOf(entity);
  check?.(work, next);
  work.put(entity, next);
  follow?.(work, next, Object.keys(op.fields));
}

/** A row comes back only into a home that still has what it sits in and belongs to. */
function restore(work: Working, { entity, id }: { entity: EntityKind; id: string }): void {
  const back = { ...(work.need(entity, id) as AnyRow), retired: false } as AnyRow;
  for (const { key, field } of refFieldsOf(entity)) {
    const to = (back as unknown as Record<string, string | null>)[key];
    if (to && field.hold !== 'known') checkReferences(work, entity, back, { [key]: to });
  }
  checkCode(work, entity, back);
  rulesOf(entity).check?.(work, back);
  work.put(entity, back);
}

function applyOp(work: Working, op: Op, by: Actor): void {
  const entity = op.op === 'event' ? 'lot' : op.entity;
  if (!mayWrite(by.role, definitionOf(entity).writtenBy)) refuse({ kind: 'not_allowed', entity });
  if (op.op === 'event') return applyEvent(work, op.event);
  if (op.op === 'create') return create(work, op);
  if (op.op === 'change') return change(work, op);
  if (op.op === 'restore') return restore(work, op);
  const row = work.need(entity, op.id) as AnyRow;
  checkMayRetire(work, entity, row);
  work.put(entity, { ...row, retired: true } as AnyRow);
}

/**
 * Applies a command to what a reader knows, all of it or nothing.
 *
 * @param reader looks rows up; is not changed
 * @param command operations in order; later ones see what earlier ones did
 * @param with.seq the number the changed rows carry; the device passes 0 for "not numbered yet"
 * @param with.by who it comes from
 * @returns every row that is different afterwards, or the first reason why the command cannot be applied
 */
export function applyCommand(reader: RowReader, command: Command, { seq, by }: { seq: number; by: Actor }): Applied {
  const work = new Working(reader, seq);
  try {
    if (command.undoes && reader.wasApplied(command.undoes) === false) {
      refuse({ kind: 'undoes_nothing', id: command.undoes });
    }
    for (const op of command.ops) applyOp(work, op, by);
    if (work.rows.size > MOST_ROWS_PER_COMMAND) refuse({ kind: 'too_many_rows', most: MOST_ROWS_PER_COMMAND });
  } catch (error) {
    if (error instanceof Refused) return { ok: false, refusal: error.refusal };
    throw error;
  }
  return { ok: true, changed: [...work.rows.values()] };
}
