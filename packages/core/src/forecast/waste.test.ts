import { seededRandom } from '../base';
import type { UseEstimate } from './estimateUse';
import { expectedLoss, lossWithin, lostAtPace, type DatedUnits } from './waste';

/** Unit by unit: each use takes one of the lot that ends first and is still good. */
function byUnits(lots: readonly DatedUnits[], uses: readonly number[]): number[] {
  const left = lots.map(({ units }) => units);
  for (const day of uses) {
    const at = lots.findIndex((lot, n) => left[n]! > 0 && lot.days >= day);
    if (at >= 0) left[at]!--;
  }
  return left;
}

const poisson = (rate: number) => (days: number) => ({ mean: rate * days, variance: rate * days });
const estimate = (more: Partial<UseEstimate>): UseEstimate => ({
  quantum: 1000,
  stock: 0,
  likely: 0,
  rate: 0.25,
  memoryDays: 1e12,
  unevenness: 1,
  disagreement: 0,
  weights: [1],
  rates: [0.25],
  daysOfUse: 30,
  usedSeen: 30,
  typical: 1,
  exposedDays: 120,
  fromPurchases: false,
  foundShort: false,
  said: false,
  ...more,
});

describe('what is past its date before it is used', () => {
  it('at a given course of use is what taking unit by unit leaves', () => {
    const random = seededRandom(5);
    const below = (n: number): number => Math.floor(random() * n);
    for (let round = 0; round < 3000; round++) {
      const lots = Array.from({ length: 1 + below(5) }, () => ({ units: below(6), days: below(40) })).sort(
        (a, b) => a.days - b.days,
      );
      const uses = Array.from({ length: below(15) }, () => 1 + below(45)).sort((a, b) => a - b);
      const usedBy = (days: number): number => uses.filter((day) => day <= days).length;
      const total = (lost: number[]): number => lost.reduce((sum, one) => sum + one, 0);
      expect(total(lostAtPace(lots, usedBy))).toBe(total(byUnits(lots, uses)));
    }
  });
  it('is expected: 4 for 10 days, 3 for 20, 5 for 40, a use every four days by chance', () => {
    // By an independent program: the chances of every course of use summed up.
    const lots = [
      { units: 4, days: 10 },
      { units: 3, days: 20 },
      { units: 5, days: 40 },
    ];
    const lost = lossWithin(lots, poisson(0.25));
    for (const [at, wanted] of [1.6708, 0.8408, 0.7094].entries()) expect(lost[at]).toBeCloseTo(wanted, 4);
    for (const [at, one] of expectedLoss(lots, estimate({})).entries()) expect(one).toBeCloseTo(lost[at]!, 5);
  });
  it('of one lot of n is the sum of P(at most k are used) for k below n: 5, mean 2, variance 4 → 3.140625', () => {
    expect(lossWithin([{ units: 5, days: 1 }], () => ({ mean: 2, variance: 4 }))[0]).toBeCloseTo(3.140625, 9);
  });
  it('is more when the pace is not sure', () => {
    const lots = [{ units: 5, days: 20 }];
    const sure = expectedLoss(lots, estimate({}))[0]!;
    expect(expectedLoss(lots, estimate({ memoryDays: 10 }))[0]).toBeGreaterThan(sure + 0.1);
  });
  it('is all of what is past its date already and of what nobody uses', () => {
    const lots = [
      { units: 2, days: -3 },
      { units: 3, days: 9 },
    ];
    expect(expectedLoss(lots, estimate({ rate: 0 }))).toEqual([2, 3]);
    expect(expectedLoss(lots, estimate({}))[0]).toBeCloseTo(2, 9);
    expect(lostAtPace(lots, () => 0)).toEqual([2, 3]);
  });
  it('of a large stock is computed in parts, close to the whole', () => {
    const lost = lossWithin([{ units: 1000, days: 30 }], poisson(20))[0]!;
    expect(Math.abs(lost - 400)).toBeLessThan(3);
  });
});
