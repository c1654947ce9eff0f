/**
 * How one item was put in and used, in sums on a fixed calendar grid: single days for the last half year, blocks of 28 days
 * for about two years, and what is older as one number. Every sum is linear in the events, so that whatever order they come
 * in, the result is the same; everything that is not linear is worked out when the row is read (`forecast`).
 */

/** Single days are kept at least this long: 26 weeks. */
export const WINDOW_DAYS = 182;
/** Days in a block. Block n begins on day 28·n. */
export const BLOCK_DAYS = 28;
/** Blocks kept before the single days. */
export const BLOCKS = 20;

/** What a cell sums up, in thousandths of the item's unit; `COUNTS` in counts. */
export const IN = 0;
export const USED = 1;
/** Moved, thrown out, lent and given back: neither bought nor used. */
export const OTHER = 2;
/** What counts found more (or, negative, less) than the book said. */
export const GAP = 3;
export const COUNTS = 4;
const WIDTH = 5;
export type UseSeries = 0 | 1 | 2 | 3 | 4;
/** In, used, other, gap, counts. */
export type UseCell = [number, number, number, number, number];

/** What each series does to the stock. */
const SIGN = [1, -1, 1, 1, 0] as const;

/** Days are counted from 1970-01-01 UTC. */
export interface UseDigest {
  /** The day of the latest event; -1 when there was none. */
  asOf: number;
  /** What all that is older than the blocks leaves in the stock, in thousandths. */
  carry: number;
  /** By day. */
  days: Map<number, UseCell>;
  /** By number of the block. */
  blocks: Map<number, UseCell>;
}

export const emptyDigest = (): UseDigest => ({ asOf: -1, carry: 0, days: new Map(), blocks: new Map() });

export const copyOfDigest = ({ asOf, carry, days, blocks }: UseDigest): UseDigest => ({
  asOf,
  carry,
  days: new Map([...days].map(([day, cell]) => [day, [...cell]])),
  blocks: new Map([...blocks].map(([block, cell]) => [block, [...cell]])),
});

export const blockOf = (day: number): number => Math.floor(day / BLOCK_DAYS);
/** The first day that is still a single one: the first of a block, 182 to 209 days back. */
export const firstDayOf = (asOf: number): number => blockOf(asOf - WINDOW_DAYS + 1) * BLOCK_DAYS;
const firstBlockOf = (asOf: number): number => blockOf(firstDayOf(asOf)) - BLOCKS;

function bump(cells: Map<number, UseCell>, key: number, series: UseSeries, amount: number): void {
  let cell = cells.get(key);
  if (!cell) cells.set(key, (cell = [0, 0, 0, 0, 0]));
  cell[series] += amount;
  // A cell of nothing is no cell: what was taken back leaves no trace, whatever the order.
  if (cell.every((sum) => sum === 0)) cells.delete(key);
}

/** Adds an amount to a day's series. The day must not be after `asOf`. */
export function addTo(digest: UseDigest, day: number, series: UseSeries, amount: number): void {
  if (amount === 0) return;
  if (day >= firstDayOf(digest.asOf)) bump(digest.days, day, series, amount);
  else if (blockOf(day) >= firstBlockOf(digest.asOf)) bump(digest.blocks, blockOf(day), series, amount);
  else digest.carry += SIGN[series] * amount;
}

/** Carries the grid on to a later day: days that leave it are summed into their block, blocks that leave it into the carry. */
export function carryOn(digest: UseDigest, day: number): void {
  if (day <= digest.asOf) return;
  const before = digest.asOf;
  digest.asOf = day;
  // The grid moves every four weeks.
  if (before >= 0 && firstDayOf(before) === firstDayOf(day)) return;
  const first = firstDayOf(day);
  const firstBlock = firstBlockOf(day);
  for (const [old, cell] of digest.days) {
    if (old >= first) continue;
    digest.days.delete(old);
    for (const [series, sum] of cell.entries()) addTo(digest, old, series as UseSeries, sum);
  }
  for (const [block, cell] of digest.blocks) {
    if (block >= firstBlock) continue;
    digest.blocks.delete(block);
    for (const [series, sum] of cell.entries()) digest.carry += SIGN[series as UseSeries] * sum;
  }
}

/**
 * Adds another digest to one, in another unit: amounts times `each`, to whole thousandths; counts as they are.
 * @param from is carried on to the later of both days
 */
