/** Trade numbers as they stand below bar codes. */
import { problem, type NotRead } from './problem';

/** A GTIN written with 14 figures, so that the same number in a shorter form is the same. */
export type Gtin = string;

/**
 * The check digit of a trade number without it (GS1 General Specifications: weights 3 and 1 from the right).
 * @param digits figures only, any length
 * @example checkDigit('629104150021') //=> 3
 */
export function checkDigit(digits: string): number {
  let sum = 0;
  for (let at = digits.length - 1, weight = 3; at >= 0; at--, weight = 4 - weight) sum += Number(digits[at]) * weight;
  return (10 - (sum % 10)) % 10;
}

const LENGTHS: ReadonlySet<number> = new Set([8, 12, 13, 14]);
export const GTIN_DIGITS = 14;

/** Whether a text is nothing but figures, blanks and hyphens, and so many that it may be a trade number. */
export const looksLikeGtin = (text: string): boolean => {
  const written = text.trim();
  return /^\d[\d\s-]*\d$/.test(written) && written.replace(/\D/g, '').length >= 8 && !/^\d{4}-\d\d-\d\d$/.test(written);
};

/**
 * Reads a trade number of 8, 12, 13 or 14 figures; blanks and hyphens between them are passed over.
 * @returns the number with 14 figures, or what is wrong with it
 */
export function readGtin(text: string): { ok: true; gtin: Gtin } | NotRead {
  const digits = text.replace(/[\s-]/g, '');
  if (!/^\d+$/.test(digits) || !LENGTHS.has(digits.length))
    return problem({ kind: 'wrong_length', figures: digits.length, text: text.trim() });
  const check = checkDigit(digits.slice(0, -1));
  if (check !== Number(digits.at(-1))) return problem({ kind: 'wrong_check', digits });
  if (/^0+$/.test(digits)) return problem({ kind: 'all_zeros' });
  return { ok: true, gtin: digits.padStart(GTIN_DIGITS, '0') };
}

/** As it is printed below the bars: without the zeros in front, 8, 12 or 13 figures. */
export function gtinAsPrinted(gtin: Gtin): string {
  const short = gtin.replace(/^0+/, '');
  return short.padStart(short.length <= 8 ? 8 : short.length <= 12 ? 12 : short.length, '0');
}

/**
 * Numbers that a shop or home gives out itself and that mean another thing elsewhere (GS1: restricted circulation, prefixes 02, 04
 * and 20 to 29 of a number of 13 figures).
 */
export const isRestricted = (gtin: Gtin): boolean => /^0(02|04|2\d)/.test(gtin);
