/** What will be past its date before it is used, at the present pace, when what ends first is used first. */
import { chanceAtMost } from './demand';
import type { UseEstimate } from './estimateUse';
import { gammaPoint } from './numbers';
import { useIn, usualDays, type DaysAhead } from './runOut';

/** So many of a thing, good for so many days more; 0 or less: past its date. */
export interface DatedUnits {
  units: number;
  days: number;
}

/**
 * How many are past their date when that comes, for one course of use.
 *
 * With W₀ = 0 and Cₖ the units of the first k lots, Wₖ = max(Wₖ₋₁, Cₖ − A(eₖ)): what is lost of the first k lots.
 * @param lots in the order in which they end
 * @param usedBy how many are used up to and with a day
 * @returns of each lot
 */
export function lostAtPace(lots: readonly DatedUnits[], usedBy: (days: number) => number): number[] {
  let [lost, units] = [0, 0];
  return lots.map((lot) => {
    const before = lost;
    units += lot.units;
    lost = Math.max(lost, units - usedBy(Math.max(0, lot.days)));
    return lost - before;
  });
}

/** How many points of the rate the expectation is averaged over. */
const POINTS = 15;
/** A stock of more units is computed in so many parts. */
const MOST_PARTS = 240;

/**
 * How many of each lot are likely lost: the expectation over what may be used.
 * @param lots in the order in which they end; units in the estimate's quantum
 */
export function expectedLoss(
  lots: readonly DatedUnits[],
  estimate: UseEstimate,
  ahead: DaysAhead = usualDays,
): number[] {
  const { rate, unevenness, memoryDays, disagreement } = estimate;
  if (!(rate > 0)) return lots.map(({ units }) => units);
  // The rate is not known exactly either: that part of the variance does not average out over days.
  const doubt = (rate * Math.max(unevenness, 0)) / memoryDays + disagreement;
  const sums = lots.map(() => 0);
  for (let point = 0; point < POINTS; point++) {
    const own = gammaPoint((point + 0.5) / POINTS, rate, doubt);
    const within = (days: number): { mean: number; variance: number } => {
      const { mean } = useIn(estimate, days);
      const share = own / rate;
      return { mean: mean * share, variance: mean * share * unevenness };
    };
    for (const [at, lost] of lossWithin(lots, within, ahead).entries()) sums[at]! += lost / POINTS;
  }
  return sums;
}

/**
 * The same for a known rate, by the distribution of what is left: between two dates some are used, and on each date the rest
 * of its lot is lost.
 */
export function lossWithin(
  lots: readonly DatedUnits[],
  within: (days: number) => { mean: number; variance: number },
  ahead: DaysAhead = usualDays,
): number[] {
  const all = lots.reduce((sum, { units }) => sum + units, 0);
  const part = Math.max(1, all / MOST_PARTS);
  const parts = lots.map(({ units }) => Math.max(0, Math.round(units / part)));
  const total = parts.reduce((sum, count) => sum + count, 0);
  let left = new Float64Array(total + 1);
  left[total] = 1;
  let later = total;
  let before = 0;
  return lots.map(({ days }, at) => {
    const until = ahead(Math.max(0, days));
    if (until > before) left = used(left, within(until - before), part);
    before = Math.max(before, until);
    later -= parts[at]!;
    let lost = 0;
    for (let n = later + 1; n < left.length; n++) {
      lost += left[n]! * (n - later);
      left[later]! += left[n]!;
      left[n] = 0;
    }
    return lost * part;
  });
}

function used(
  left: Float64Array<ArrayBuffer>,
  { mean, variance }: { mean: number; variance: number },
  part: number,
): Float64Array<ArrayBuffer> {
  const chances: number[] = [];
  let before = 0;
  for (let n = 0; n < left.length && before < 1 - 1e-12; n++) {
    const upTo = chanceAtMost(Math.floor(n * part + part / 2 - 0.5 + 1e-9), mean, variance);
    chances.push(upTo - before);
    before = upTo;
  }
  const after = new Float64Array(left.length);
  for (let n = 0; n < left.length; n++) {
    if (left[n] === 0) continue;
    let more = 1;
    for (let use = 0; use < n && use < chances.length; use++) {
      after[n - use]! += left[n]! * chances[use]!;
      more -= chances[use]!;
    }
    after[0]! += left[n]! * Math.max(0, more);
  }
  return after;
}
