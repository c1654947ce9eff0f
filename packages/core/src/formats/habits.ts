/** How a table writes numbers and dates: found out from all of a column, since one cell may be read either way. */
import { civilDate, countWord, daysInMonth, isRealDate, measureUnit, type CivilDate } from '../base';

export type DecimalMark = '.' | ',';
export type DateOrder = 'dmy' | 'mdy' | 'ymd';

/** What was found out, and whether the cells prove it. */
export interface TableHabit<T> {
  value: T;
  /** False: no cell tells; it is a guess that has to be looked at. */
  proven: boolean;
  /** A cell that tells; empty: none does. */
  because: string;
  /** A cell that tells otherwise: the table writes it in two ways, and such rows may be misread or not read; empty: none does. */
  against: string;
}

/** Blanks and marks that group thousands: also the narrow and the fixed blank of other languages. */
const GROUPING = /[\s\u00a0\u202f'’]/g;
const figures = (cell: string): string => cell.trim().replace(GROUPING, '').replace(/^[+-]/, '');

/** What one cell says of the decimal mark; null: nothing. */
function markIn(cell: string): DecimalMark | null {
  const text = figures(/^[^\d]*([\d.,\s\u00a0\u202f'’]*\d)/.exec(cell)?.[1] ?? '');
  const [comma, point] = [text.lastIndexOf(','), text.lastIndexOf('.')];
  if (comma >= 0 && point >= 0) return comma > point ? ',' : '.';
  const at = Math.max(comma, point);
  if (at < 0) return null;
  const mark = comma >= 0 ? ',' : '.';
  const times = text.split(mark).length - 1;
  // 1.234.567: groups, so that the other one is the decimal mark.
  if (times > 1) return mark === ',' ? '.' : ',';
  // Three figures after it may be thousands, unless there is none or a bare nought before.
  if (text.length - at - 1 !== 3 || /^0?$/.test(text.slice(0, at))) return mark;
  return null;
}

/**
 * The decimal mark of a table's numbers.
 * @param otherwise what is taken where no cell tells
 * @example decimalMarkOf(['1,5', '1.250,00'], '.').value //=> ','
 */
export function decimalMarkOf(cells: Iterable<string>, otherwise: DecimalMark): TableHabit<DecimalMark> {
  const votes = { '.': 0, ',': 0 };
  const first: Partial<Record<DecimalMark, string>> = {};
  for (const cell of cells) {
    const mark = markIn(cell);
    if (mark === null) continue;
    votes[mark]++;
    first[mark] ??= cell.trim();
  }
  if (votes['.'] === 0 && votes[','] === 0) return { value: otherwise, proven: false, because: '', against: '' };
  const value: DecimalMark = votes[','] > votes['.'] ? ',' : '.';
  const against = first[value === ',' ? '.' : ','] ?? '';
  return { value, proven: against === '', because: first[value] ?? '', against };
}

/**
 * A number as the table writes it, in thousandths; null: it is none. Thousands in groups of three are read, other groups are not.
 * @example numberIn('1.250,5', ',') //=> 1250500
 */
export function numberIn(cell: string, mark: DecimalMark): number | null {
  const text = cell.trim();
  const group = mark === ',' ? '.' : ',';
  const [whole = '', rest, ...more] = text.split(mark);
  if (more.length > 0) return null;
  const grouped = /^[+-]?\d{1,3}([\s\u00a0\u202f'’.,]\d{3})+$/.test(whole);
  const bare = /^[+-]?\d+$/.test(whole);
  if (!grouped && !bare) return null;
  const groups = new Set(whole.replace(/[+\-\d]/g, ''));
  if (groups.size > 1 || groups.has(mark)) return null;
  if (rest !== undefined && !/^\d{1,6}$/.test(rest)) return null;
  const value = Number(`${whole.split(group).join('').replace(GROUPING, '')}.${rest ?? '0'}`);
  return Math.round(value * 1000);
}

/** What a cell says. A spreadsheet's mark of a text stands before what might be taken for a formula. */
export const cellText = (cell: string | undefined): string => (cell ?? '').trim().replace(/^'(?=[=+\-@])/, '');

/**
 * The figures of an amount and the word after them; both empty: it is no amount.
 * @example partsOfAmount('1.250,5 kg').word //=> 'kg'
 */
export function partsOfAmount(text: string): { figures: string; word: string } {
  const [, figures = '', word = ''] = /^([+-]?[\d.,\s\u00a0\u202f'’]*\d)\s*([^\d]*)$/.exec(text) ?? [];
  return { figures, word: word.trim() };
}

const LONGEST_UNIT = 30;
/** A word for a unit as the home writes it, words of other languages as they are; null: there is none. */
export function unitIn(word: string): string | null {
  const text = word.trim().toLowerCase().replace(/\.$/, '');
  if (text === '') return null;
  return measureUnit(text) ?? countWord(text)?.unit ?? text.slice(0, LONGEST_UNIT);
}

const PARTS = /^(\d{1,4})\s*[./\-\s]\s*(\d{1,2})\s*[./\-\s]\s*(\d{1,4})(?:[T\s]\d{1,2}:\d\d.*)?$/;
/** `2027-03`, `3.2027`, or `3/27` as packages print it; `1.1` is a day without a year. */
const MONTH = /^(?:(\d{4})\s*[./-]\s*(\d{1,2})|(\d{1,2})\s*[./-]\s*(\d{4})|(\d{1,2})\s*\/\s*(\d{2}))$/;

/**
 * In which order a column writes dates.
 * @param otherwise what is taken where no cell tells: the home's own habit
 * @example dateOrderOf(['3.4.2027', '27.11.2026'], 'mdy').value //=> 'dmy'
 */
export function dateOrderOf(cells: Iterable<string>, otherwise: DateOrder): TableHabit<DateOrder> {
  const votes = { dmy: 0, mdy: 0, ymd: 0 };
  const first: Partial<Record<DateOrder, string>> = {};
  for (const cell of cells) {
    const found = PARTS.exec(cell.trim());
    if (!found) continue;
    const [a, b] = [Number(found[1]), Number(found[2])];
    const order = found[1]!.length > 2 ? 'ymd' : a > 12 && b <= 12 ? 'dmy' : b > 12 && a <= 12 ? 'mdy' : null;
    if (order === null) continue;
    votes[order]++;
    first[order] ??= cell.trim();
  }
  const best = (['ymd', 'dmy', 'mdy'] as const).reduce((a, b) => (votes[b] > votes[a] ? b : a));
  if (votes[best] === 0) return { value: otherwise, proven: false, because: '', against: '' };
  // A date with its year in front is read whatever the others are.
  const other = best === 'dmy' ? first.mdy : best === 'mdy' ? first.dmy : (first.dmy ?? first.mdy);
  return { value: best, proven: other === undefined, because: first[best] ?? '', against: other ?? '' };
}

/** A year of two figures is of this century, from 80 on of the last. Own rule: stock is about days to come. */
const fullYear = (year: number, length: number): number => (length > 2 ? year : year < 80 ? 2000 + year : 1900 + year);

/**
 * A date as the table writes it; a month stands for its last day. Null: it is none, or none that exists.
 * @example dateIn('27.11.26', 'dmy') //=> '2026-11-27'
 */
export function dateIn(cell: string, order: DateOrder): CivilDate | null {
  const text = cell.trim();
  const month = MONTH.exec(text);
  if (month) {
    const year = month[1] ?? month[4] ?? month[6]!;
    const of = month[2] ?? month[3] ?? month[5]!;
    if (Number(of) < 1 || Number(of) > 12) return null;
    const y = fullYear(Number(year), year.length);
    return civilDate(y, Number(of), daysInMonth(y, Number(of)));
  }
  const found = PARTS.exec(text);
  if (!found) return null;
  const parts = [found[1]!, found[2]!, found[3]!];
  // A year of four figures in front can only be meant so.
  const used: DateOrder = parts[0]!.length > 2 ? 'ymd' : order === 'ymd' && parts[2]!.length > 2 ? 'dmy' : order;
  const [y, m, d] = used === 'ymd' ? [0, 1, 2] : used === 'dmy' ? [2, 1, 0] : [2, 0, 1];
  const year = fullYear(Number(parts[y!]), parts[y!]!.length);
  const [of, day] = [Number(parts[m!]), Number(parts[d!])];
  return parts[d!]!.length <= 2 && isRealDate(year, of, day) ? civilDate(year, of, day) : null;
}
