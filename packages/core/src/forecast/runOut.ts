/** What an estimate says of days to come. Amounts are in the estimate's quantum. */
import { chanceAtMost, countWithChance } from './demand';
import type { UseEstimate } from './estimateUse';
import { logOf } from './numbers';
import type { Presence } from './useDays';

/** Beyond two years nothing is foretold. */
export const FARTHEST_DAYS = 730;
const LOG_4 = 1.3862943611198906;
/** Use in spells: over weeks it is less even than within one. */
const SPELLS = 0.3;

/** Mean and variance of what is used in so many exposed days. */
export function useIn(estimate: UseEstimate, days: number): { mean: number; variance: number } {
  const mean = estimate.rate * days;
  if (!(mean > 0)) return { mean: 0, variance: 1e-4 };
  const { unevenness, memoryDays, disagreement } = estimate;
  const longer = days <= 7 ? 0 : days >= 28 ? 1 : logOf(days / 7) / LOG_4;
  const own = unevenness > 1 ? unevenness * (1 + SPELLS * longer) : unevenness;
  return { mean, variance: mean * own * (1 + days / memoryDays) + days * days * disagreement };
}

/** At most so many are used in so many exposed days, with this chance: the smallest such number. */
export function usedAtMost(estimate: UseEstimate, days: number, chance: number): number {
  const { mean, variance } = useIn(estimate, days);
  return countWithChance(chance, mean, variance);
}

/** How many exposed days there are in the next t days: away days count nothing, days with guests more. */
export type DaysAhead = (days: number) => number;
export const usualDays: DaysAhead = (days) => days;

/** @param today counted from 1970-01-01; day 1 is tomorrow's end, today itself is over */
export function daysAhead(presence: readonly Presence[], today: number): DaysAhead {
  const coming = presence.filter(({ to }) => to > today);
  if (coming.length === 0) return usualDays;
  return (days) => {
    let sum = days;
    for (const { from, to, factor } of coming) {
      const within = Math.min(to, today + days) - Math.max(from, today + 1) + 1;
      if (within > 0) sum += (factor - 1) * within;
    }
    return Math.max(0, sum);
  };
}

/**
 * In how many days a stock is used up with this chance: the smallest t so that P(used in t ≥ stock) ≥ chance.
 * @returns 0 for nothing there; null beyond two years
 */
export function runOutDay(
  estimate: UseEstimate,
  stock: number,
  chance: number,
  ahead: DaysAhead = usualDays,
): number | null {
  const last = Math.ceil(stock - 1e-9) - 1;
  if (last < 0) return 0;
  const gone = (days: number): boolean => {
    const { mean, variance } = useIn(estimate, ahead(days));
    return 1 - chanceAtMost(last, mean, variance) >= chance;
  };
  let low = 0;
  let high = Math.min(FARTHEST_DAYS, Math.max(1, Math.ceil(stock / Math.max(estimate.rate, 1e-9))));
  while (!gone(high)) {
    if (high >= FARTHEST_DAYS) return null;
    low = high;
    high = Math.min(FARTHEST_DAYS, high * 2);
  }
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (gone(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** The chance that a stock lasts so many exposed days. */
export function chanceToLast(estimate: UseEstimate, stock: number, days: number): number {
  const { mean, variance } = useIn(estimate, days);
  return chanceAtMost(Math.ceil(stock - 1e-9) - 1, mean, variance);
}

/** Fewer days of use than these are a guess. */
export const GUESS_BELOW = 4;
/** Little is known, and nobody has said how much a week. */
export const isGuess = ({ daysOfUse, fromPurchases, foundShort, said }: UseEstimate): boolean =>
  daysOfUse < GUESS_BELOW && !fromPurchases && !foundShort && !said;

/** Something is known of how it is used: seen, said, told by its purchases or by what counts missed. */
export const hasPace = ({ rate, daysOfUse, said, fromPurchases, foundShort }: UseEstimate): boolean =>
  rate > 0 && (daysOfUse > 0 || said || fromPurchases || foundShort);

export interface Keeping {
  /** Exposed days in which a unit bought now is still good; null: it keeps. */
  days: number | null;
  /** What a unit thrown out costs against one that was missed. */
  regret?: number;
}

/**
 * How many to have after shopping, so that they last so many exposed days with this chance; no more than are likely used while
 * they are good, and, while it is a guess, at most twice what was seen.
 */
export function enoughFor(
  estimate: UseEstimate,
  days: number,
  chance: number,
  keeping: Keeping = { days: null },
): number {
  let enough = usedAtMost(estimate, days, chance);
  if (isGuess(estimate)) enough = Math.min(enough, Math.max(1, Math.ceil(2 * estimate.usedSeen)));
  return keeping.days === null ? enough : Math.min(enough, usableIn(estimate, keeping.days, keeping.regret));
}

/**
 * The most that are worth having when what is not used in so many days is lost: the last one is used in time with at least the
 * chance overage/(overage + underage).
 * For example Poisson of mean 10, ratio 0.5: 10; 0.9: 6.
 */
export function usableIn(estimate: UseEstimate, days: number, regret = 0.5): number {
  const { mean, variance } = useIn(estimate, days);
  // The n-th is used in time with chance P(D ≥ n) = 1 − P(D ≤ n − 1).
  const most = countWithChance(1 - regret, mean, variance);
  return most;
}

/** Whether knowing how many are left could change what is bought. */
export function wantsCount(estimate: UseEstimate, upTo: number): boolean {
  const { stock, likely, fromPurchases } = estimate;
  if (fromPurchases) return upTo > likely;
  return stock - likely >= 1 && 2 * likely - stock < upTo && upTo <= stock;
}
