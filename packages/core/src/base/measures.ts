/** Weights, volumes and money as a home reads them. */

/** International avoirdupois pound (1959), exactly. */
const GRAMS_PER_POUND = 453.59237;
/** 12 × 12 × 12 × 2.54³ ml, exactly. */
const ML_PER_CUBIC_FOOT = 28_316.846592;
/** US liquid quart, NIST Handbook 44. */
const ML_PER_QUART = 946.352946;

/** In which units a home reads lengths, weights and volumes. */
export type LengthUnit = 'metric' | 'inch';
export type MassReading = { ok: true; grams: number } | { ok: false; problem: string };

const HEAVIEST_GRAMS = 100_000_000;

/**
 * Reads a weight: a number with g, kg, lb or oz; bare it is kilograms or pounds, as the home has it.
 * @returns whole grams over 0 and at most 100 t, or one sentence
 * @example readMass('12,5', 'metric') //=> { ok: true, grams: 12500 }
 */
export function readMass(text: string, homeUnit: LengthUnit): MassReading {
  const match = /^(\d+(?:[.,]\d+)?) ?(g|kg|lb|lbs|oz)?\.?$/.exec(text.trim().toLowerCase());
  const accepted = 'write for example 12.5 kg or 30 lb';
  if (!match) return { ok: false, problem: `“${text.trim()}” is not a weight; ${accepted}.` };
  const unit = (match[2] ?? (homeUnit === 'metric' ? 'kg' : 'lb')).replace('lbs', 'lb');
  const factor = { g: 1, kg: 1000, lb: GRAMS_PER_POUND, oz: GRAMS_PER_POUND / 16 }[unit]!;
  const grams = Math.round(Number(match[1]!.replace(',', '.')) * factor);
  if (grams <= 0) return { ok: false, problem: `“${text.trim()}” is nothing; a weight is more than 0.` };
  if (grams > HEAVIEST_GRAMS) return { ok: false, problem: `“${text.trim()}” is over 100 t; check the unit.` };
  return { ok: true, grams };
}

/** Kilograms or pounds with at most one place. */
export function formatMass(grams: number, unit: LengthUnit): string {
  const value = unit === 'metric' ? grams / 1000 : grams / GRAMS_PER_POUND;
  return `${roundedTo(value, value < 100 ? 1 : 0)} ${unit === 'metric' ? 'kg' : 'lb'}`;
}

/** Litres; or quarts, from a cubic foot on cubic feet. */
export function formatVolume(ml: number, unit: LengthUnit): string {
  if (unit === 'metric') return `${roundedTo(ml / 1000, ml < 10_000 ? 1 : 0)} l`;
  if (ml < ML_PER_CUBIC_FOOT) return `${roundedTo(ml / ML_PER_QUART, 1)} qt`;
  return `${roundedTo(ml / ML_PER_CUBIC_FOOT, 1)} cu ft`;
}

const roundedTo = (value: number, places: number): string => String(Math.round(value * 10 ** places) / 10 ** places);

/** A price in its currency: `14.90 €`. */
export function formatMoney(minor: number, currency: string): string {
  const sign = { EUR: '€', USD: '$', GBP: '£' }[currency] ?? currency;
  const text = (minor / 100).toFixed(2);
  return currency === 'USD' || currency === 'GBP' ? `${sign}${text}` : `${text} ${sign}`;
}

/** Reads an amount of money with at most two places; null when it is none. */
export function readMoney(text: string): number | null {
  const match = /^(?:[€$£] ?)?(\d{1,7})(?:[.,](\d{1,2}))?(?: ?[€$£]| [A-Z]{3})?$/.exec(text.trim());
  return match ? Number(match[1]) * 100 + Number((match[2] ?? '').padEnd(2, '0')) : null;
}