export function addScaled(digest: UseDigest, from: UseDigest, each: number): void {
  if (from.asOf < 0) return;
  carryOn(digest, from.asOf);
  carryOn(from, digest.asOf);
  const scaled = (sum: number, series: number): number => (series === COUNTS ? sum : Math.round(sum * each));
  for (const [key, cell] of from.days)
    for (const [series, sum] of cell.entries())
      if (sum !== 0) bump(digest.days, key, series as UseSeries, scaled(sum, series));
  for (const [key, cell] of from.blocks)
    for (const [series, sum] of cell.entries())
      if (sum !== 0) bump(digest.blocks, key, series as UseSeries, scaled(sum, series));
  digest.carry += Math.round(from.carry * each);
}

/** What a cell leaves in the stock. */
export const netOf = (cell: Readonly<UseCell>): number => cell[IN] - cell[USED] + cell[OTHER] + cell[GAP];

/** What the item's lots should hold together now, in thousandths: not cut at 0. */
export function bookOf(digest: UseDigest): number {
  let book = digest.carry;
  for (const cells of [digest.days, digest.blocks]) for (const cell of cells.values()) book += netOf(cell);
  return book;
}

const inOrder = (cells: Map<number, UseCell>): [number, UseCell][] => [...cells].sort(([a], [b]) => a - b);

function commonDivisor(a: number, b: number): number {
  while (b !== 0) [a, b] = [b, a % b];
  return a;
}

/**
 * A digest as bytes: variable-length whole numbers, amounts by their common divisor, so that 3,000 thousandths of a thing
 * that is counted take one byte. The same digest gives the same bytes. About 150 bytes for a thing of daily use.
 */
export function packDigest(digest: UseDigest): Uint8Array {
  const { asOf, carry } = digest;
  const days = inOrder(digest.days);
  const blocks = inOrder(digest.blocks);
  let divisor = Math.abs(carry);
  for (const [, cell] of [...days, ...blocks])
    for (let series = 0; series < COUNTS; series++) divisor = commonDivisor(divisor, Math.abs(cell[series]!));
  if (divisor === 0) divisor = 1;
  const bytes: number[] = [];
  const put = (value: number): void => {
    // Sums go beyond 32 bits: no shifts.
    let rest = value;
    for (; rest >= 128; rest = Math.floor(rest / 128)) bytes.push((rest % 128) + 128);
    bytes.push(rest);
  };
  const putSigned = (value: number): void => put(value < 0 ? -2 * value - 1 : 2 * value);
  put(asOf + 1);
  put(divisor);
  put(days.length);
  put(blocks.length);
  putSigned(carry / divisor);
  const putCells = (cells: readonly [number, UseCell][], from: number): void => {
    let last = from;
    for (const [key, cell] of cells) {
      const mask = cell.reduce((sum, value, series) => (value === 0 ? sum : sum + 2 ** series), 0);
      put((key - last) * 2 ** WIDTH + mask);
      last = key;
      for (const [series, value] of cell.entries())
        if (value !== 0) putSigned(series === COUNTS ? value : value / divisor);
    }
  };
  putCells(days, asOf < 0 ? 0 : firstDayOf(asOf));
  putCells(blocks, asOf < 0 ? 0 : firstBlockOf(asOf));
  return Uint8Array.from(bytes);
}

/** @throws RangeError when the bytes end too early */
export function unpackDigest(bytes: Uint8Array): UseDigest {
  let at = 0;
  const get = (): number => {
    for (let value = 0, factor = 1; ; factor *= 128) {
      const byte = bytes[at++];
      if (byte === undefined) throw new RangeError('A use digest ended too early.');
      value += (byte % 128) * factor;
      if (byte < 128) return value;
    }
  };
  const getSigned = (): number => {
    const value = get();
    return value % 2 === 1 ? -(value + 1) / 2 : value / 2;
  };
  const asOf = get() - 1;
  const divisor = get();
  const counts = [get(), get()] as const;
  const carry = getSigned() * divisor;
  const getCells = (count: number, from: number): Map<number, UseCell> => {
    const cells = new Map<number, UseCell>();
    let key = from;
    for (let n = 0; n < count; n++) {
      const head = get();
      key += Math.floor(head / 2 ** WIDTH);
      const cell: UseCell = [0, 0, 0, 0, 0];
      for (let series = 0; series < WIDTH; series++)
        if (Math.floor(head / 2 ** series) % 2 === 1) cell[series] = getSigned() * (series === COUNTS ? 1 : divisor);
      cells.set(key, cell);
    }
    return cells;
  };
  const days = getCells(counts[0], asOf < 0 ? 0 : firstDayOf(asOf));
  const blocks = getCells(counts[1], asOf < 0 ? 0 : firstBlockOf(asOf));
  return { asOf, carry, days, blocks };
}
