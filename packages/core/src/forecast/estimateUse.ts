/** How fast a thing is used, how evenly, and how well that is known: several memories of different length, weighed by how well each foretold the weeks so far. */
import { BLOCK_DAYS, blockOf, GAP, IN, USED, WINDOW_DAYS } from '../use';
import type { UseDigest } from '../use';
import { logOf, powerOfTwo, expOf } from './numbers';
import { readUseDays, type Presence, type UseDays } from './useDays';

/** What is assumed of a thing of which little is known. */
export interface UsePrior {
  /** Uses a day. */
  rate: number;
  /** How many uses that assumption counts for. */
  weight: number;
  /** Variance over mean of the use: 1 by chance alone. */
  unevenness: number;
}
/** Own estimates, tuned on simulated homes: a use every four days. */
export const USUAL_PRIOR: UsePrior = { rate: 0.25, weight: 0.4, unevenness: 1 };
/** A pace that somebody said counts as much as two weeks of seeing it. */
const SAID_DAYS = 14;

/** Half-lives of the memories, in days, and how far each is trusted beforehand; last, that of this time last year. */
const MEMORIES = [10, 35, 110, 400] as const;
const TRUST = [0.05, 0.1, 0.25, 0.6, 0.2] as const;
const SEASON = MEMORIES.length;
/** What the season's memory counts as: two blocks. */
const SEASON_DAYS = 56;
const SHARPNESS = 1.5;
const JUDGED_HALF_LIFE = 84;
/** Weeks are pooled until so many uses were expected. */
const LEAST_EXPECTED = 1.5;
const UNEVENNESS = { least: 0.03, most: 12, weight: 2.5, judgedAt: 1.3, judgedLeast: 0.3 } as const;
const FROM_PURCHASES = 2.5;
const WEEKS = WINDOW_DAYS / 7;
/** Blocks that must be known before this time last year is looked at. */
const BLOCKS_OF_A_SEASON = 7;

/** How a thing is used. Amounts and rates are in `quantum`. */
export interface UseEstimate {
  /** The amount it is used by, in thousandths of the item's unit. */
  quantum: number;
  /** There by the book. */
  stock: number;
  /** Likely there: the book less what usually goes without a note since the last count. */
  likely: number;
  /** A day of which it is there and everybody is at home. */
  rate: number;
  /** For how many days' worth of seeing the rate counts. */
  memoryDays: number;
  /** Variance over mean. */
  unevenness: number;
  /** How far the memories disagree: variance of their rates. */
  disagreement: number;
  /** Of each memory, the last that of the season when there is one; sum 1. */
  weights: readonly number[];
  rates: readonly number[];
  /** Days on which a use was noted, of the last half year. */
  daysOfUse: number;
  /** What was noted as used on them. */
  usedSeen: number;
  /** Used at once, usually. */
  typical: number;
  /** Days of the last half year on which it could have been used. */
  exposedDays: number;
  /** Nobody notes it when some is taken: told from purchases. */
  fromPurchases: boolean;
  /** Counts found some missing. */
  foundShort: boolean;
  /** Somebody said how much a week. */
  said: boolean;
}

export interface EstimateOptions {
  presence?: readonly Presence[];
  prior?: UsePrior;
  /** What somebody said, in thousandths a day. */
  saidPerDay?: number | null;
}

const halves = new Map<number, number>();
/** What is left of a memory of half-life h after some days. */
function kept(days: number, halfLife: number): number {
  const key = days * 4096 + halfLife;
  let share = halves.get(key);
  if (share === undefined) halves.set(key, (share = powerOfTwo(-days / halfLife)));
  return share;
}

/**
 * Estimates the use of an item.
 *
 * @param digest is carried on to today
 * @param today counted from 1970-01-01
 * For example one a day for 26 weeks: rate 0.98770, unevenness 0.20494 (checked by a second program).
 */
export function estimateUse(digest: UseDigest, today: number, options: EstimateOptions = {}): UseEstimate {
  const { presence = [], prior = USUAL_PRIOR, saidPerDay = null } = options;
  const days = readUseDays(digest, today, presence);
  const mean = days.daysOfUse > 0 ? days.usedSum / days.daysOfUse : 0;
  let quantum = days.divisor || 1000;
  if (mean > 0 && quantum < mean / 8) quantum = Math.max(1, Math.round(mean / 8));
  const typical = days.daysOfUse > 0 ? mean / quantum : 1;
  const said = saidPerDay === null ? null : saidPerDay / quantum;
  const assumed =
    said === null
      ? { uses: prior.weight * typical, days: prior.weight / prior.rate }
      : { uses: Math.max(said, 1e-6) * SAID_DAYS, days: SAID_DAYS };
  const weeks = weeksOf(days, quantum);
  const older = olderOf(digest, days, quantum);
  const memory = new Memories(assumed, older);
  for (let week = 0; week < WEEKS; week++)
    memory.live(weeks.used[week]!, weeks.exposed[week]!, older.rateAYearBefore(days.first + week * 7 + 3));
  memory.look(older.rateAYearBefore(today + 10));
  const { rate, memoryDays } = memory;
  const unevenness = memory.unevenness(prior.unevenness) * (days.fromPurchases ? FROM_PURCHASES : 1);
  const likely = days.likely ?? likelyThere(days, quantum, rate);
  return {
    quantum,
    stock: days.stock / quantum,
    likely: likely / quantum,
    rate,
    memoryDays,
    unevenness,
    disagreement: memory.disagreement(),
    weights: [...memory.weights.subarray(0, memory.count)],
    rates: [...memory.rates.subarray(0, memory.count)],
    daysOfUse: days.daysOfUse,
    usedSeen: days.usedSum / quantum,
    typical,
    exposedDays: days.exposed.reduce((sum, day) => sum + day, 0),
    fromPurchases: days.fromPurchases,
    foundShort: days.short > 0,
    said: said !== null,
  };
}

