import { addDays, daysBetween, RULE_DAYS, type CivilDate, type RuleDay } from '@ours/core';

const parts = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
  new Intl.DateTimeFormat('en-US', { timeZone: 'UTC', ...options });
const weekday = parts({ weekday: 'short' });
const longWeekday = parts({ weekday: 'long' });
const month = parts({ month: 'short' });

/**
 * A day in words, without the year when it is this one.
 * @example dayWords('2027-03-31', '2026-11-26') //=> '31 Mar 2027'
 */
export function dayWords(date: CivilDate, today: CivilDate): string {
  const at = new Date(`${date}T00:00:00Z`);
  const short = `${at.getUTCDate()} ${month.format(at)}`;
  return date.slice(0, 4) === today.slice(0, 4) ? short : `${short} ${date.slice(0, 4)}`;
}

const at = (date: CivilDate): Date => new Date(`${date}T00:00:00Z`);
/** The short name of a weekday: `Sat`. */
export const weekdayWords = (date: CivilDate): string => weekday.format(at(date));
/** The whole name of a weekday: `Saturday`. */
export const longWeekdayWords = (date: CivilDate): string => longWeekday.format(at(date));
/** A Monday: names of days of a week are counted from it. */
const A_MONDAY = '2026-11-30';
/** A day with the weekday that a rule names. */
const dayOfRule = (day: RuleDay): CivilDate => addDays(A_MONDAY, RULE_DAYS.indexOf(day));
/** The weekday that a rule names, short: `Mon` for `MO`. */
export const ruleDayWords = (day: RuleDay): string => weekdayWords(dayOfRule(day));
/** Its whole name: `Monday` for `MO`. */
export const longRuleDayWords = (day: RuleDay): string => longWeekdayWords(dayOfRule(day));
/** A day of every year: `5 Jun`. A leap year has all of them. */
export function yearDayWords(month: number, day: number): string {
  const on = `2024-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
  return dayWords(on, on);
}
/** A day with its weekday: `Sat 28 Nov`. */
export const weekdayAndDay = (date: CivilDate, today: CivilDate): string =>
  `${weekdayWords(date)} ${dayWords(date, today)}`;

/**
 * From a day to a day, as short as it can be said: weekdays within the week, one month once.
 * @example spanWords('2026-12-01', '2026-12-05', '2026-11-20') //=> '1–5 Dec'
 */
export function spanWords(from: CivilDate, to: CivilDate, today: CivilDate): string {
  if (from === to) return nearDayWords(from, today);
  if (isNear(to, today)) return `${nearDayWords(from, today)}–${nearDayWords(to, today)}`;
  const sameMonth = from.slice(0, 7) === to.slice(0, 7);
  const sameYear = from.slice(0, 4) === to.slice(0, 4);
  const end = dayWords(to, today);
  if (sameMonth) return `${Number(from.slice(8))}–${end}`;
  return `${sameYear ? dayWords(from, from) : dayWords(from, today)} – ${end}`;
}

const NEAR_DAYS = 6;
const isNear = (date: CivilDate, today: CivilDate): boolean => date >= today && daysBetween(today, date) <= NEAR_DAYS;
/** `today`, `tomorrow`, a weekday within six days, else the date. */
export function nearDayWords(date: CivilDate, today: CivilDate): string {
  if (date === today) return 'today';
  return isNear(date, today) ? weekdayWords(date) : dayWords(date, today);
}

const two = (value: number): string => String(value).padStart(2, '0');
/** The time on this device's clock: `06:30`. */
export const clockWords = (at: Date): string => `${two(at.getHours())}:${two(at.getMinutes())}`;
