import { addDays } from '../base';
import { dayNumber, estimateItem, type UseEstimate } from '../forecast';
import { rebuildUse, type LedgerEvent, type LedgerEventKind } from '../household';
import type { RestockItem, TripPlan } from './restockList';

/** A Thursday. */
export const TODAY = '2026-11-26';
export const plan = (more: Partial<TripPlan> = {}): TripPlan => ({
  today: TODAY,
  day: '2026-11-28',
  nextDay: '2026-12-05',
  shopId: null,
  todayNumber: dayNumber(TODAY),
  presence: [],
  ...more,
});
export const thing = (more: Partial<RestockItem> = {}): RestockItem => ({
  itemId: 'milk',
  name: 'Milk',
  how: null,
  lowAtThousandths: null,
  fullThousandths: null,
  packs: [],
  usualPackThousandths: null,
  keepDays: null,
  refillOn: null,
  vital: false,
  lots: [],
  ...more,
});
export const lot = (units: number, dueOn: string | null = null, lotId = `${units} ${dueOn}`) => ({
  lotId,
  thousandths: units * 1000,
  dueOn,
});

type Told = readonly [ago: number, kind: LedgerEventKind, units: number];
/** What is known of a thing's use from what happened so many days ago. */
export function known(told: readonly Told[], weekly: number | null = null): UseEstimate {
  const events = told.map(([ago, kind, units], n): LedgerEvent => ({
    id: `e${String(n).padStart(4, '0')}`,
    lotId: 'A',
    kind,
    quantityThousandths: units * 1000,
    occurredAt: `${addDays(TODAY, -ago)}T${kind === 'put_in' ? '06' : '12'}:00:00.000Z`,
    reason: null,
    voids: null,
  }));
  const { digest } = rebuildUse('0190a0a0-0000-7000-8000-000000000001', [events]);
  const weeklyThousandths = weekly === null ? null : weekly * 1000;
  return estimateItem({ itemId: 'milk', digest, category: '', weeklyThousandths }, dayNumber(TODAY), []);
}
/** One used each day for twelve weeks, bought each week; so many are left, counted today. */
export const oneADay = (left: number): UseEstimate =>
  known([
    ...Array.from({ length: 12 }, (_, week): Told => [84 - week * 7, 'put_in', 7]),
    ...Array.from({ length: 84 }, (_, day): Told => [84 - day, 'taken', 1]),
    [0, 'put_in', left],
    [0, 'counted', left],
  ]);
