/** Reads a digest day by day: what was used on each of the last 182 days, and on which days it could have been used at all. */
import { BLOCK_DAYS, BLOCKS, blockOf, carryOn, COUNTS, GAP, IN, netOf, USED, WINDOW_DAYS } from '../use';
import type { UseDigest } from '../use';

/** Days on which use is another than usual. Days are counted from 1970-01-01, both ends included. */
export interface Presence {
  from: number;
  to: number;
  /** How much is used against usual days: 0 when everybody is away, 1.5 when two have one guest. */
  factor: number;
}

/** The window of 182 days that ends today, oldest first; amounts in thousandths. */
export interface UseDays {
  /** Its first day. */
  first: number;
  /** Used on each day: noted, or told by a count or by the next purchase. */
  used: Float64Array;
  /** How much of each day it could have been used: nothing there is no lack of wish. */
  exposed: Float64Array;
  /** What was noted as used, alone. */
  noted: Float64Array;
  /** Counts on each day. */
  counted: Float64Array;
  /** What is there by the book; never below 0. */
  stock: number;
  /** What is likely there, where only purchases were noted; null: the book says it. */
  likely: number | null;
  /** The first day from which anything is known; ∞ when nothing is. */
  firstKnown: number;
  /** The greatest common divisor of the amounts noted; 0 when none was. */
  divisor: number;
  daysOfUse: number;
  usedSum: number;
  /** What counts found missing, over the window. */
  short: number;
  /** Nobody notes it when some is taken: use was told from purchases. */
  fromPurchases: boolean;
}

const series = (): Float64Array => new Float64Array(WINDOW_DAYS);

interface Reading extends UseDays {
  bought: Float64Array;
  /** By the book, at the start of each day. */
  start: Float64Array;
  net: Float64Array;
  gaps: Float64Array;
  everNoted: boolean;
  lastCountBefore: number;
  /** The book at the start of the window. */
  book: number;
}

function commonDivisor(a: number, b: number): number {
  while (b !== 0) [a, b] = [b, a % b];
  return a;
}

/**
 * @param digest carried on to today by this function
 * @param today counted from 1970-01-01
 */
export function readUseDays(digest: UseDigest, today: number, presence: readonly Presence[]): UseDays {
  carryOn(digest, today);
  const reading = readCells(digest, today);
  const spare = walkTheBook(reading);
  exposeDays(reading, spare, today, presence);
  spreadShortCounts(reading);
  tellFromPurchases(reading);
  return reading;
}

function readCells(digest: UseDigest, today: number): Reading {
  const first = today - WINDOW_DAYS + 1;
  const reading: Reading = {
    first,
    used: series(),
    exposed: series(),
    noted: series(),
    counted: series(),
    bought: series(),
    start: series(),
    net: series(),
    gaps: series(),
    stock: 0,
    likely: null,
    firstKnown: Infinity,
    divisor: 0,
    daysOfUse: 0,
    usedSum: 0,
    short: 0,
    fromPurchases: false,
    everNoted: false,
    lastCountBefore: -Infinity,
    book: digest.carry,
  };
  for (const [block, cell] of digest.blocks) {
    // Nobody knows the day any more: the middle of the block stands for it.
    const middle = block * BLOCK_DAYS + BLOCK_DAYS / 2;
    reading.firstKnown = Math.min(reading.firstKnown, middle);
    if (cell[COUNTS] > 0) reading.lastCountBefore = Math.max(reading.lastCountBefore, middle);
    reading.book += netOf(cell);
    if (cell[USED] > 0) reading.everNoted = true;
  }
  if (digest.carry !== 0) reading.firstKnown = Math.min(reading.firstKnown, (blockOf(first) - BLOCKS) * BLOCK_DAYS);
  for (const [day, cell] of digest.days) {
    reading.firstKnown = Math.min(reading.firstKnown, day);
    if (cell[USED] > 0) {
      reading.divisor = commonDivisor(reading.divisor, cell[USED]);
      reading.everNoted = true;
    }
    const at = day - first;
    if (at < 0) {
      reading.book += netOf(cell);
      if (cell[COUNTS] > 0) reading.lastCountBefore = Math.max(reading.lastCountBefore, day);
      continue;
    }
    if (at >= WINDOW_DAYS) continue;
    reading.net[at] = netOf(cell);
    reading.counted[at] = cell[COUNTS];
    reading.gaps[at] = cell[GAP];
    if (cell[USED] > 0) {
      reading.used[at] = cell[USED];
      reading.usedSum += cell[USED];
      reading.daysOfUse++;
    }
    if (cell[IN] > 0) reading.bought[at] = cell[IN];
  }
  reading.noted.set(reading.used);
  return reading;
}

/**
 * The book forwards. Taking more than there was lifts it until the next count: there was a purchase that nobody noted.
 * @returns the days on which it was lifted
 */
function walkTheBook(reading: Reading): Uint8Array {
  const spare = new Uint8Array(WINDOW_DAYS);
  let level = reading.book;
  let lift = Math.max(0, -level);
  for (let at = 0; at < WINDOW_DAYS; at++) {
    if (reading.counted[at]! > 0) lift = 0;
    reading.start[at] = level + lift;
    level += reading.net[at]!;
    if (level + lift < 0) {
      lift = -level;
      spare[at] = 1;
    }
  }
  reading.stock = Math.max(0, level + lift);
  return spare;
}