/** What was used in each of the 26 weeks up to today, in quanta, and how many days of it it could have been. */
function weeksOf({ used, exposed }: UseDays, quantum: number): { used: Float64Array; exposed: Float64Array } {
  const weeks = { used: new Float64Array(WEEKS), exposed: new Float64Array(WEEKS) };
  for (let at = 0; at < WINDOW_DAYS; at++) {
    const week = Math.floor(at / 7);
    weeks.used[week]! += used[at]!;
    weeks.exposed[week]! += exposed[at]!;
  }
  for (let week = 0; week < WEEKS; week++) weeks.used[week]! /= quantum;
  return weeks;
}

interface Older {
  /** Each block before the window: used, exposed days, and how long before the window its middle is. */
  blocks: { used: number; days: number; age: number }[];
  /** Used a day about a year before a day (blocks 1:2:1); null: not known. */
  rateAYearBefore: (day: number) => number | null;
}

function olderOf(digest: UseDigest, days: UseDays, quantum: number): Older {
  const usedIn = new Map<number, number>();
  for (const [block, cell] of digest.blocks) {
    if (block * BLOCK_DAYS + BLOCK_DAYS / 2 >= days.first) continue;
    const gone = cell[USED] + Math.max(0, -cell[GAP]);
    // A thing of which nothing is ever noted: what was bought was used.
    const used = gone < 0.5 * cell[IN] && days.usedSum === 0 ? cell[IN] : gone;
    usedIn.set(block, used / quantum);
  }
  const firstBlock = Number.isFinite(days.firstKnown) ? blockOf(days.firstKnown) : 0;
  const blocks: Older['blocks'] = [];
  if (days.firstKnown < days.first)
    for (let block = firstBlock; (block + 1) * BLOCK_DAYS <= days.first; block++) {
      const age = days.first - (block * BLOCK_DAYS + BLOCK_DAYS / 2);
      blocks.push({ used: usedIn.get(block) ?? 0, days: block === firstBlock ? BLOCK_DAYS / 2 : BLOCK_DAYS, age });
    }
  const rateAYearBefore = (day: number): number | null => {
    const block = Math.floor((day - 364) / BLOCK_DAYS);
    if (blocks.length < BLOCKS_OF_A_SEASON || block - 1 < firstBlock) return null;
    const of = (n: number): number => usedIn.get(n) ?? 0;
    return (0.5 * of(block - 1) + of(block) + 0.5 * of(block + 1)) / (2 * BLOCK_DAYS);
  };
  return { blocks, rateAYearBefore };
}

/** What is kept of each memory from one week to the next, and from the middle of a week to its end. */
const AFTER_A_WEEK = MEMORIES.map((halfLife) => powerOfTwo(-7 / halfLife));
const AFTER_HALF_A_WEEK = MEMORIES.map((halfLife) => powerOfTwo(-3.5 / halfLife));
const JUDGED_AFTER_A_WEEK = powerOfTwo(-7 / JUDGED_HALF_LIFE);

/** Written with plain loops over arrays that are made once: it runs for every item of a home, 27 times for each. */
class Memories {
  private readonly uses = new Float64Array(SEASON);
  private readonly days = new Float64Array(SEASON);
  /** How well each foretold the weeks so far: log likelihoods, fading. */
  private readonly judged = new Float64Array(SEASON + 1);
  /** Squared errors of each over what it expected. */
  private readonly errors = new Float64Array(SEASON);
  private readonly expectedOf = new Float64Array(SEASON);
  private expected = 0;
  private seen = 0;
  private variance = 0;
  private error = 0;
  private terms = 0;
  private judgedUnevenness = 1;

  /** As of the last `look`: of each memory, and over all. */
  readonly rates = new Float64Array(SEASON + 1);
  readonly weights = new Float64Array(SEASON + 1);
  /** How many of them there are: with the season or without. */
  count: number = SEASON;
  rate = 0;
  memoryDays = 0;

  constructor(
    private readonly assumed: { uses: number; days: number },
    { blocks }: Older,
  ) {
    for (const { used, days, age } of blocks)
      for (const [k, halfLife] of MEMORIES.entries()) {
        this.uses[k]! += kept(age, halfLife) * used;
        this.days[k]! += kept(age, halfLife) * days;
      }
  }

