import { rebuildUse, type LedgerEvent, type Op } from '@ours/core';
import { upgradeHomes } from '@ours/server';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { command, smallHome } from './smallHome';
import { table } from './table';
import { TestBed } from './TestBed';

const DAY_MS = 86_400_000;
const YEARS = 3;
const FROM = Date.UTC(2023, 10, 1);

/** Three years of one thing: bought each week, taken every other day, counted each month. */
function ledgerOf(item: number): LedgerEvent[] {
  const events: LedgerEvent[] = [];
  const tell = (day: number, hour: number, kind: LedgerEvent['kind'], units: number): void => {
    events.push({
      id: `${item}-${events.length}`,
      lotId: `l${item}`,
      kind,
      quantityThousandths: units * 1000,
      occurredAt: new Date(FROM + day * DAY_MS + hour * 3_600_000).toISOString(),
      reason: null,
      voids: null,
    });
  };
  for (let day = 0; day < 365 * YEARS; day++) {
    if (day % 7 === item % 7) tell(day, 8, 'put_in', 4);
    if (day % 2 === 0) tell(day, 18, 'taken', 1);
    if (day % 30 === 0) tell(day, 20, 'counted', 3);
  }
  return events;
}

/** The rows of use of a home, folded anew from three years of its ledger, as the server does for a home of before. */
export function benchUseRebuild(): void {
  const rows: string[][] = [];
  for (const items of [100, 1000, 5000]) {
    let events = 0;
    let ms = 0;
    for (let item = 0; item < items; item++) {
      const ledger = ledgerOf(item);
      events += ledger.length;
      const start = performance.now();
      rebuildUse(`019ab2f0-0000-7000-8000-${String(item).padStart(12, '0')}`, [ledger]);
      ms += performance.now() - start;
    }
    rows.push([String(items), String(events), `${Math.round(ms)} ms`, `${((ms * 1000) / events).toFixed(2)} µs`]);
  }
  table('Use folded anew from three years of ledger', [['things', 'events', 'in all', 'an event'], ...rows]);
}

/** Three years of every lot of a home, written straight into the database. */
const THREE_YEARS = `
  insert into ledger_event (household_id, id, lot_id, command_id, kind, quantity_thousandths, occurred_at, reason, voids)
  select lot.household_id, gen_random_uuid(), lot.id, gen_random_uuid(), told.kind, told.amount,
         timestamptz '2023-11-01T00:00:00Z' + told.day * interval '1 day' + told.hour * interval '1 hour', null, null
  from lot,
       lateral (
         select day, 8 as hour, 'put_in' as kind, 4000 as amount from generate_series(0, ${365 * YEARS - 1}, 7) as day
         union all
         select day, 18, 'taken', 1000 from generate_series(0, ${365 * YEARS - 1}, 2) as day
         union all
         select day, 20, 'counted', 3000 from generate_series(0, ${365 * YEARS - 1}, 30) as day
       ) as told
  where lot.household_id = $1`;

/** A thing and its lot, in the home that these operations made. */
function anotherThing(ops: readonly Op[]): Op[] {
  const id = uuidv7();
  return ops.flatMap((op): Op[] => {
    if (op.op !== 'create') return [];
    if (op.entity === 'item') return [{ ...op, id }];
    return op.entity === 'lot' ? [{ ...op, id: uuidv7(), fields: { ...op.fields, itemId: id } }] : [];
  });
}

/** The same on the server: read from the ledger, folded, written back, as when a home of before is brought up. */
export async function benchUseRebuildOnServer(): Promise<void> {
  const bed = await TestBed.open();
  const owner = new pg.Client({ connectionString: bed.ownerUrl });
  await owner.connect();
  const rows: string[][] = [];
  try {
    for (const things of [100, 1000]) {
      const client = await bed.client().signUp();
      await owner.query("select set_config('app.household', $1, false)", [client.home]);
      const home = smallHome(1);
      await client.send([command('bench', home.ops)]);
      for (let made = 1; made < things; made++) await client.send([command('bench', anotherThing(home.ops))]);
      client.close();
      const { rowCount } = await owner.query(THREE_YEARS, [client.home]);
      await owner.query('update lot set book_thousandths = null where household_id = $1', [client.home]);
      await owner.query('analyze ledger_event');
      const start = performance.now();
      const homes = await upgradeHomes(bed.ownerUrl);
      const ms = performance.now() - start;
      if (homes !== 1) throw new Error(`${homes} homes were rebuilt instead of one`);
      rows.push([
        String(things),
        String(rowCount),
        `${Math.round(ms)} ms`,
        `${((ms * 1000) / rowCount!).toFixed(2)} µs`,
      ]);
    }
  } finally {
    await owner.end();
    await bed.close();
  }
  table('The same on the server, with the database', [['things', 'events', 'in all', 'an event'], ...rows]);
}