/** A day counts when something was there at its start, or when a later taking beyond the book proves that something was. */
function exposeDays(reading: Reading, spare: Uint8Array, today: number, presence: readonly Presence[]): void {
  const { first, firstKnown, used, exposed, start, bought } = reading;
  let proven = false;
  for (let at = WINDOW_DAYS - 1; at >= 0; at--) {
    if (spare[at] === 1) proven = true;
    const day = first + at;
    if (day >= firstKnown) {
      exposed[at] = used[at]! > 0 || start[at]! > 0 || proven ? 1 : bought[at]! > 0 ? 0.5 : 0;
      if (day === firstKnown && used[at] === 0) exposed[at] = 0.5;
    }
    if (bought[at]! > 0) proven = false;
  }
  for (const { from, to, factor } of presence)
    for (let day = Math.max(from, first); day <= Math.min(to, today); day++) {
      const at = day - first;
      // What was used while they were away was used all the same.
      if (factor > 0) exposed[at]! *= factor;
      else if (used[at] === 0) exposed[at] = 0;
    }
}

/** What a count found missing was used on some day since the count before. What another count found too much is set off. */
function spreadShortCounts(reading: Reading): void {
  const { first, used, exposed, counted, gaps } = reading;
  let [over, short] = [0, 0];
  for (const gap of gaps) {
    if (gap > 0) over += gap;
    else short -= gap;
  }
  const kept = short > 0 ? Math.max(0, 1 - over / short) : 0;
  let since = Math.max(reading.firstKnown, reading.lastCountBefore);
  for (let to = 0; to < WINDOW_DAYS; to++) {
    if (counted[to] === 0 && gaps[to] === 0) continue;
    const day = first + to;
    if (gaps[to]! < 0 && kept > 0) {
      const from = Math.max(0, since - first);
      const inWindow = (to - from + 1) / Math.max(1, day - since + 1);
      const amount = -gaps[to]! * kept * Math.min(1, inWindow);
      let days = 0;
      for (let at = from; at <= to; at++) days += exposed[at]!;
      if (days > 0) for (let at = from; at <= to; at++) used[at]! += (amount / days) * exposed[at]!;
      else {
        used[to]! += amount;
        exposed[to] = 1;
      }
    }
    since = day + 1;
  }
  reading.short = short * kept;
}

/** A thing whose purchases alone are noted must have been bought over at least this long. */
const LEAST_SPAN_DAYS = 14;
/** How much of a counted stock is gone when the next is bought. */
const GONE_BY_THE_NEXT = 0.8;

/**
 * Bought but hardly ever noted as taken: what was bought is used up when it is bought again. Each purchase is spread until the
 * next one; what came last says nothing until it must be gone.
 */
function tellFromPurchases(reading: Reading): void {
  const { used, exposed, noted, counted, bought, start } = reading;
  let lastCount = -1;
  let [notedSum, boughtSum] = [0, 0];
  for (let at = 0; at < WINDOW_DAYS; at++) {
    if (counted[at]! > 0) lastCount = at;
    notedSum += noted[at]!;
    boughtSum += bought[at]!;
  }
  const purchases: number[] = [];
  for (let at = lastCount + 1; at < WINDOW_DAYS; at++) if (bought[at]! > 0) purchases.push(at);
  const usedUp = purchases.slice(0, -1).reduce((sum, at) => sum + bought[at]!, 0);
  const gone = reading.short > 0 ? notedSum + reading.short : Math.max(notedSum, usedUp);
  if (gone <= 0 && boughtSum <= 0) return;
  if ((gone > 0 ? notedSum / gone : 1) >= 0.5) return;
  // Without a count: only when nothing at all was ever noted, and it was bought twice, two weeks apart or more.
  const span = purchases.length < 2 ? 0 : purchases.at(-1)! - purchases[0]!;
  if (lastCount < 0 && (reading.everNoted || purchases.length < 2 || span < LEAST_SPAN_DAYS)) return;
  let [spreadSum, days] = [0, 0];
  const spread = (from: number, to: number, amount: number): void => {
    const aDay = amount / Math.max(1, to - from);
    for (let at = from; at < to; at++) {
      if (aDay > used[at]!) used[at] = aDay;
      exposed[at] = 1;
    }
    spreadSum += amount;
    days += to - from;
  };
  let from = -1;
  let amount = 0;
  if (lastCount >= 0) {
    from = lastCount + 1;
    amount = from < WINDOW_DAYS ? start[from]! : 0;
    for (let at = 0; at <= lastCount; at++) {
      spreadSum += used[at]!;
      days += exposed[at]!;
    }
  }
  const afterCount = lastCount + 1;
  for (const at of purchases) {
    if (from >= 0 && at > from)
      spread(from, at, amount * (lastCount >= 0 && from === afterCount ? GONE_BY_THE_NEXT : 1));
    from = at;
    amount = bought[at]!;
  }
  if (from >= 0 && from < WINDOW_DAYS) {
    const aDay = days > 0 ? spreadSum / days : 0;
    const since = WINDOW_DAYS - from;
    reading.likely = Math.max(0, amount - aDay * since);
    if (aDay * since > amount && amount > 0) spread(from, WINDOW_DAYS, amount);
    else exposed.fill(0, from);
  }
  reading.fromPurchases = spreadSum > 0;
}
