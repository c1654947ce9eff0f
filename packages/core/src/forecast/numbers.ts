/**
 * Elementary functions from + − × ÷ alone. Engines differ in the last bits of their own `exp` and `log`; the server and every
 * device must find the same run-out day.
 */
const LN2_HIGH = 6.9314718036912381649e-1;
const LN2_LOW = 1.90821492927058770002e-10;
const PER_LN2 = 1.4426950408889634;
const SQRT2 = 1.4142135623730951;
const HALF_LOG_2PI = 0.9189385332046727418;

const double = new Float64Array(1);
const words = new Uint32Array(double.buffer);
/** Which of the two words holds the exponent. */
const HIGH = new Uint8Array(Uint32Array.of(1).buffer)[0] === 1 ? 1 : 0;
const LOW = 1 - HIGH;

/** x·2^power, exact; |power| up to 2000. */
function timesPowerOfTwo(x: number, power: number): number {
  let [value, left] = [x, power];
  for (; left > 1000; left -= 1000) value *= 1.0715086071862673e301;
  for (; left < -1000; left += 1000) value /= 1.0715086071862673e301;
  words[LOW] = 0;
  words[HIGH] = (left + 1023) * 2 ** 20;
  return value * double[0]!;
}

/** e^x to about 1e-15 relative. */
export function expOf(x: number): number {
  if (x < -745) return 0;
  if (x > 709) return Infinity;
  const k = Math.round(x * PER_LN2);
  const rest = x - k * LN2_HIGH - k * LN2_LOW;
  let sum = 1;
  for (let n = 17; n >= 1; n--) sum = 1 + (rest / n) * sum;
  return timesPowerOfTwo(sum, k);
}

/** The natural logarithm to about 1e-15; −∞ for what is not above 0. */
export function logOf(x: number): number {
  if (!(x > 0)) return -Infinity;
  double[0] = x;
  let exponent = Math.floor(words[HIGH]! / 2 ** 20) - 1023;
  if (exponent < -1000) {
    double[0] = x * 2 ** 54;
    exponent = Math.floor(words[HIGH]! / 2 ** 20) - 1023 - 54;
  }
  words[HIGH] = (words[HIGH]! % 2 ** 20) + 1023 * 2 ** 20;
  let mantissa = double[0];
  if (mantissa > SQRT2) {
    mantissa /= 2;
    exponent += 1;
  }
  const z = (mantissa - 1) / (mantissa + 1);
  const square = z * z;
  let sum = 0;
  for (let n = 21; n >= 1; n -= 2) sum = sum * square + 1 / n;
  return exponent * LN2_HIGH + (2 * z * sum + exponent * LN2_LOW);
}

/** 2^x. */
export const powerOfTwo = (x: number): number => expOf(x * (LN2_HIGH + LN2_LOW));

/** Stirling's series: Bernoulli numbers over 2n(2n−1). */
const STIRLING = [1 / 12, -1 / 360, 1 / 1260, -1 / 1680, 1 / 1188, -691 / 360360, 1 / 156];

/** log Γ(x) for x > 0. */
export function logGammaOf(x: number): number {
  let [at, shift] = [x, 0];
  for (; at < 12; at += 1) shift -= logOf(at);
  const square = 1 / (at * at);
  let sum = 0;
  for (let n = STIRLING.length - 1; n >= 0; n--) sum = sum * square + STIRLING[n]!;
  return shift + (at - 0.5) * logOf(at) - at + HALF_LOG_2PI + sum / at;
}

const TINY = 1e-300;
const EXACT = 1e-15;
const MOST_TERMS = 2000;

/** The regularised lower incomplete gamma function P(shape, x): the share of a gamma distribution of scale 1 up to x. */
export function gammaShare(shape: number, x: number): number {
  if (x <= 0) return 0;
  const lead = expOf(shape * logOf(x) - x - logGammaOf(shape));
  if (x < shape + 1) {
    let term = 1 / shape;
    let sum = term;
    for (let n = 1; n < MOST_TERMS && term >= sum * EXACT; n++) {
      term *= x / (shape + n);
      sum += term;
    }
    return lead * sum;
  }
  // Lentz's continued fraction.
  let b = x + 1 - shape;
  let c = 1 / TINY;
  let d = 1 / b;
  let fraction = d;
  for (let n = 1; n < MOST_TERMS; n++) {
    const a = -n * (n - shape);
    b += 2;
    d = awayFromZero(a * d + b);
    c = awayFromZero(b + a / c);
    d = 1 / d;
    const step = d * c;
    fraction *= step;
    if (Math.abs(step - 1) < EXACT) break;
  }
  return 1 - lead * fraction;
}

const awayFromZero = (x: number): number => (Math.abs(x) < TINY ? TINY : x);

/** The point up to which lies this share of a gamma distribution of a mean and variance. */
export function gammaPoint(share: number, mean: number, variance: number): number {
  if (variance <= mean * mean * 1e-12) return mean;
  const scale = variance / mean;
  const shape = mean / scale;
  let [low, high] = [0, mean + 8 * Math.sqrt(variance)];
  while (high - low > mean * 1e-9 && high - low > high * 1e-9) {
    const middle = (low + high) / 2;
    if (gammaShare(shape, middle / scale) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
