import { bookOf, carryOn, IN, netOf, readDigest } from '../use';
import { runOutDay, usualDays, type DaysAhead } from './runOut';
import type { UseEstimate } from './estimateUse';

/** What a thing's stock was on one day that is over. */
export interface PastDay {
  /** Days from today, 0 or less. */
  ago: number;
  /** By the book at the end of the day, in thousandths; not below 0. */
  thousandths: number;
  /** Put in on that day. */
  inThousandths: number;
}

/** The stock at the end of each of the last days, oldest first, as the row of use tells it: no history is asked for. */
export function pastStock(digest: string, today: number, days: number): PastDay[] {
  const read = readDigest(digest);
  carryOn(read, today);
  let level = bookOf(read);
  const past: PastDay[] = [];
  for (let ago = 0; ago < days; ago++) {
    const cell = read.days.get(today - ago);
    past.push({ ago: -ago, thousandths: Math.max(0, level), inThousandths: Math.max(0, cell?.[IN] ?? 0) });
    level -= cell ? netOf(cell) : 0;
  }
  return past.reverse();
}

/** When so many are used, with 90, 50 and 10 % of what may come still to come: days from today, null beyond two years. */
export interface ComingLevel {
  /** Left then, in thousandths. */
  thousandths: number;
  early: number | null;
  middle: number | null;
  late: number | null;
}

/** Levels of the fan; a stock of more units is told at so many of them. */
const MOST_LEVELS = 12;

/**
 * A fan of what is left in the days to come when nothing is bought: from what is likely there, level by level down to nothing.
 * @returns empty when nothing is there
 */
export function comingStock(
  estimate: UseEstimate,
  likelyThousandths: number,
  ahead: DaysAhead = usualDays,
): ComingLevel[] {
  const units = likelyThousandths / estimate.quantum;
  if (!(units > 0)) return [];
  const steps = Math.max(1, Math.min(MOST_LEVELS, Math.ceil(units)));
  return Array.from({ length: steps }, (_, at): ComingLevel => {
    const used = (units * (at + 1)) / steps;
    const day = (chance: number): number | null => runOutDay(estimate, used, chance, ahead);
    return {
      thousandths: Math.max(0, Math.round(likelyThousandths - used * estimate.quantum)),
      early: day(0.1),
      middle: day(0.5),
      late: day(0.9),
    };
  });
}
