import {
  addDays,
  addMonths,
  civilDate,
  daysBetween,
  daysInMonth,
  isRealDate,
  partsOf,
  weekday,
  type CivilDate,
} from './civilDate';

/** How exactly a date was given: a month stands for its last day. */
export type DatePrecision = 'day' | 'month' | 'year';

/** One way to read a date that has several. */
export interface DateOption {
  on: CivilDate;
  precision: DatePrecision;
}

/** What was read: one date, several to choose from, or none. */
export type DateReading =
  ({ kind: 'date' } & DateOption) | { kind: 'ambiguous'; options: DateOption[] } | { kind: 'unreadable' };

/** What decides how an ambiguous date is read: the order the home writes in, and today. */
export interface DateHabits {
  /** How the home writes `03/04`; null when it has not said. */
  order: 'dmy' | 'mdy' | null;
  today: CivilDate;
  /**
   * Where a date lies: an expiry `ahead`, a use-by date `ahead_safety`, an opening or freezing `behind`. Behind, a month or
   * year means its first day and no date of the future is read. A use-by date without a year that would lie over half a year
   * ahead is ambiguous: the day in the past year may be meant.
   */
  facing: 'ahead' | 'ahead_safety' | 'behind';
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MONTH_NAMES =
  /^(jan(uary)?|feb(r|ruary)?|mar(ch)?|apr(il)?|may|june?|july?|aug(ust)?|sept?(ember)?|oct(ober)?|nov(ember)?|dec(ember)?)\.?$/;
const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const WEEKDAY_NAMES = /^(sun(day)?|mon(day)?|tue(s|sday)?|wed(s|nesday)?|thu(r|rs|rsday)?|fri(day)?|sat(urday)?)\.?$/;
const SMALL_NUMBERS: ReadonlyMap<string, number> = new Map(
  ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
    .map((word, value): [string, number] => [word, value])
    .concat([
      ['a', 1],
      ['an', 1],
      ['couple', 2],
      ['fourteen', 14],
      ['twenty', 20],
      ['thirty', 30],
    ]),
);
/** A full date this far from today is more likely written in another order than meant. */
const FAR_PAST_DAYS = 5 * 365;
const FAR_FUTURE_DAYS = 40 * 365;
/** A date without a year that went by this recently may mean the one that has just passed. */
const JUST_PASSED_DAYS = 60;
/** A use-by date without a year further ahead than this is doubted: fresh food does not keep so long (own default). */
const SAFETY_HORIZON_DAYS = 183;

/** Whether a word can begin or be part of a date without digits: a month, a weekday, `tomorrow`, `next` … */
export function isDateWord(word: string): boolean {
  return MONTH_NAMES.test(word) || WEEKDAY_NAMES.test(word) || RELATIVE_WORDS.has(word);
}
/** Whether a word is a number that dates are counted with: `two` days ago. */
export const isSmallNumber = (word: string): boolean => SMALL_NUMBERS.has(word);
/** Whether a word names a day of the week, in full or shortened. */
export const isWeekday = (word: string): boolean => WEEKDAY_NAMES.test(word);
/** Whether a word names a month, in full or shortened to three letters. */
export const isMonthName = (word: string): boolean => MONTH_NAMES.test(word);

const RELATIVE_WORDS = new Set(
  'today tonight now tomorrow yesterday day next this last in end beginning start early mid middle late ago week month year fortnight a'.split(
    ' ',
  ),
);

/**
 * Reads a date as people write it: `3/27`, `03.2027`, `12 mar`, `mar '27`, `fri 27 nov`, `2027-03-01`, `20270301`,
 * `in 3 days`, `next month`, `end of march`, `tomorrow`, `fri`. Ahead, a month means its last day, as on a packet; behind, its
 * first.
 *
 * @returns one date; or the options when the writing has more than one reasonable reading (never a guess); or
 * `unreadable`. Never fails.
 * @example readDate('3/27', { order: 'dmy', today: '2026-11-24', facing: 'ahead' })
 * //=> { kind: 'date', on: '2027-03-31', precision: 'month' }
 */
export function readDate(text: string, habits: DateHabits): DateReading {
  const words = tidy(text);
  if (words === '') return { kind: 'unreadable' };
  return settle(optionsOf(words, habits), habits);
}

/** Lower case; commas, ordinals, `of` and `the` gone; letters and digits apart; `'27` written out. */
function tidy(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[’‘`]/g, "'")
    .replace(/[–—−]/g, '-')
    .replace(/'(\d{2})(?!\d)/g, ' 20$1')
    .replace(/(\d)(st|nd|rd|th)\b/g, '$1')
    .replace(/(\d)([a-z])/g, '$1 $2')
    .replace(/([a-z])(\d)/g, '$1 $2')
    .replace(/,/g, ' ')
    .replace(/\b(of|the|on)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

function optionsOf(words: string, habits: DateHabits): DateOption[] {
  return (
    readRelative(words, habits) ??
    readPartOf(words, habits) ??
    readWithWeekday(words, habits) ??
    readNamedMonth(words, habits) ??
    readNumeric(words, habits)
  );
}

function settle(options: DateOption[], { facing, today }: DateHabits): DateReading {
  const placed = facing === 'behind' ? options.map(toFirstDay).filter(({ on }) => on <= today) : options;
  const distinct = [...new Map(placed.map((option) => [option.on, option])).values()];
  if (distinct.length === 0) return { kind: 'unreadable' };
  if (distinct.length === 1) return { kind: 'date', ...distinct[0]! };
  return { kind: 'ambiguous', options: distinct };
}

function toFirstDay({ on, precision }: DateOption): DateOption {
  if (precision === 'day') return { on, precision };
  return { on: precision === 'month' ? `${on.slice(0, 8)}01` : `${on.slice(0, 5)}01-01`, precision };
}

const day = (on: CivilDate): DateOption[] => [{ on, precision: 'day' }];

function readRelative(words: string, habits: DateHabits): DateOption[] | null {
  const { today } = habits;
  if (/^(today|now|tonight|this (morning|noon|afternoon|evening))$/.test(words)) return day(today);
  if (words === 'tomorrow') return day(addDays(today, 1));
  if (words === 'yesterday') return day(addDays(today, -1));
  if (words === 'day after tomorrow') return day(addDays(today, 2));
  if (words === 'day before yesterday') return day(addDays(today, -2));
  return readCounted(words, today) ?? readNextOrLast(words, habits);
}

/** `in 3 days`, `in a fortnight`, `in two weeks' time`, `3 days ago`, `a week from now`. */
function readCounted(words: string, today: CivilDate): DateOption[] | null {
  const counted =
    /^(in )?(a couple|\d{1,3}|[a-z]+) (day|week|fortnight|month|year)(?:s|'s|s')?( time)?( ago| from (?:now|today))?$/.exec(
      words,
    );
  if (!counted || (counted[1] === undefined) === (counted[5] === undefined)) return null;
  const said = counted[2] === 'a couple' ? 2 : (SMALL_NUMBERS.get(counted[2]!) ?? Number(counted[2]));
  if (!Number.isFinite(said)) return null;
  const amount = counted[5] === ' ago' ? -said : said;
  const unit = counted[3];
  if (unit === 'day') return day(addDays(today, amount));
  if (unit === 'week' || unit === 'fortnight') return day(addDays(today, amount * (unit === 'week' ? 7 : 14)));
  return day(addMonths(today, unit === 'month' ? amount : amount * 12));
}

function readNextOrLast(words: string, habits: DateHabits): DateOption[] | null {
  const { today, facing } = habits;
  if (WEEKDAY_NAMES.test(words)) {
    const ahead = daysUntil(words, today);
    if (facing !== 'behind') return day(addDays(today, ahead));
    return day(addDays(today, ahead === 0 ? 0 : ahead - 7));
  }
  const match = /^(next|this|last|coming) ([a-z]+)\.?$/.exec(words);
  if (!match) return null;
  const [, which, what] = match as unknown as [string, string, string];
  const step = which === 'next' ? 1 : which === 'last' ? -1 : 0;
  if (WEEKDAY_NAMES.test(what)) {
    const ahead = daysUntil(what, today);
    if (which === 'last') return day(addDays(today, ahead - 7));
    const coming = addDays(today, ahead === 0 && which === 'next' ? 7 : ahead);
    // "Next Friday" is the coming one to some and the one after to others.
    return which === 'next' && ahead !== 0 ? [...day(coming), ...day(addDays(coming, 7))] : day(coming);
  }
  const { year, month } = partsOf(today);
  if (what === 'week' && step !== 0) return day(addDays(today, step * 7));
  if (what === 'week') return day(addDays(today, (7 - weekday(today)) % 7));
  if (what === 'month') {
    const there = partsOf(addMonths(civilDate(year, month, 1), step));
    return monthOption(there.year, there.month);
  }
  return what === 'year' ? yearOption(year + step) : null;
}

const daysUntil = (name: string, today: CivilDate): number =>
  (WEEKDAYS.indexOf(name.slice(0, 3)) - weekday(today) + 7) % 7;

/** `end of march`, `early may`, `mid 2027`, `beginning of next month`. */
function readPartOf(words: string, habits: DateHabits): DateOption[] | null {
  const match = /^(end|late|beginning|start|early|mid|middle|by end|at end)[ -](.+)$/.exec(words);
  if (!match) return null;
  const { year, month } = partsOf(habits.today);
  const whole =
    match[2] === 'month' || match[2] === 'this month'
      ? monthOption(year, month)
      : match[2] === 'year' || match[2] === 'this year'
        ? yearOption(year)
        : optionsOf(match[2]!, habits);
  const spans = whole.filter(({ precision }) => precision !== 'day');
  if (spans.length === 0) return [];
  const part = match[1]!;
  return spans.flatMap((option): DateOption[] => {
    const parts = partsOf(option.on);
    if (/end|late/.test(part)) return [{ on: option.on, precision: option.precision === 'year' ? 'year' : 'month' }];
    if (/mid/.test(part)) {
      return day(option.precision === 'month' ? `${option.on.slice(0, 8)}15` : civilDate(parts.year, 6, 30));
    }
    return day(toFirstDay(option).on);
  });
}

/** `fri 27 nov`, `27/11 friday`: the weekday has to agree; when it does not, both are offered. */
function readWithWeekday(words: string, habits: DateHabits): DateOption[] | null {
  const parts = words.split(' ');
  const at = parts.findIndex((part) => WEEKDAY_NAMES.test(part));
  if (at < 0 || parts.length < 2) return null;
  const rest = parts.filter((_, index) => index !== at).join(' ');
  const dates = readNamedMonth(rest, habits) ?? readNumeric(rest, habits);
  const days = dates.filter(({ precision }) => precision === 'day');
  if (days.length === 0) return null;
  const wanted = WEEKDAYS.indexOf(parts[at]!.slice(0, 3));
  const agreeing = days.filter(({ on }) => weekday(on) === wanted);
  if (agreeing.length > 0) return agreeing;
  return [...days, ...(readNextOrLast(parts[at]!, habits) ?? [])];
}

function readNamedMonth(words: string, habits: DateHabits): DateOption[] | null {
  const parts = words.split(/[\s\-/.]+/).filter((part) => part !== '');
  const monthAt = parts.findIndex((part) => MONTH_NAMES.test(part));
  if (monthAt < 0) return null;
  if (parts.length > 3) return [];
  const month = MONTHS.indexOf(parts[monthAt]!.slice(0, 3)) + 1;
  const numbers = parts.filter((_, at) => at !== monthAt);
  if (!numbers.every((part) => /^\d{1,2}$|^\d{4}$/.test(part))) return [];
  if (numbers.length === 0) return withoutYear(month, null, habits);
  if (numbers.length === 1) {
    const only = numbers[0]!;
    if (only.length === 4) return monthOption(Number(only), month);
    const dayFirst = monthAt === 1;
    const options = withoutYear(month, Number(only), habits);
    const mayBeYear = !dayFirst && only.length === 2 && mayBeShortYear(only, habits);
    return mayBeYear ? [...options, ...monthOption(2000 + Number(only), month)] : options;
  }
  const [a, b] = [numbers[0]!, numbers[1]!];
  if (a.length === 4) return b.length === 4 || monthAt !== 1 ? [] : dayOption(Number(a), month, Number(b));
  return dayOption(fullYear(b), month, Number(a));
}

/** Whether two digits after a month can be a year and not a day: from this year on ahead, up to this year behind. */
function mayBeShortYear(digits: string, { today, facing }: DateHabits): boolean {
  const year = partsOf(today).year % 100;
  const said = Number(digits);
  return facing !== 'behind' && said >= year;
}

function readNumeric(words: string, habits: DateHabits): DateOption[] {
  const iso = /^(\d{4})[-/. ](\d{1,2})(?:[-/. ](\d{1,2}))?$/.exec(words);
  if (iso) {
    const [year, month] = [Number(iso[1]), Number(iso[2])];
    return iso[3] === undefined ? monthOption(year, month) : dayOption(year, month, Number(iso[3]));
  }
  if (/^\d{4}$|^\d{6}$|^\d{8}$/.test(words)) return readRun(words, habits);
  const three = /^(\d{1,2}) ?([-/. ]) ?(\d{1,2}) ?\2 ?(\d{2}|\d{4})$/.exec(words);
  if (three) return readThree(three[1]!, three[3]!, three[4]!, habits);
  const two = /^(\d{1,2}) ?([-/. ]) ?(\d{2}|\d{4}|\d)\.?$/.exec(words);
  return two ? readTwo(two[1]!, two[3]!, habits) : [];
}

/** Digits without signs between: `20270312`, `12032027`, `120327`, `032027`, `0327`, or a year. */
function readRun(digits: string, habits: DateHabits): DateOption[] {
  const { today, order } = habits;
  const part = (from: number, to: number): number => Number(digits.slice(from, to));
  const near = (options: DateOption[]): DateOption[] => options.filter(({ on }) => !isFarAway(on, today));
  if (digits.length === 4) {
    const year = yearOption(Number(digits));
    if (year.length > 0 && (near(year).length > 0 || !/^(0|1[0-2])/.test(digits))) return year;
    return near(monthOption(2000 + part(2, 4), part(0, 2)));
  }
  const both = (dayMonth: DateOption[], monthDay: DateOption[]): DateOption[] =>
    order === 'dmy' ? dayMonth : order === 'mdy' ? monthDay : [...dayMonth, ...monthDay];
  if (digits.length === 8) {
    const yearFirst = near(dayOption(part(0, 4), part(4, 6), part(6, 8)));
    if (yearFirst.length > 0) return yearFirst;
    const year = part(4, 8);
    return both(dayOption(year, part(2, 4), part(0, 2)), dayOption(year, part(0, 2), part(2, 4)));
  }
  const year = 2000 + part(4, 6);
  return near([
    ...both(dayOption(year, part(2, 4), part(0, 2)), dayOption(year, part(0, 2), part(2, 4))),
    ...dayOption(2000 + part(0, 2), part(2, 4), part(4, 6)),
    ...monthOption(part(2, 6), part(0, 2)),
  ]);
}

function readThree(a: string, b: string, c: string, { order, today }: DateHabits): DateOption[] {
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

function readTwo(a: string, b: string, habits: DateHabits): DateOption[] {
  if (b.length === 4) return monthOption(Number(b), Number(a));
  const dayFirst = withoutYear(Number(b), Number(a), habits);
  const monthFirst = withoutYear(Number(a), Number(b), habits);
  const nearYear = Math.abs(fullYear(b) - partsOf(habits.today).year) <= 15;
  const monthYear = b.length === 2 && nearYear ? monthOption(fullYear(b), Number(a)) : [];
  const likely = Number(b) > 12 ? monthYear : [];
  if (habits.order === 'dmy') return dayFirst.length > 0 ? dayFirst : likely;
  if (habits.facing === 'behind' && dayFirst.length + monthFirst.length > 0) {
    return habits.order === 'mdy' && monthFirst.length > 0 ? monthFirst : [...dayFirst, ...monthFirst];
  }
  if (habits.order === 'mdy') return [...monthFirst, ...likely];
  return [...dayFirst, ...monthFirst, ...likely];
}

/** A day and a month: the next such day (or the last one), both when it went by only just now. */
function withoutYear(month: number, dayOfMonth: number | null, { today, facing }: DateHabits): DateOption[] {
  const { year } = partsOf(today);
  const at = (inYear: number): DateOption[] =>
    dayOfMonth === null ? monthOption(inYear, month) : dayOption(inYear, month, dayOfMonth);
  // 29 February exists every fourth year, so four years each way are looked at.
  const candidates = Array.from({ length: 9 }, (_, step) => at(year - 4 + step)).flat();
  if (facing === 'behind') return candidates.filter((option) => toFirstDay(option).on <= today).slice(-1);
  const ahead = candidates.filter((option) => option.on >= today).slice(0, 1);
  const past = candidates.filter((option) => option.on < today).slice(-1);
  const doubtful =
    facing === 'ahead_safety' && ahead.some((option) => daysBetween(today, option.on) > SAFETY_HORIZON_DAYS);
  return [...ahead, ...past.filter((option) => doubtful || daysBetween(option.on, today) <= JUST_PASSED_DAYS)];
}

const fullYear = (text: string): number => (text.length === 4 ? Number(text) : 2000 + Number(text));

function dayOption(year: number, month: number, dayOfMonth: number): DateOption[] {
  return isRealDate(year, month, dayOfMonth) ? day(civilDate(year, month, dayOfMonth)) : [];
}

function monthOption(year: number, month: number): DateOption[] {
  if (!isRealDate(year, month, 1)) return [];
  return [{ on: civilDate(year, month, daysInMonth(year, month)), precision: 'month' }];
}

function yearOption(year: number): DateOption[] {
  return isRealDate(year, 12, 31) ? [{ on: civilDate(year, 12, 31), precision: 'year' }] : [];
}
