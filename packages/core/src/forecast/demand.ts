import { expOf, gammaShare, logOf } from './numbers';

/** A whole number has at least this variance about a mean between two numbers. */
function leastVariance(mean: number): number {
  const part = mean - Math.floor(mean);
  return Math.max(part * (1 - part), 1e-4);
}
/** Beyond this the sums of Poisson and negative binomial chances begin below the smallest number, and the gamma distribution is the same to the eye. */
const LARGEST_MEAN = 300;
const LARGEST_LOG = 650;

/**
 * The chance that at most n are used, for a count with a mean and a variance: negative binomial when it is more uneven than
 * chance, Poisson when as uneven, and a gamma distribution cut into whole numbers when it is more even.
 */
export function chanceAtMost(n: number, mean: number, variance: number): number {
  if (n < 0) return 0;
  if (mean <= 1e-9) return 1;
  const count = Math.floor(n + 1e-9);
  const spread = Math.max(variance, leastVariance(mean)) / mean;
  if (spread < 1) return gammaShare(mean / spread, (count + 0.5) / spread);
  if (spread < 1.0001 && mean <= LARGEST_MEAN) {
    let term = expOf(-mean);
    let sum = term;
    for (let k = 1; k <= count; k++) {
      term *= mean / k;
      sum += term;
    }
    return Math.min(1, sum);
  }
  const size = mean / (spread - 1);
  if (mean > LARGEST_MEAN || size * logOf(spread) > LARGEST_LOG)
    return gammaShare(mean / spread, (count + 0.5) / spread);
  const share = (spread - 1) / spread;
  let term = expOf(-size * logOf(spread));
  let sum = term;
  for (let k = 1; k <= count; k++) {
    term *= ((size + k - 1) / k) * share;
    sum += term;
    if (term < 1e-16 && k > mean) break;
  }
  return Math.min(1, sum);
}

const MOST = 1e7;

/** The smallest n so that at most n are used with this chance. */
export function countWithChance(chance: number, mean: number, variance: number): number {
  if (chanceAtMost(0, mean, variance) >= chance) return 0;
  let low = 0;
  let high = Math.max(1, Math.ceil(mean + 2 * Math.sqrt(variance)));
  while (chanceAtMost(high, mean, variance) < chance && high < MOST) {
    low = high;
    high *= 2;
  }
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (chanceAtMost(middle, mean, variance) >= chance) high = middle;
    else low = middle;
  }
  return high;
}