  /** Weighs the memories as they are now. @param lastYear the rate about this time last year, when it is known */
  look(lastYear: number | null): void {
    const { uses, days, rates, weights, judged, assumed } = this;
    const count = lastYear === null ? SEASON : SEASON + 1;
    let best = -Infinity;
    for (let k = 0; k < count; k++) {
      if (judged[k]! > best) best = judged[k]!;
      if (k < SEASON) rates[k] = (assumed.uses + uses[k]!) / (assumed.days + days[k]!);
    }
    // Half as much as the block itself is said by the recent months.
    if (lastYear !== null) rates[SEASON] = (lastYear * BLOCK_DAYS + (rates[1]! * BLOCK_DAYS) / 2) / (BLOCK_DAYS * 1.5);
    let sum = 0;
    for (let k = 0; k < count; k++) {
      weights[k] = TRUST[k]! * expOf((judged[k]! - best) * SHARPNESS);
      sum += weights[k]!;
    }
    this.rate = 0;
    this.memoryDays = 0;
    for (let k = 0; k < count; k++) {
      weights[k]! /= sum;
      this.rate += weights[k]! * rates[k]!;
      this.memoryDays += weights[k]! * (k < SEASON ? assumed.days + days[k]! : SEASON_DAYS);
    }
    this.count = count;
  }

  /** A week passes: first what the memories foretell is judged, then they learn. */
  live(used: number, exposed: number, lastYear: number | null): void {
    const { uses, days } = this;
    if (exposed > 0) {
      this.look(lastYear);
      this.judge(used, exposed);
    }
    for (let k = 0; k < SEASON; k++) {
      uses[k] = uses[k]! * AFTER_A_WEEK[k]! + used * AFTER_HALF_A_WEEK[k]!;
      days[k] = days[k]! * AFTER_A_WEEK[k]! + exposed * AFTER_HALF_A_WEEK[k]!;
    }
  }

  private judge(used: number, exposed: number): void {
    const { rates, rate, count, judged, expectedOf } = this;
    const mean = rate * exposed;
    this.expected += mean;
    this.seen += used;
    this.variance += mean * (1 + exposed / this.memoryDays);
    for (let k = 0; k < SEASON; k++) expectedOf[k]! += rates[k]! * exposed;
    if (this.expected >= LEAST_EXPECTED) this.closePool();
    // Without a season the mean of the others stands in for it: when one comes it begins as good as they are.
    for (let k = 0; k <= SEASON; k++) {
      const own = (k < count ? rates[k]! : rate) * exposed;
      judged[k] = judged[k]! * JUDGED_AFTER_A_WEEK + (used * logOf(own) - own) / this.judgedUnevenness;
    }
  }

  private closePool(): void {
    const { seen, expected, errors, expectedOf } = this;
    this.error += ((seen - expected) * (seen - expected)) / this.variance;
    this.terms += 1;
    let least = Infinity;
    for (let k = 0; k < SEASON; k++) {
      const own = seen - expectedOf[k]!;
      errors[k]! += (own * own) / Math.max(expectedOf[k]!, 0.5 * expected);
      expectedOf[k] = 0;
      if (errors[k]! < least) least = errors[k]!;
    }
    const { weight, judgedAt, judgedLeast } = UNEVENNESS;
    this.judgedUnevenness = Math.max(judgedLeast, (least + weight * judgedAt) / (this.terms + weight));
    this.expected = this.seen = this.variance = 0;
  }

  /** Variance over mean, from how far the forecasts one week ahead were off. */
  unevenness(assumed: number): number {
    const { least, most, weight } = UNEVENNESS;
    const raw = (this.error + weight * assumed) / (this.terms + weight);
    return Math.min(most, Math.max(least, raw)) * (1 + 1 / (this.terms + weight));
  }

  /** How far the memories disagree, as of the last `look`. */
  disagreement(): number {
    let sum = 0;
    for (let k = 0; k < this.count; k++)
      sum += this.weights[k]! * (this.rates[k]! - this.rate) * (this.rates[k]! - this.rate);
    return sum;
  }
}

/** A share of what is used goes without a note; it is learned from counts, with 20 uses of doubt. */
const UNNOTED = { short: 0.6, noted: 20, mostDays: 7 } as const;

/** In thousandths. */
function likelyThere({ stock, short, noted, counted }: UseDays, quantum: number, rate: number): number {
  let lastCount = -1;
  for (let at = 0; at < WINDOW_DAYS; at++) if (counted[at]! > 0) lastCount = at;
  let [before, since] = [0, 0];
  for (let at = 0; at < WINDOW_DAYS; at++) {
    if (at <= lastCount) before += noted[at]! / quantum;
    else since += noted[at]! / quantum;
  }
  const missing = lastCount >= 0 ? short / quantum : 0;
  const share = (missing + UNNOTED.short) / (before + missing + UNNOTED.noted);
  return Math.max(0, stock - quantum * Math.min((share / (1 - share)) * since, UNNOTED.mostDays * rate));
}
