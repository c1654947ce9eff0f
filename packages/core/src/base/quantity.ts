/** Exact decimals with at most three places, held as integer thousandths. */

export const ONE_THOUSANDTHS = 1000;
const LARGEST_THOUSANDTHS = 1_000_000_000;

/**
 * Reads a decimal as people type it, with a point or a comma.
 * @returns integer thousandths, or null when it is no number, negative, has over three places or is above a million
 * @example readQuantity('2,5') //=> 2500
 */
export function readQuantity(text: string): number | null {
  const match = /^(\d{1,7})(?:[.,](\d{1,3}))?$/.exec(text.trim());
  if (!match) return null;
  const thousandths = Number(match[1]) * 1000 + Number((match[2] ?? '').padEnd(3, '0'));
  return thousandths <= LARGEST_THOUSANDTHS ? thousandths : null;
}

/**
 * Writes thousandths without trailing zeros.
 * @example formatQuantity(2500) //=> '2.5'
 */
export function formatQuantity(thousandths: number): string {
  const sign = thousandths < 0 ? '-' : '';
  const whole = Math.floor(Math.abs(thousandths) / 1000);
  const rest = String(Math.abs(thousandths) % 1000)
    .padStart(3, '0')
    .replace(/0+$/, '');
  return rest === '' ? `${sign}${whole}` : `${sign}${whole}.${rest}`;
}
