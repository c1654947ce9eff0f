import {
  addDays,
  effectiveDue,
  PUBLISHED_GUIDE,
  type CivilDate,
  type ItemFields,
  type LedgerEvent,
  type LotFields,
} from '@ours/core';
import type { SeededRandom } from './seededRandom';

export interface UsedItem {
  id: string;
  fields: ItemFields;
  nookId: string;
  packSize: LotFields['packSize'];
  /** What the house likes to have, in thousandths. */
  wantedThousandths: number;
  keepsDays: number | null;
  usedPerMonth: number;
  frozen: boolean;
}
export interface SimulatedLot {
  id: string;
  fields: LotFields;
}
export interface Simulated {
  lots: SimulatedLot[];
  events: LedgerEvent[];
}

const DAYS_PER_MONTH = 30.4;
export const SIMULATED_DAYS = 548;
/** Days ago, as on a Thursday: the home is the same on whatever day it is looked at. */
const SATURDAY = 5;
/** A home that shops once a week looks ahead as far. */
const DAYS_AHEAD = 8;
const FRESH_DAYS = 45;
const NEVER: CivilDate = '9999-12-31';
/** How often someone takes from the front instead of the oldest. */
const OUT_OF_TURN = 0.45;

/**
 * Eighteen months of one item in one place: used at its own rate (more on weekends), bought on some Saturday once it is
 * low, the oldest first, now and then counted, sometimes thrown out when its date has passed.
 */
export function simulateUse(
  item: UsedItem,
  today: CivilDate,
  random: SeededRandom,
  newId: (atMs: number) => string,
): Simulated {
  const lots: SimulatedLot[] = [];
  let active: { id: string; thrownOutFrom: CivilDate; left: number }[] = [];
  const events: LedgerEvent[] = [];
  const step = Number.isInteger(item.wantedThousandths / 1000) ? 1000 : 100;
  const stepsPerDay = (item.usedPerMonth / DAYS_PER_MONTH) * (1000 / step);

  let clockMs = 0;
  const record = (
    lotId: string,
    kind: LedgerEvent['kind'],
    amount: number,
    day: CivilDate,
    reason: string | null = null,
  ): void => {
    const morning = Date.parse(`${day}T00:00:00.000Z`) + Math.floor((6 + random.next() * 2) * 3_600_000);
    clockMs = Math.max(morning, clockMs + 60_000 + Math.floor(random.next() * 3_600_000));
    const occurredAt = new Date(clockMs).toISOString();
    events.push({ id: newId(clockMs), lotId, kind, quantityThousandths: amount, occurredAt, reason, voids: null });
  };
  const buyLot = (amount: number, day: CivilDate): void => {
    const id = newId(Date.parse(`${day}T06:00:00.000Z`));
    const keeps =
      item.keepsDays === null ? null : Math.max(2, Math.round(item.keepsDays * (0.75 + random.next() * 0.4)));
    const expiresOn = keeps === null || item.frozen ? null : addDays(day, keeps);
    const dateKind = expiresOn === null ? null : (item.keepsDays ?? 0) < 15 ? 'use_by' : 'best_before';
    const frozenOn = item.frozen && item.fields.freezerMonths !== null ? day : null;
    const { id: itemId, nookId, packSize } = item;
    const fields: LotFields = { itemId, nookId, packSize, expiresOn, dateKind, openedOn: null, frozenOn, note: '' };
    lots.push({ id, fields });
    const due = effectiveDue(fields, item.fields, PUBLISHED_GUIDE);
    active.push({ id, thrownOutFrom: due ? addDays(due.on, 4) : NEVER, left: amount });
    record(id, 'put_in', amount, day);
  };
  /** Packets of one shop run often carry two dates. */
  const buy = (amount: number, day: CivilDate): void => {
    const half = Math.floor(amount / 2 / step) * step;
    const twoDates = item.keepsDays !== null && half > 0 && random.next() < 0.7;
    if (twoDates) buyLot(half, day);
    buyLot(twoDates ? amount - half : amount, day);
  };
  const onHand = (): number => active.reduce((sum, lot) => sum + lot.left, 0);

  const first = addDays(today, -SIMULATED_DAYS);
  buy(Math.max(step, item.wantedThousandths), first);
  if (item.usedPerMonth <= 0) return { lots, events };
  for (let ago = SIMULATED_DAYS - 1; ago >= 1; ago--) {
    const day = addDays(today, -ago);
    const isWeekend = ago % 7 === SATURDAY || ago % 7 === SATURDAY - 1;
    let wanted = random.poisson(stepsPerDay * (isWeekend ? 1.5 : 0.8)) * step;
    const inHand = random.next() < OUT_OF_TURN ? [...active].reverse() : active;
    for (const lot of inHand) {
      const part = Math.min(lot.left, wanted);
      if (part <= 0) continue;
      lot.left -= part;
      record(lot.id, 'taken', part, day);
      wanted -= part;
    }
    for (const lot of active) {
      if (lot.left <= 0 || lot.thrownOutFrom > day || random.next() > 0.4) continue;
      record(lot.id, 'discarded', lot.left, day, 'expired');
      lot.left = 0;
    }
    active = active.filter((lot) => lot.left > 0);
    const low = item.fields.lowAtThousandths ?? step;
    const soonUsed = stepsPerDay * DAYS_AHEAD * step;
    // What spoils is looked at each week; of what keeps, the mark is seen, or not.
    const fresh = item.keepsDays !== null && item.keepsDays < FRESH_DAYS;
    const signal = low + (fresh ? 0.7 * soonUsed : 0);
    if (ago % 7 === SATURDAY && onHand() <= signal && random.next() < (fresh ? 0.95 : 0.78)) {
      const wantedNow = Math.max(item.wantedThousandths, low + step, low + Math.ceil((1.6 * soonUsed) / step) * step);
      // Nobody fills the refrigerator with what keeps three days.
      const keeps = item.keepsDays === null || item.frozen ? Infinity : stepsPerDay * step * item.keepsDays * 1.3;
      const target = Math.min(wantedNow, Math.max(step, Math.ceil(keeps / step) * step));
      buy(Math.max(step, Math.round((target - onHand()) / step) * step), day);
    }
    if (random.next() < 0.006) {
      const lot = active[0];
      if (lot) record(lot.id, 'counted', lot.left, day);
    }
  }
  return { lots, events };
}
