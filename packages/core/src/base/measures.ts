/** Weights, volumes and money as a home reads them. */
import { baseUnitsIn } from './convertMeasure';
import type { ReadingProblem } from './readingProblem';

const GRAMS_PER_POUND = baseUnitsIn('lb');
const ML_PER_CUBIC_FOOT = baseUnitsIn('cu ft');
const ML_PER_QUART = baseUnitsIn('qt');

/** In which units a home reads lengths, weights and volumes. */
export type LengthUnit = 'metric' | 'inch';
export type MassReading = { ok: true; grams: number } | { ok: false; problem: ReadingProblem };

const HEAVIEST_GRAMS = 100_000_000;

/**
 * Reads a weight: a number with g, kg, lb or oz; bare it is kilograms or pounds, as the home has it.
 * @returns whole grams over 0 and at most 100 t, or why it could not be read
 * @example readMass('12,5', 'metric') //=> { ok: true, grams: 12500 }
 */
export function readMass(text: string, homeUnit: LengthUnit): MassReading {
  const match = /^(\d+(?:[.,]\d+)?) ?(g|kg|lb|lbs|oz)?\.?$/.exec(text.trim().toLowerCase());
  const not = (kind: 'not_a' | 'nothing' | 'too_large'): MassReading => ({
    ok: false,
    problem: { kind, what: 'mass', text: text.trim() },
  });
  if (!match) return not('not_a');
  const unit = (match[2] ?? (homeUnit === 'metric' ? 'kg' : 'lb')).replace('lbs', 'lb');
  const grams = Math.round(Number(match[1]!.replace(',', '.')) * baseUnitsIn(unit));
  if (grams <= 0) return not('nothing');
  if (grams > HEAVIEST_GRAMS) return not('too_large');
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

// Not grouped: forms show these figures too, and “12,500 kg” is read as twelve and a half.
const roundedTo = (value: number, places: number): string => String(Math.round(value * 10 ** places) / 10 ** places);

const moneyFormats = new Map<string, Intl.NumberFormat>();

/**
 * A price in its currency, with the sign and the places it is written with (Intl).
 * @param minor hundredths of the currency's unit, also for currencies that have no coins that small
 * @param currency ISO 4217
 * @example formatMoney(1490, 'EUR') //=> '€14.90'
 */
export function formatMoney(minor: number, currency: string): string {
  const format =
    moneyFormats.get(currency) ??
    new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' });
  moneyFormats.set(currency, format);
  return format.format(minor / 100);
}

/** Reads an amount of money with at most two places, in hundredths; null when it is none. */
export function readMoney(text: string): number | null {
  const match = /^(?:[€$£] ?)?(\d{1,7})(?:[.,](\d{1,2}))?(?: ?[€$£]| [A-Z]{3})?$/.exec(text.trim());
  return match ? Number(match[1]) * 100 + Number((match[2] ?? '').padEnd(2, '0')) : null;
}
