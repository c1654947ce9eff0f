/** Rows of use and books of lots from the whole ledger: for homes of before they were kept, and to check them. */
import { foldLedger, rebuildUse, type LedgerEvent, type LotRow, type TaggedRow } from '@ours/core';
import pg from 'pg';
import { upsertRows, wireColumns } from '../../db/rowSql';
import { scopeStatement, together } from '../../db/together';
import { lockHousehold, readHistories } from '../commands/groupReads';

/** A home's rows of use and its lots, as its ledger makes them. The transaction's scope must be the home. */
export async function foldHome(client: pg.ClientBase, householdId: string): Promise<TaggedRow[]> {
  const [lotsRead] = await together(client, [
    { text: `select ${wireColumns('lot')} from lot where household_id = $1`, values: [householdId] },
  ]);
  const lots = lotsRead!.rows as LotRow[];
  const [events] = await together(client, [
    readHistories(
      householdId,
      lots.map(({ id }) => id),
    ),
  ]);
  const byLot = new Map<string, LedgerEvent[]>();
  for (const { row } of events!.rows as { row: LedgerEvent }[]) {
    const own = byLot.get(row.lotId);
    if (own) own.push(row);
    else byLot.set(row.lotId, [row]);
  }
  const byItem = new Map<string, LedgerEvent[][]>();
  const rows: TaggedRow[] = [];
  for (const lot of lots) {
    const own = byLot.get(lot.id) ?? [];
    byItem.set(lot.itemId, [...(byItem.get(lot.itemId) ?? []), own]);
    rows.push({ entity: 'lot', row: { ...lot, bookThousandths: foldLedger(own).bookThousandths ?? 0 } });
  }
  for (const [itemId, histories] of byItem) rows.push({ entity: 'use', row: rebuildUse(itemId, histories) });
  return rows;
}

/** Writes them with a number of their own, so that devices hear of them. */
async function rebuildHome(client: pg.ClientBase, householdId: string): Promise<void> {
  const [locked] = await together(client, [lockHousehold(householdId)]);
  const seq = (locked!.rows[0] as { seq: number }).seq + 1;
  const rows = await foldHome(client, householdId);
  for (const kind of ['lot', 'use'] as const) {
    const own = rows.filter(({ entity }) => entity === kind).map(({ row }) => ({ ...row, seq }));
    await client.query(upsertRows(kind, '$2'), [householdId, JSON.stringify(own)]);
  }
  await client.query('update household_seq set seq = $2 where household_id = $1', [householdId, seq]);
}

/**
 * Gives the homes of before rows of use were kept what they lack, each in a transaction of its own.
 * @param client as the owner of the database; homes are scoped one by one
 * @returns how many homes
 */
async function rebuildOldHomes(client: pg.ClientBase): Promise<number> {
  // Seen over all homes for this one question; the change of the table is rolled back with it.
  await client.query('begin');
  await client.query('alter table household_seq disable row level security');
  const homes = await client.query<{ id: string }>('select household_id as id from household_seq');
  await client.query('rollback');
  let count = 0;
  for (const { id } of homes.rows) {
    await client.query('begin');
    await together(client, [scopeStatement(id)]);
    const old = await client.query('select 1 from lot where household_id = $1 and book_thousandths is null limit 1', [
      id,
    ]);
    if (old.rowCount! > 0) {
      await rebuildHome(client, id);
      count++;
    }
    await client.query('commit');
  }
  return count;
}

/** Run once the database is migrated, before the server starts. */
export async function upgradeHomes(ownerUrl: string): Promise<number> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    return await rebuildOldHomes(client);
  } finally {
    await client.end();
  }
}
