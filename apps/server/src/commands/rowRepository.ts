import {
  ENTITY_KINDS,
  HouseholdState,
  type AnyRow,
  type Command,
  type EntityKind,
  type Op,
  type TaggedRow,
} from '@ours/core';
import { and, eq, getTableColumns, inArray, or, sql, type SQL } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Transaction } from '../db/connect';
import { ENTITY_TABLES } from '../db/schema';

type RowTable = (typeof ENTITY_TABLES)[EntityKind];
const tableOf = (entity: EntityKind): RowTable => ENTITY_TABLES[entity];
const NOOKS = ['space', 'shelf', 'bin'] as const;

/** Takes the household column off: rows cross the wire without it. */
export function toTagged(entity: EntityKind, { householdId: _, ...row }: Record<string, unknown>): TaggedRow {
  return { entity, row } as unknown as TaggedRow;
}

async function select(tx: Transaction, entity: EntityKind, where: SQL | undefined): Promise<TaggedRow[]> {
  const rows = await tx
    .select()
    .from(tableOf(entity) as PgTable)
    .where(where);
  return rows.map((row) => toTagged(entity, row));
}

/** Reads everything that the rules look at for this command into memory. */
export async function readForCommand(tx: Transaction, householdId: string, command: Command): Promise<HouseholdState> {
  const state = new HouseholdState();
  const load = async (entity: EntityKind, where: SQL | undefined): Promise<TaggedRow[]> => {
    const rows = await select(tx, entity, and(eq(tableOf(entity).householdId, householdId), where));
    for (const row of rows) state.put(row);
    return rows;
  };
  const loadIds = async (
    ids: ReadonlySet<string>,
    kinds: readonly EntityKind[] = ENTITY_KINDS,
  ): Promise<TaggedRow[]> => {
    if (ids.size === 0) return [];
    const found: TaggedRow[] = [];
    for (const entity of kinds) found.push(...(await load(entity, inArray(tableOf(entity).id, [...ids]))));
    return found;
  };

  const { ids, kinds } = idsIn(command.ops);
  const touched = await loadIds(ids, kinds);
  await loadIds(new Set(touched.flatMap(parentIds).filter((id) => !ids.has(id))), [
    'room',
    'space',
    'shelf',
    'bin',
    'item',
  ]);
  if (command.ops.some(changesBinPlace)) await load('bin', undefined);
  for (const id of retiredIds(command.ops)) {
    await load('space', eq(ENTITY_TABLES.space.roomId, id));
    await load('shelf', eq(ENTITY_TABLES.shelf.spaceId, id));
    await load('bin', or(eq(ENTITY_TABLES.bin.shelfId, id), eq(ENTITY_TABLES.bin.parentBinId, id)));
    await load('lot', or(eq(ENTITY_TABLES.lot.nookId, id), eq(ENTITY_TABLES.lot.itemId, id)));
  }
  const codes = codesIn(command.ops, state);
  if (codes.length > 0) {
    for (const entity of NOOKS) {
      const table = ENTITY_TABLES[entity];
      await load(entity, and(inArray(sql`replace(${table.code}, '-', '')`, codes), eq(table.retired, false)));
    }
  }
  return state;
}

/** Writes rows as they now are; each row's id decides between new and changed. */
export async function writeRows(tx: Transaction, householdId: string, rows: readonly TaggedRow[]): Promise<void> {
  for (const entity of ENTITY_KINDS) {
    const own = rows.filter((tagged) => tagged.entity === entity);
    if (own.length === 0) continue;
    const table = tableOf(entity);
    const changing = Object.entries(getTableColumns(table)).filter(([key]) => key !== 'id' && key !== 'householdId');
    const set = Object.fromEntries(changing.map(([key, column]) => [key, sql.raw(`excluded."${column.name}"`)]));
    await tx
      .insert(table as PgTable)
      .values(own.map(({ row }) => ({ ...row, householdId })))
      .onConflictDoUpdate({ target: [table.householdId, table.id], set });
  }
}

function idsIn(ops: readonly Op[]): { ids: Set<string>; kinds: EntityKind[] } {
  const ids = new Set<string>();
  const kinds = new Set<EntityKind>();
  for (const op of ops) {
    if (op.op === 'event') {
      ids.add(op.event.lotId);
      kinds.add('lot').add('item');
      continue;
    }
    ids.add(op.id);
    kinds.add(op.entity);
    if (op.op !== 'create' && op.op !== 'change') continue;
    for (const id of parentIds({ entity: op.entity, row: op.fields as AnyRow } as TaggedRow)) ids.add(id);
    if (op.entity === 'space') kinds.add('room');
    if (op.entity === 'shelf') kinds.add('space');
    if (op.entity === 'bin') kinds.add('shelf');
    if (op.entity === 'lot') kinds.add('item').add('space').add('shelf').add('bin');
  }
  return { ids, kinds: [...kinds] };
}

function parentIds({ row }: TaggedRow): string[] {
  const fields = row as unknown as Record<string, unknown>;
  return ['roomId', 'spaceId', 'shelfId', 'parentBinId', 'itemId', 'nookId']
    .map((key) => fields[key])
    .filter((id): id is string => typeof id === 'string');
}

const changesBinPlace = (op: Op): boolean =>
  op.op === 'change' && op.entity === 'bin' && ('shelfId' in op.fields || 'parentBinId' in op.fields);

const retiredIds = (ops: readonly Op[]): string[] =>
  ops.flatMap((op) => (op.op === 'retire' && op.entity !== 'lot' && op.entity !== 'line' ? [op.id] : []));

function codesIn(ops: readonly Op[], state: HouseholdState): string[] {
  const codes = ops.flatMap((op) => {
    if ((op.op === 'create' || op.op === 'change') && 'code' in op.fields) return [op.fields.code as string];
    const nook = op.op === 'restore' ? state.nook(op.id) : undefined;
    return nook ? [nook.row.code] : [];
  });
  return codes.map((code) => code.replace(/-/g, ''));
}
