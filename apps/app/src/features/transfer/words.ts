import {
  formatLength,
  formatQuantity,
  placeSortWord,
  pluralUnit,
  type DateOrder,
  type LengthUnit,
  type PastRow,
  type PastRowProblem,
  type PlaceRow,
  type PlaceRowProblem,
  type RowProblem,
  type RowReading,
  type StockColumn,
  type TableHabit,
  type PlaceSide,
} from '@ours/core';
import type { TableProblem } from '@/jobs/parseTable';
import type { TableLook } from '@/jobs/tableJob';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { problemWords } from '@/kit/text/problemWords';

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
const SIDE_WORDS: Readonly<Record<PlaceSide, string>> = {
  widthTenthMm: 'width',
  heightTenthMm: 'height',
  depthTenthMm: 'depth',
};
/** Why a table of places is not read at all. */
export const PLACE_TABLE_WORDS: Readonly<Record<'empty' | 'no_head', string>> = {
  empty: 'There is nothing in this file.',
  no_head:
    'This is no table of places: its first row has to name the columns, with “code” and at least one of name, width, height and depth, or with kind, name and in.',
};

/** What a row of a table of places does, or why it was not read. */
export function placeRowWords(row: PlaceRow, unit: LengthUnit): string {
  switch (row.kind) {
    case 'same':
      return 'the same';
    case 'new': {
      const { sort, name, inWords, sides, parent } = row.made;
      const measures = Object.entries(sides).map(
        ([side, tenthMm]) => `${SIDE_WORDS[side as PlaceSide]} ${formatLength(tenthMm, unit)}`,
      );
      const room = parent.kind === 'room' ? (parent.id === null ? 'new room ' : 'room ') : '';
      const called = name === '' ? '' : ` “${name}”`;
      return [`new ${placeSortWord(sort)}${called} in ${room}${inWords}`, ...measures].join('; ');
    }
    case 'changed':
      return row.changes
        .map((change) =>
          change.field === 'name'
            ? `name: ${change.before || 'none'} → ${change.after}`
            : `${SIDE_WORDS[change.field]}: ${change.before === null ? 'not measured' : formatLength(change.before, unit)} → ${formatLength(change.after, unit)}`,
        )
        .join('; ');
    case 'not_read':
      return `not read: ${placeProblemWords(row.why, unit)}`;
  }
}

const HOLDER_WORDS = {
  space: 'a room',
  shelf: 'a space',
  bin: 'a shelf, a bin, or a space with one shelf alone',
} as const;
function placeProblemWords(why: PlaceRowProblem, unit: LengthUnit): string {
  switch (why.kind) {
    case 'no_code':
      return 'there is no code in this row, and nothing that makes a new place (kind, name, in)';
    case 'unknown_code':
      return 'no place of this home has that code; a new place needs its kind, its name and what it is in';
    case 'twice':
      return 'an earlier row is about the same place';
    case 'too_long':
      return `a name of ${why.letters} letters; 120 are taken`;
    case 'measure':
      return problemWords(why.problem, unit);
    case 'no_kind':
      return why.text === ''
        ? 'it does not say what it is (kind: cupboard, rack, shelf, drawer, bin …)'
        : `“${why.text}” is no kind of place; taken are words like cupboard, rack, shelf, drawer, bin`;
    case 'no_name':
      return 'a new place needs a name';
    case 'no_parent':
      return why.text === ''
        ? `it does not say what it is in: ${HOLDER_WORDS[why.wants]}`
        : `“${why.text}” is not known as what it can be in: ${HOLDER_WORDS[why.wants]}`;
    case 'several_parents':
      return `several places are called “${why.text}”; give the code, or the way to it: space > shelf`;
    case 'parent_not_read':
      return `what it is in was not read: row ${why.line}`;
    case 'in_itself':
      return 'it would be in itself';
    case 'elsewhere':
      return `it is somewhere else than in “${why.text}”; places are moved in the drawing, not by a table`;
    case 'no_codes_left':
      return 'all codes of what it is in have been given out';
  }
}

const DEED_WORDS = { put_in: 'came in', taken: 'used', discarded: 'thrown or given away' } as const;
const LEFT_OUT_WORDS: Readonly<Record<Extract<PastRow, { kind: 'left_out' }>['why'], string>> = {
  counted: 'left out: a count uses nothing up',
  moved: 'left out: what is moved stays in the home',
  taken_back: 'left out: it was taken back',
  nothing: 'left out: none of it',
};

/** What a row of a table of the past adds, or why it does not. */
export function pastRowWords(row: PastRow, day: string): string {
  switch (row.kind) {
    case 'new': {
      const { kind, thousandths, unit, at } = row.use;
      return `${DEED_WORDS[kind]}: ${formatQuantity(thousandths)} ${pluralUnit(unit, thousandths)}, ${dayWords(at.slice(0, 10), day)}`;
    }
    case 'same':
      return 'known already';
    case 'left_out':
      return LEFT_OUT_WORDS[row.why];
    case 'not_read':
      return `not read: ${pastProblemWords(row.why, day)}`;
  }
}

function pastProblemWords(why: PastRowProblem, day: string): string {
  switch (why.kind) {
    case 'no_name':
      return 'it names no thing';
    case 'unknown_thing':
      return 'no thing of this home is called so';
    case 'several_things':
      return 'several things of this home are called so';
    case 'no_day':
      return `“${why.text}” is no day; day, month and year are taken`;
    case 'not_yet':
      return `${dayWords(why.on, day)} is still to come`;
    case 'no_amount':
      return `“${why.text}” is no amount; a number is taken`;
    case 'other_unit':
      return `it says ${why.said}, but the home keeps it in ${pluralUnit(why.unit, 2000)}`;
    case 'no_deed':
      return `“${why.text}” does not say what happened; taken are words like put in, used, thrown`;
    case 'no_place':
      return why.text === ''
        ? 'the thing never lay anywhere in this home; name a place by its code'
        : `the thing never lay anywhere in this home, and “${why.text}” is no code of a place`;
  }
}
