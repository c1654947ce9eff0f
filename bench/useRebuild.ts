import { rebuildUse, type LedgerEvent } from '@ours/core';
import { table } from './table';

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
