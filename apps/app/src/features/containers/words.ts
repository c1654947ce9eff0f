import { formatLength, type containerFromRow } from '@ours/core';

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
