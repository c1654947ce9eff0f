import type { AnyRow, BinRow, EntityKind, LotRow, RowOf, ShelfRow, SpaceRow, TaggedRow } from './entities';
import { LOT_START, type Command, type Op, type Refusal } from './command';
import { continueLedger } from '../stock/ledger';
import { codeKey } from '../spaces/nookCode';

/** What the rules need to look up. The device answers from memory, the server from what it read beforehand. */
export interface RowReader {
  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined;
  /** Nooks and lots directly in this nook, spaces in this room, or lots of this item; retired ones may be among them. */
  contentsOf(id: string): TaggedRow[];
  /** The nook that carries this code key and is not retired. */
  nookIdByCodeKey(key: string): string | undefined;
}

export type Applied = { ok: true; changed: TaggedRow[] } | { ok: false; refusal: Refusal };

class Refused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.kind);
  }
}

class Working {
  readonly rows = new Map<string, TaggedRow>();
  constructor(
    private readonly reader: RowReader,
    private readonly seq: number,
  ) {}

  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined {
    const touched = this.rows.get(id);
    if (touched) return touched.entity === entity ? (touched.row as RowOf[K]) : undefined;
    return this.reader.get(entity, id);
  }

  need<K extends EntityKind>(entity: K, id: string): RowOf[K] {
    const row = this.get(entity, id);
    if (!row) throw new Refused({ kind: 'unknown_id', entity, id });
    return row;
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

  active(entity: EntityKind, id: string): boolean {
    const row = this.get(entity, id);
    return row !== undefined && !row.retired;
  }

  activeNook(id: string): boolean {
    return this.active('bin', id) || this.active('shelf', id) || this.active('space', id);
  }

  codeOwner(key: string): string | undefined {
    for (const { entity, row } of this.rows.values()) {
      if (!row.retired && isNook(entity) && codeKey((row as BinRow).code) === key) return row.id;
    }
    const known = this.reader.nookIdByCodeKey(key);
    return known !== undefined && !this.rows.has(known) ? known : undefined;
  }
}

const isNook = (entity: EntityKind): boolean => entity === 'space' || entity === 'shelf' || entity === 'bin';

function parentsOf(tagged: TaggedRow): string[] {
  switch (tagged.entity) {
    case 'space':
      return [tagged.row.roomId];
    case 'shelf':
      return [tagged.row.spaceId];
    case 'bin':
      return [tagged.row.parentBinId ?? tagged.row.shelfId];
    case 'lot':
      return [tagged.row.nookId, tagged.row.itemId];
    default:
      return [];
  }
}

function checkParents(work: Working, entity: EntityKind, row: AnyRow): void {
  const demand = (present: boolean, parentId: string) => {
    if (!present) throw new Refused({ kind: 'parent_missing', entity, id: row.id, parentId });
  };
  if (entity === 'space') demand(work.active('room', (row as SpaceRow).roomId), (row as SpaceRow).roomId);
  if (entity === 'shelf') demand(work.active('space', (row as ShelfRow).spaceId), (row as ShelfRow).spaceId);
  if (entity === 'bin') {
    const bin = row as BinRow;
    demand(work.active('shelf', bin.shelfId), bin.shelfId);
    if (bin.parentBinId !== null) {
      demand(work.active('bin', bin.parentBinId), bin.parentBinId);
      checkNotInsideItself(work, bin);
    }
  }
  if (entity === 'lot') {
    const lot = row as LotRow;
    demand(work.active('item', lot.itemId), lot.itemId);
    demand(work.activeNook(lot.nookId), lot.nookId);
  }
}

function checkNotInsideItself(work: Working, bin: BinRow): void {
  const seen = new Set([bin.id]);
  for (let at = bin.parentBinId; at !== null; at = work.get('bin', at)?.parentBinId ?? null) {
    if (seen.has(at)) throw new Refused({ kind: 'would_contain_itself', id: bin.id });
    seen.add(at);
  }
}

function checkCode(work: Working, entity: EntityKind, row: AnyRow): void {
  if (!isNook(entity)) return;
  const code = (row as BinRow).code;
  const owner = work.codeOwner(codeKey(code));
  if (owner !== undefined && owner !== row.id) throw new Refused({ kind: 'code_taken', code, id: row.id });
}

function checkEmpty(work: Working, entity: EntityKind, id: string): void {
  if (entity === 'lot' || entity === 'line' || entity === 'person') return;
  const inside = work.contentsOf(id);
  const lots = inside.filter((t) => t.entity === 'lot' && (t.row as LotRow).quantityThousandths > 0).length;
  const nooks = inside.filter((t) => isNook(t.entity)).length;
  if (lots > 0 || nooks > 0) throw new Refused({ kind: 'holds_stock', entity, id, lots, nooks });
}

/** Parents only need checking again when the row is new, comes back, or is put somewhere else. */
const PARENT_FIELDS = ['roomId', 'spaceId', 'shelfId', 'parentBinId', 'itemId', 'nookId'];

function applyOp(work: Working, op: Op): void {
  if (op.op === 'event') {
    const lot = work.need('lot', op.event.lotId);
    work.put('lot', { ...lot, ...continueLedger(lot, [op.event]) });
    return;
  }
  const existing = work.get(op.entity, op.id);
  if (op.op === 'create') {
    if (existing) throw new Refused({ kind: 'id_taken', entity: op.entity, id: op.id });
    const start = op.entity === 'lot' ? LOT_START : {};
    const row = { ...op.fields, ...start, id: op.id, seq: 0, retired: false } as AnyRow;
    checkParents(work, op.entity, row);
    checkCode(work, op.entity, row);
    work.put(op.entity, row);
    return;
  }
  const row = work.need(op.entity, op.id);
  if (op.op === 'change') {
    const next = { ...row, ...op.fields } as AnyRow;
    if (PARENT_FIELDS.some((field) => field in op.fields)) checkParents(work, op.entity, next);
    if ('code' in op.fields) checkCode(work, op.entity, next);
    work.put(op.entity, next);
    if (op.entity === 'bin' && 'shelfId' in op.fields) carryInnerBins(work, next as BinRow);
    return;
  }
  if (op.op === 'retire') {
    checkEmpty(work, op.entity, op.id);
    work.put(op.entity, { ...row, retired: true });
    return;
  }
  const back = { ...row, retired: false } as AnyRow;
  checkParents(work, op.entity, back);
  checkCode(work, op.entity, back);
  work.put(op.entity, back);
}

/** A bin is moved with all that is in it: the bins inside follow to the same shelf. */
function carryInnerBins(work: Working, bin: BinRow): void {
  for (const inner of work.contentsOf(bin.id)) {
    if (inner.entity !== 'bin' || inner.row.shelfId === bin.shelfId) continue;
    const moved = { ...inner.row, shelfId: bin.shelfId };
    work.put('bin', moved);
    carryInnerBins(work, moved);
  }
}

/**
 * Applies a command to what a reader knows, all of it or nothing.
 *
 * @param reader looks rows up; is not changed
 * @param command operations in order; later ones see what earlier ones did
 * @param seq the number the changed rows carry; the device passes 0 for "not numbered yet"
 * @returns every row that is different afterwards, or the first reason why the command cannot be applied
 */
export function applyCommand(reader: RowReader, command: Command, seq: number): Applied {
  const work = new Working(reader, seq);
  try {
    for (const op of command.ops) applyOp(work, op);
  } catch (error) {
    if (error instanceof Refused) return { ok: false, refusal: error.refusal };
    throw error;
  }
  return { ok: true, changed: [...work.rows.values()] };
}
