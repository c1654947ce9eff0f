import { chanceAtMost, countWithChance } from './demand';
import { expOf, gammaPoint, gammaShare, logGammaOf, logOf, powerOfTwo } from './numbers';

const off = (value: number, wanted: number): number => Math.abs(value - wanted) / Math.max(1e-300, Math.abs(wanted));

describe('functions from plain arithmetic', () => {
  it('agree with the engine’s own over the whole range', () => {
    for (let n = -700; n <= 700; n++) expect(off(expOf(n + 0.37), Math.exp(n + 0.37))).toBeLessThan(1e-14);
    for (let n = -1000; n <= 1000; n += 7) {
      const x = 2 ** n * 1.37;
      expect(Math.abs(logOf(x) - Math.log(x))).toBeLessThan(1e-13 * Math.max(1, Math.abs(Math.log(x))));
    }
    expect(off(powerOfTwo(-0.7), 2 ** -0.7)).toBeLessThan(1e-14);
    expect([expOf(-800), expOf(800), logOf(0), logOf(-1)]).toEqual([0, Infinity, -Infinity, -Infinity]);
    expect(off(logOf(5e-324), Math.log(5e-324))).toBeLessThan(1e-13);
  });
  it('log Γ: factorials, and Γ(1/2) = √π', () => {
    let factorial = 1;
    for (let n = 1; n < 30; n++) {
      expect(Math.abs(logGammaOf(n) - Math.log(factorial))).toBeLessThan(1e-11);
      factorial *= n;
    }
    expect(Math.abs(logGammaOf(0.5) - Math.log(Math.PI) / 2)).toBeLessThan(1e-12);
  });
});

describe('distributions: values of R 4', () => {
  // ppois(4, 2), pnbinom(3, size = 2, mu = 2), qgamma(c(.1, .5, .9), 3.7, rate = 20)
  it.each<[string, number, number]>([
    ['ppois(4, 2)', chanceAtMost(4, 2, 2), 0.947347],
    ['pnbinom(3, size = 2, mu = 2)', chanceAtMost(3, 2, 4), 0.8125],
    ['D ≤ 7, mean 7, variance 1.4: pgamma(7.5, 35, rate = 5)', chanceAtMost(7, 7, 1.4), 0.6804544],
    ['qgamma(.1, 3.7, rate = 20)', gammaPoint(0.1, 3.7 / 20, 3.7 / 400), 0.077318],
    ['qgamma(.5, 3.7, rate = 20)', gammaPoint(0.5, 3.7 / 20, 3.7 / 400), 0.1686269],
    ['qgamma(.9, 3.7, rate = 20)', gammaPoint(0.9, 3.7 / 20, 3.7 / 400), 0.3139461],
  ])('%s', (_, value, wanted) => expect(Math.abs(value - wanted)).toBeLessThan(6e-7));
  it('Poisson points at 95 %: mean 1 → 3, 2 → 5, 3.5 → 7, 5 → 9, 10 → 15', () => {
    expect([1, 2, 3.5, 5, 10].map((mean) => countWithChance(0.95, mean, mean))).toEqual([3, 5, 7, 9, 15]);
  });
  it('never fall, reach 1, and have the smallest count with a chance', () => {
    for (const mean of [0.02, 0.5, 3, 17.3, 140, 900])
      for (const spread of [0.05, 0.7, 1, 1.00005, 3, 11]) {
        const variance = mean * spread;
        let before = 0;
        const top = Math.ceil(mean + 12 * Math.sqrt(variance) + 40);
        for (let n = 0; n <= top; n += Math.max(1, Math.floor(top / 150))) {
          const chance = chanceAtMost(n, mean, variance);
          expect(chance).toBeGreaterThanOrEqual(before - 1e-12);
          before = chance;
        }
        expect(chanceAtMost(top * 3, mean, variance)).toBeGreaterThan(0.9999);
        const n = countWithChance(0.9, mean, variance);
        expect(chanceAtMost(n, mean, variance)).toBeGreaterThanOrEqual(0.9);
        expect(chanceAtMost(n - 1, mean, variance)).toBeLessThan(0.9);
      }
  });
  it('say certain and impossible', () => {
    expect([chanceAtMost(-1, 3, 3), chanceAtMost(0, 0, 0), gammaShare(2, 0)]).toEqual([0, 1, 0]);
    expect(countWithChance(0.95, 0, 0)).toBe(0);
  });
});
