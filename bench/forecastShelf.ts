/** What measuring forecasts needs: one item's stock as the ledger keeps it, and the usual methods to compare with. */
import {
  carryOn,
  continueUse,
  estimateUse,
  NOTHING_YET,
  readDigest,
  rebuildUse,
  type LedgerEvent,
  type LotRow,
  type Presence,
  type UseEstimate,
  type UseRow,
} from '@ours/core';
import type { SimulatedItem } from './simulatedUse';

export const ITEM = '0190a0a0-0000-7000-8000-000000000001';
/** 2025-01-04, a Saturday: shop days are multiples of seven. */
export const DAY0 = 20_092;
export const instant = (day: number, hour: number): string =>
  new Date((DAY0 + day) * 86_400_000 + hour * 3_600_000).toISOString();
export const presenceOf = ({ away }: SimulatedItem): Presence[] =>
  away.map(([from, to]) => ({ from: DAY0 + from, to: DAY0 + to, factor: 0 }));

/** One item's stock, kept as the ledger keeps it. */
export class Shelf {
  row: UseRow = rebuildUse(ITEM, []);
  lot: LotRow = { ...NOTHING_YET, id: 'lot', seq: 1, retired: false, itemId: ITEM } as unknown as LotRow;
  /** What is really there. */
  stock = 0;
  private serial = 0;

  constructor(
    readonly item: SimulatedItem,
    private readonly random: () => number,
  ) {}

  tell(kind: LedgerEvent['kind'], units: number, day: number, hour: number): void {
    const event: LedgerEvent = {
      id: `e${String(++this.serial).padStart(6, '0')}`,
      lotId: 'lot',
      kind,
      quantityThousandths: units * this.item.step,
      occurredAt: instant(day, hour),
      reason: null,
      voids: null,
    };
    this.row = continueUse(this.row, ITEM, this.lot, event);
    const before = this.lot.bookThousandths ?? 0;
    const { quantityThousandths: amount } = event;
    const key = { occurredAt: event.occurredAt, id: event.id };
    const book = kind === 'counted' ? amount : before + (kind === 'put_in' ? amount : -amount);
    this.lot = {
      ...this.lot,
      bookThousandths: book,
      quantityThousandths: Math.max(0, book),
      lastAt: key,
      countedAt: kind === 'counted' ? key : this.lot.countedAt,
    };
  }
  buy(units: number, day: number): void {
    if (units <= 0) return;
    this.stock += units;
    this.tell('put_in', units, day, 6);
  }
  /** @returns how many were missed */
  want(units: number, day: number): number {
    const taken = Math.min(units, this.stock);
    this.stock -= taken;
    let noted = 0;
    for (let n = 0; n < taken; n++) if (this.random() < this.item.noted) noted++;
    if (noted > 0) this.tell('taken', noted, day, 12);
    return units - taken;
  }
  count(day: number): void {
    this.tell('counted', this.stock, day, 20);
  }
  estimate(day: number): UseEstimate {
    return estimateUse(readDigest(this.row.digest), DAY0 + day, { presence: presenceOf(this.item) });
  }
}

/** What the usual methods see: what was noted, day by day. */
export function notedUse(row: UseRow, day: number): number[] {
  const digest = readDigest(row.digest);
  carryOn(digest, DAY0 + day);
  const first = Math.max(DAY0, DAY0 + day - 181);
  return Array.from({ length: DAY0 + day - first + 1 }, (_, at) => digest.days.get(first + at)?.[1] ?? 0);
}

/** Rates a day by the usual methods (α = 0.1), in thousandths. Croston 1972; Syntetos and Boylan 2005; Teunter, Syntetos and Babai 2011. */
export const METHODS: Readonly<Record<string, (use: readonly number[]) => number>> = {
  'plain mean': (use) => use.reduce((sum, one) => sum + one, 0) / Math.max(1, use.length),
  smoothing: (use) => use.reduce((level, one) => level + 0.1 * (one - level), use[0] ?? 0),
  Croston: (use) => croston(use),
  SBA: (use) => croston(use) * (1 - 0.1 / 2),
  TSB: (use) => {
    const first = use.findIndex((one) => one > 0);
    if (first < 0) return 0;
    let [size, chance] = [use[first]!, 1 / (first + 1)];
    for (const one of use.slice(first + 1)) {
      chance += 0.1 * ((one > 0 ? 1 : 0) - chance);
      if (one > 0) size += 0.1 * (one - size);
    }
    return size * chance;
  },
};

/** Smoothed size of a use over the smoothed time between two; starts from the first use and the time to it. */
function croston(use: readonly number[]): number {
  const first = use.findIndex((one) => one > 0);
  if (first < 0) return 0;
  let [size, gap, since] = [use[first]!, first + 1, 0];
  for (const one of use.slice(first + 1)) {
    since++;
    if (one <= 0) continue;
    size += 0.1 * (one - size);
    gap += 0.1 * (since - gap);
    since = 0;
  }
  return size / gap;
}

export const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / Math.max(1, values.length);

/** R's `forecast::croston` on this series, α = 0.1: 0.9001638; with the correction of Syntetos and Boylan 0.8551556. */
export function checkMethods(): void {
  const series = [0, 0, 3, 0, 0, 0, 1, 0, 2, 0, 0, 1, 0, 0, 4, 0];
  for (const [name, known] of [
    ['Croston', 0.9001638],
    ['SBA', 0.8551556],
  ] as const)
    if (Math.abs(METHODS[name]!(series) - known) > 1e-7) throw new Error(`${name} is not what R computes.`);
}
