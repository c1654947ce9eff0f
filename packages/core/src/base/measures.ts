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

/** What a text says of money: hundredths, or that it names another currency than the home's. Null: no money at all. */
export type MoneyReading = { minor: number } | { otherCurrency: string } | null;

/**
 * Reads an amount of money with at most two places.
 * @param currency ISO 4217, the one the home pays in; null: any sign is passed over
 * @example readMoney('3,50 €', 'EUR') //=> { minor: 350 }
 */
export function readMoney(text: string, currency: string | null = null): MoneyReading {
  const sign = '[€$£¥₤₩₹₽₺₴₪฿]|[A-Za-z]{1,3}\\.?';
  const match = new RegExp(`^(${sign})? ?(\\d{1,7})(?:[.,](\\d{1,2}))? ?(${sign})?$`).exec(text.trim());
  if (!match) return null;
  const [, before, whole, cents = '', after] = match;
  const named = before ?? after;
  if (before !== undefined && after !== undefined) return null;
  if (named !== undefined && !isCurrency(named)) return null;
  if (named !== undefined && currency !== null && !isSignOf(named, currency)) return { otherCurrency: named };
  return { minor: Number(whole) * 100 + Number(cents.padEnd(2, '0')) };
}

const NAMED: readonly string[] = Intl.supportedValuesOf('currency');
const WORDS = new Map([
  ['kr', ['SEK', 'NOK', 'DKK', 'ISK']],
  ['fr', ['CHF']],
  ['zł', ['PLN']],
]);
const isCurrency = (sign: string): boolean =>
  /^\W$/u.test(sign) || NAMED.includes(sign.toUpperCase()) || WORDS.has(wordOf(sign));
const wordOf = (sign: string): string => sign.toLowerCase().replace(/\.$/, '');

/** Whether a sign or code may stand for a currency: its code, the sign it is written with, or a word such as `kr`. */
function isSignOf(sign: string, currency: string): boolean {
  if (sign.toUpperCase() === currency) return true;
  const narrow = new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' });
  const own = narrow.formatToParts(1).find(({ type }) => type === 'currency')?.value;
  return sign === own || (WORDS.get(wordOf(sign))?.includes(currency) ?? false);
}
