import { addDays, addMonths, civilDate, daysBetween, daysInMonth, isRealDate, partsOf, weekday } from './civilDate';
import type { CivilDate } from './civilDate';

export type DatePrecision = 'day' | 'month' | 'year';

export type DateReading =
  | { kind: 'date'; on: CivilDate; precision: DatePrecision }
  | { kind: 'ambiguous'; options: { on: CivilDate; precision: DatePrecision }[] }
  | { kind: 'unreadable' };

export interface DateHabits {
  /** How the home writes `03/04`; null when it has not said. */
  order: 'dmy' | 'mdy' | null;
  today: CivilDate;
  /** Where a date without a year lies: an expiry ahead, an opening behind. */
  facing: 'ahead' | 'behind';
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MONTH_NAMES =
  /^(jan(uary)?|feb(ruary)?|mar(ch)?|apr(il)?|may|june?|july?|aug(ust)?|sept?(ember)?|oct(ober)?|nov(ember)?|dec(ember)?)\.?$/;
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const WEEKDAY_NAMES = /^(sun(day)?|mon(day)?|tue(s|sday)?|wed(nesday)?|thu(rs|rsday)?|fri(day)?|sat(urday)?)$/;
/** A full date this far from today is more likely written in another order than meant. */
const FAR_PAST_DAYS = 5 * 365;
const FAR_FUTURE_DAYS = 40 * 365;
/** A date without a year that went by this recently may mean the one that has just passed. */
const JUST_PASSED_DAYS = 60;

type Option = { on: CivilDate; precision: DatePrecision };

/**
 * Reads a date as people write it: `3/27`, `03.2027`, `12 mar`, `2027-03-01`, `in 3 days`, `tomorrow`, `fri`.
 * A month means its last day, as on a packet.
 *
 * @returns one date; or the options when the writing has more than one reasonable reading (never a guess); or
 * `unreadable`. Never fails.
 * @example readDate('3/27', { order: 'dmy', today: '2026-11-24', facing: 'ahead' })
 * //=> { kind: 'date', on: '2027-03-31', precision: 'month' }
 */
export function readDate(text: string, habits: DateHabits): DateReading {
  const words = text.trim().toLowerCase().replace(/,/g, ' ').replace(/\s+/g, ' ');
  const relative = readRelative(words, habits);
  if (relative) return settle([relative]);
  const named = readNamedMonth(words, habits);
  if (named) return settle(named);
  return settle(readNumeric(words, habits));
}

function settle(options: Option[]): DateReading {
  const distinct = [...new Map(options.map((option) => [option.on, option])).values()];
  if (distinct.length === 0) return { kind: 'unreadable' };
  if (distinct.length === 1) return { kind: 'date', ...distinct[0]! };
  return { kind: 'ambiguous', options: distinct };
}

function readRelative(words: string, { today, facing }: DateHabits): Option | null {
  const day = (on: CivilDate): Option => ({ on, precision: 'day' });
  if (words === 'today' || words === 'now') return day(today);
  if (words === 'tomorrow') return day(addDays(today, 1));
  if (words === 'yesterday') return day(addDays(today, -1));
  const counted = /^(?:(in) )?(\d{1,3}|an?|one|two|three|four|five|six) (day|week|month|year)s?(?: (ago))?$/.exec(
    words,
  );
  if (counted && (counted[1] || counted[4])) {
    const amount = smallNumber(counted[2]!) * (counted[4] ? -1 : 1);
    if (counted[3] === 'day') return day(addDays(today, amount));
    if (counted[3] === 'week') return day(addDays(today, amount * 7));
    return day(addMonths(today, counted[3] === 'month' ? amount : amount * 12));
  }
  if (WEEKDAY_NAMES.test(words)) {
    const ahead = (WEEKDAYS.indexOf(words.slice(0, 3)) - weekday(today) + 7) % 7;
    if (facing === 'ahead') return day(addDays(today, ahead));
    return day(addDays(today, ahead === 0 ? 0 : ahead - 7));
  }
  return null;
}

function smallNumber(word: string): number {
  const at = ['a', 'one', 'two', 'three', 'four', 'five', 'six'].indexOf(word);
  if (word === 'an' || at === 0) return 1;
  return at > 0 ? at : Number(word);
}

function readNamedMonth(words: string, habits: DateHabits): Option[] | null {
  const parts = words.split(/[\s\-/.]+/).filter((part) => part !== '');
  const monthAt = parts.findIndex((part) => MONTH_NAMES.test(part));
  if (monthAt < 0 || parts.length > 3) return null;
  const month = MONTHS.indexOf(parts[monthAt]!.slice(0, 3)) + 1;
  const numbers = parts.filter((_, at) => at !== monthAt).map((part) => part.replace(/^(\d{1,2})(st|nd|rd|th)$/, '$1'));
  if (!numbers.every((part) => /^\d{1,4}$/.test(part))) return [];
  if (numbers.length === 0) return withoutYear(month, null, habits);
  if (numbers.length === 1) {
    const only = numbers[0]!;
    if (only.length === 4) return monthOption(Number(only), month);
    const dayFirst = monthAt === 1;
    const options = withoutYear(month, Number(only), habits);
    const mayBeYear = !dayFirst && only.length === 2 && Number(only) >= partsOf(habits.today).year % 100;
    return mayBeYear ? [...options, ...monthOption(2000 + Number(only), month)] : options;
  }
  const [a, b] = [numbers[0]!, numbers[1]!];
  if (a.length === 4) return dayOption(Number(a), month, Number(b));
  return dayOption(fullYear(b), month, Number(a));
}

function readNumeric(words: string, habits: DateHabits): Option[] {
  const iso = /^(\d{4})[-/.](\d{1,2})(?:[-/.](\d{1,2}))?$/.exec(words);
  if (iso) {
    const [year, month] = [Number(iso[1]), Number(iso[2])];
    return iso[3] === undefined ? monthOption(year, month) : dayOption(year, month, Number(iso[3]));
  }
  if (/^\d{4}$/.test(words)) return yearOption(Number(words));
  const three = /^(\d{1,2})([-/. ])(\d{1,2})\2(\d{2}|\d{4})$/.exec(words);
  if (three) return readThree(three[1]!, three[3]!, three[4]!, habits);
  const two = /^(\d{1,2})([-/. ])(\d{2}|\d{4}|\d)\.?$/.exec(words);
  return two ? readTwo(two[1]!, two[3]!, habits) : [];
}

function readThree(a: string, b: string, c: string, { order, today }: DateHabits): Option[] {
  const year = fullYear(c);
  const dayFirst = dayOption(year, Number(b), Number(a));
  const monthFirst = dayOption(year, Number(a), Number(b));
  const yearFirst = a.length === 2 && c.length === 2 ? dayOption(fullYear(a), Number(b), Number(c)) : [];
  if (order === null) return [...dayFirst, ...monthFirst];
  const [own, other] = order === 'dmy' ? [dayFirst, monthFirst] : [monthFirst, dayFirst];
  if (own.length === 0) return other;
  return isFarAway(own[0]!.on, today) && yearFirst.length > 0 ? [...own, ...yearFirst] : own;
}

function isFarAway(on: CivilDate, today: CivilDate): boolean {
  const days = daysBetween(today, on);
  return days < -FAR_PAST_DAYS || days > FAR_FUTURE_DAYS;
}

function readTwo(a: string, b: string, habits: DateHabits): Option[] {
  if (b.length === 4) return monthOption(Number(b), Number(a));
  const dayFirst = withoutYear(Number(b), Number(a), habits);
  const monthFirst = withoutYear(Number(a), Number(b), habits);
  const nearYear = Math.abs(fullYear(b) - partsOf(habits.today).year) <= 15;
  const monthYear = b.length === 2 && nearYear ? monthOption(fullYear(b), Number(a)) : [];
  const monthYearLikely = Number(b) > 12 && habits.facing === 'ahead' ? monthYear : [];
  if (habits.order === 'dmy') return dayFirst.length > 0 ? dayFirst : monthYearLikely;
  if (habits.order === 'mdy') return [...monthFirst, ...monthYearLikely];
  return [...dayFirst, ...monthFirst, ...monthYearLikely];
}

/** A day and a month: the next such day (or the last one), both when it went by only just now. */
function withoutYear(month: number, day: number | null, { today, facing }: DateHabits): Option[] {
  const { year } = partsOf(today);
  const at = (inYear: number): Option[] => (day === null ? monthOption(inYear, month) : dayOption(inYear, month, day));
  const candidates = [at(year - 1), at(year), at(year + 1), at(year + 2), at(year + 4)].flat();
  if (facing === 'behind') {
    const past = candidates.filter((option) => option.on <= today);
    return past.slice(-1);
  }
  const ahead = candidates.filter((option) => option.on >= today).slice(0, 1);
  const justPassed = candidates.filter(
    (option) => option.on < today && daysBetween(option.on, today) <= JUST_PASSED_DAYS,
  );
  return [...ahead, ...justPassed];
}

const fullYear = (text: string): number => (text.length === 4 ? Number(text) : 2000 + Number(text));

function dayOption(year: number, month: number, day: number): Option[] {
  return isRealDate(year, month, day) ? [{ on: civilDate(year, month, day), precision: 'day' }] : [];
}

function monthOption(year: number, month: number): Option[] {
  if (!isRealDate(year, month, 1)) return [];
  return [{ on: civilDate(year, month, daysInMonth(year, month)), precision: 'month' }];
}

function yearOption(year: number): Option[] {
  return isRealDate(year, 12, 31) ? [{ on: civilDate(year, 12, 31), precision: 'year' }] : [];
}
