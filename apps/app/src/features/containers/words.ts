import { formatLength, formatMoney, type ContainerFields, type ContainerForm, type containerFromRow } from '@ours/core';
import { counted } from '@/kit/text/counted';

type BadRow = Extract<ReturnType<typeof containerFromRow>, { ok: false }>;

function acceptedWords(accepted: BadRow['accepted']): string {
  switch (accepted.kind) {
    case 'name':
      return `a name of up to ${accepted.most} letters`;
    case 'one_of':
      return accepted.values.join(', ');
    case 'length':
      return 'a length such as 31.5 cm or 12 3/8"';
    case 'length_from':
      return `a length of at least ${formatLength(accepted.tenthMm, 'metric')}`;
    case 'number':
      return 'a number such as 2.5';
    case 'whole':
      return `a whole number up to ${accepted.most.toLocaleString('en')}`;
  }
}

/** What was read in a table's row, and what its column takes. @param line counted from 1, with the line of headings */
export const badRowWords = ({ column, text, accepted }: BadRow, line: number): string =>
  `Row ${line}: Column “${column}”: read “${text}”; accepted is ${acceptedWords(accepted)}.`;

export const tooManyRowsWords = (rows: number, most: number): string =>
  `The table has ${counted(rows, { one: '# row', other: '# rows' })}; ${most} at a time are accepted. Nothing was read.`;

export const noRowsWords = (columns: readonly string[]): string =>
  `No rows were read; the first line names the columns: ${columns.join(', ')} …`;

/** What is not simply set down and lifted out. */
export const FORM_WORDS: Readonly<Record<ContainerForm, string>> = {
  turntable: 'Turntable',
  pull_out: 'Pull-out',
  under_shelf: 'Hangs under a shelf',
};

/** Where containers of a kind are in use: two of the places, then how many more. */
export const inUseWords = (places: readonly string[]): string =>
  places.length === 0
    ? ''
    : `in use: ${places.slice(0, 2).join(', ')}${places.length > 2 ? ` and ${places.length - 2} more` : ''}`;

/** What one costs; a kind without a price may have come for free. */
export function priceWords(
  { priceMinor, free }: Pick<ContainerFields, 'priceMinor' | 'free'>,
  currency: string,
): string {
  if (priceMinor !== null) return formatMoney(priceMinor, currency);
  return free ? 'came for free' : '';
}
