import {
  formatQuantity,
  pluralUnit,
  type DateOrder,
  type RowProblem,
  type RowReading,
  type StockColumn,
  type TableHabit,
  type PlaceSide,
} from '@ours/core';
import type { TableLook, TableProblem } from '@/jobs/tableJob';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

const MB = 1024 * 1024;

export const COLUMN_WORDS: Readonly<Record<StockColumn, string>> = {
  what: 'what',
  amount: 'how many',
  unit: 'unit',
  where: 'where',
  until: 'until',
  'date kind': 'kind of date',
  opened: 'opened on',
  frozen: 'frozen on',
  batch: 'batch',
  size: 'size of a pack',
  category: 'category',
  mark: 'mark',
  codes: 'trade numbers',
};

const OTHER_FILES = {
  spreadsheet: 'a spreadsheet’s own file',
  pdf: 'a PDF',
  picture: 'a picture',
  binary: 'no text',
} as const;

/** Why a file is no table that can be read, in one sentence. */
export function tableProblemWords(problem: TableProblem): string {
  switch (problem.kind) {
    case 'empty':
      return 'The file is empty; a table with at least one row is taken.';
    case 'too_large':
      return `The file has ${Math.round(problem.bytes / MB)} MB; up to 32 MB are read.`;
    case 'too_many_rows':
      return `The table has ${problem.rows.toLocaleString('en')} rows; up to 50,000 are read.`;
    case 'other_file':
      return `This is ${OTHER_FILES[problem.what]}; a table as text (CSV) is taken${problem.what === 'spreadsheet' ? ': save it as CSV' : ''}.`;
    case 'mixed':
      return `Letters are written in two ways in this file, the first other one in line ${problem.line}; save it as UTF-8.`;
    case 'quotes':
      return `In row ${problem.row} a quotation mark opens and does not close, or closes too early.`;
  }
}

/** Why a row cannot be read: what was read, and what is accepted. */
export function rowProblemWords(problem: RowProblem): string {
  switch (problem.kind) {
    case 'no_name':
      return 'It names no thing.';
    case 'long_name':
      return `The name is longer than ${problem.most} letters.`;
    case 'no_amount':
      return `“${problem.text}” is no amount; a number from 0 is taken.`;
    case 'no_date':
      return `“${problem.text}” is no day for ${COLUMN_WORDS[problem.column]}; day, month and year are taken.`;
    case 'no_place':
      return problem.text === ''
        ? 'It names no place: say above where such rows go.'
        : `“${problem.text}” is no place of this home; a code or a name is taken.`;
    case 'several_places':
      return `Several places are called “${problem.text}”; use the code of one.`;
    case 'other_unit':
      return `It says ${problem.said}, but the home keeps it in ${pluralUnit(problem.unit, 2000)}.`;
    case 'no_code':
      return `“${problem.text}” is no trade number; 8, 12, 13 or 14 figures with their check figure are taken.`;
    case 'no_size':
      return `“${problem.text}” is no size; a number with a unit is taken, like 400 g.`;
    case 'twice':
      return `Row ${problem.row} speaks of the same thing, place and day: leave one of them.`;
  }
}

const SEPARATORS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'upright strokes',
};
const ENCODINGS: Readonly<Record<string, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16',
  'windows-1252': 'Windows-1252',
};
/** `214 rows, parted by semicolons, letters in UTF-8`. */
export const lookWords = ({ rows, separator, encoding }: TableLook): string =>
  [
    counted(rows, { one: '# row', other: '# rows' }),
    `parted by ${SEPARATORS[separator] ?? `“${separator}”`}`,
    encoding === null ? '' : `letters in ${ENCODINGS[encoding] ?? encoding}`,
  ]
    .filter(Boolean)
    .join(', ');

export const ORDER_WORDS: Readonly<Record<DateOrder, string>> = {
  dmy: 'day first',
  mdy: 'month first',
  ymd: 'year first',
};
/** How sure it is how numbers or dates are written. */
export function sureWords({ proven, because, against }: Omit<TableHabit<unknown>, 'value'>): string {
  if (against !== '') return `“${because}” shows it, but “${against}” shows otherwise: look at each row`;
  if (!proven) return 'no row shows it: a guess';
  return because === '' ? 'as you said' : `shown by “${because}”`;
}

/** What a row does: `2 → 1.5 kg`, `3 packs, new`. */
export function readingWords(reading: RowReading, codeOf: (nookId: string) => string, day: string): string {
  switch (reading.kind) {
    case 'same':
      return 'as it is';
    case 'blank':
      return '';
    case 'unreadable':
      return rowProblemWords(reading.problem);
    case 'new':
    case 'changed': {
      const { amount, unit, item, itemId } = reading.does;
      const parts: string[] = [];
      if (amount) {
        const now = `${formatQuantity(amount.thousandths)} ${pluralUnit(unit, amount.thousandths)}`;
        parts.push(amount.lotIds.length > 0 ? `${formatQuantity(amount.beforeThousandths)} → ${now}` : now);
        parts.push(codeOf(amount.nookId));
        if (amount.lot.expiresOn) parts.push(`until ${dayWords(amount.lot.expiresOn, day)}`);
      }
      if (itemId === null) parts.push('a new thing');
      else parts.push(...Object.keys(item).map((key) => ITEM_WORDS[key as keyof typeof ITEM_WORDS]));
      return parts.join(' · ');
    }
  }
}
const ITEM_WORDS = { category: 'other category', lowAtThousandths: 'other mark', codes: 'more trade numbers' } as const;

const KIND_WORDS: Readonly<Record<string, { one: string; other: string }>> = {
  room: { one: '# room', other: '# rooms' },
  space: { one: '# space', other: '# spaces' },
  bin: { one: '# bin', other: '# bins' },
  item: { one: '# thing', other: '# things' },
  lot: { one: '# lot', other: '# lots' },
  round: { one: '# round', other: '# rounds' },
  photo: { one: '# picture', other: '# pictures' },
};
/** `3 rooms, 14 spaces, 431 things …`; of the kinds people speak of. */
export const kindsWords = (kinds: Readonly<Record<string, number>>): string =>
  Object.entries(KIND_WORDS)
    .flatMap(([kind, words]) => ((kinds[kind] ?? 0) > 0 ? [counted(kinds[kind]!, words)] : []))
    .join(', ') || 'nothing';

/** Sides of a place, in a table of places. */
export const PLACE_FIELD_WORDS: Readonly<Record<PlaceSide, string>> = {
  widthTenthMm: 'width',
  heightTenthMm: 'height',
  depthTenthMm: 'depth',
};
/** Why a table of places is not read at all. */
export const PLACE_TABLE_WORDS: Readonly<Record<'empty' | 'no_head', string>> = {
  empty: 'There is nothing in this file.',
  no_head:
    'This is no table of places: its first row has to name the columns, with “code” and at least one of name, width, height and depth.',
};
