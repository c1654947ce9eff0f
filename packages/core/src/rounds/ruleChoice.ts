/** The rules one chooses in words, as RFC 5545 writes them, and back. */
import { daysInMonth, partsOfRule, RULE_DAYS, type RuleDay } from '../base';

/** What comes once, on its first day. */
export const ONCE = 'FREQ=DAILY;COUNT=1';

/** Which of its kind in a month; -1: the last. */
export const NTHS = [1, 2, 3, 4, -1] as const;
export type Nth = (typeof NTHS)[number];

/**
 * - `day`: every so many days
 * - `week`: every so many weeks, on these days
 * - `month`: every so many months, on a day by its number or by its weekday
 * - `year`: every year on a date
 */
export type RuleChoice =
  | { every: 'day'; interval: number }
  | { every: 'week'; interval: number; days: RuleDay[] }
  | { every: 'month'; interval: number; on: { day: number } | { nth: Nth; weekday: RuleDay } }
  | { every: 'year'; month: number; day: number };

const LEAP_YEAR = 2024;
/** Whether a day and month are in any year: the 31st of February is in none. */
export const isDateOfSomeYear = (month: number, day: number): boolean =>
  month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(LEAP_YEAR, month);

const intervalPart = (interval: number): string => (interval === 1 ? '' : `;INTERVAL=${interval}`);
/** @example ruleOfChoice({ every: 'month', interval: 2, on: { nth: -1, weekday: 'FR' } }) //=> 'FREQ=MONTHLY;INTERVAL=2;BYDAY=-1FR' */
export function ruleOfChoice(choice: RuleChoice): string {
  switch (choice.every) {
    case 'day':
      return `FREQ=DAILY${intervalPart(choice.interval)}`;
    case 'week': {
      const days = RULE_DAYS.filter((day) => choice.days.includes(day));
      return `FREQ=WEEKLY${intervalPart(choice.interval)};BYDAY=${days.join(',')}`;
    }
    case 'month': {
      const { on } = choice;
      const when = 'day' in on ? `BYMONTHDAY=${on.day}` : `BYDAY=${on.nth}${on.weekday}`;
      return `FREQ=MONTHLY${intervalPart(choice.interval)};${when}`;
    }
    case 'year':
      return `FREQ=YEARLY;BYMONTH=${choice.month};BYMONTHDAY=${choice.day}`;
  }
}

/** What a rule says, where it is one of those that are chosen in words; null: it says more or something else. */
export function choiceOfRule(rule: string): RuleChoice | null {
  const parts = partsOfRule(rule);
  if (!parts) return null;
  const { FREQ, INTERVAL = '1', ...rest } = Object.fromEntries(parts) as Record<string, string>;
  const interval = Number(INTERVAL);
  const only = (...names: string[]): boolean =>
    Object.keys(rest).length === names.length && names.every((name) => name in rest);
  switch (FREQ) {
    case 'DAILY':
      return only() ? { every: 'day', interval } : null;
    case 'WEEKLY':
      return only('BYDAY') ? { every: 'week', interval, days: rest.BYDAY!.split(',') as RuleDay[] } : null;
    case 'MONTHLY': {
      if (only('BYMONTHDAY') && /^\d+$/.test(rest.BYMONTHDAY!))
        return { every: 'month', interval, on: { day: Number(rest.BYMONTHDAY) } };
      const [, nth, weekday] = (only('BYDAY') && /^([1-4]|-1)([A-Z]{2})$/.exec(rest.BYDAY!)) || [];
      return nth ? { every: 'month', interval, on: { nth: Number(nth) as Nth, weekday: weekday as RuleDay } } : null;
    }
    default:
      return interval === 1 && only('BYMONTH', 'BYMONTHDAY') && /^\d+ \d+$/.test(`${rest.BYMONTH} ${rest.BYMONTHDAY}`)
        ? { every: 'year', month: Number(rest.BYMONTH), day: Number(rest.BYMONTHDAY) }
        : null;
  }
}
