import * as bundle from 'rrule';
import type { RRule as Rule } from 'rrule';
import { addDays, daysInMonth, type CivilDate } from './civilDate';

const LEAP_YEAR = 2024;

/** Node's own modules see the package as one value, bundlers by its names. */
const { RRule } = 'rrulestr' in bundle ? bundle : (Reflect.get(bundle, 'default') as typeof import('rrule'));

/** Days of the week as RFC 5545 writes them, from Monday. */
export const RULE_DAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;
export type RuleDay = (typeof RULE_DAYS)[number];

/** Every Saturday: what is assumed where no day was said. */
export const EVERY_SATURDAY = 'FREQ=WEEKLY;BYDAY=SA';

const at = (day: CivilDate): Date => new Date(`${day}T00:00:00.000Z`);

/** What a part of a rule may be (RFC 5545, 3.3.10). Parts that count hours and less are left out: rounds fall on days. */
const PARTS: Readonly<Record<string, RegExp>> = {
  FREQ: /^(?:DAILY|WEEKLY|MONTHLY|YEARLY)$/,
  INTERVAL: /^[1-9]\d{0,2}$/,
  COUNT: /^[1-9]\d{0,4}$/,
  UNTIL: /^\d{8}(?:T\d{6}Z?)?$/,
  BYDAY: /^(?:[+-]?\d{1,2})?(?:MO|TU|WE|TH|FR|SA|SU)(?:,(?:[+-]?\d{1,2})?(?:MO|TU|WE|TH|FR|SA|SU))*$/,
  BYMONTHDAY: /^[+-]?(?:[1-9]|[12]\d|3[01])(?:,[+-]?(?:[1-9]|[12]\d|3[01]))*$/,
  BYYEARDAY: /^[+-]?[1-9]\d{0,2}(?:,[+-]?[1-9]\d{0,2})*$/,
  BYWEEKNO: /^[+-]?(?:[1-9]|[1-4]\d|5[0-3])(?:,[+-]?(?:[1-9]|[1-4]\d|5[0-3]))*$/,
  BYMONTH: /^(?:[1-9]|1[0-2])(?:,(?:[1-9]|1[0-2]))*$/,
  BYSETPOS: /^[+-]?[1-9]\d{0,2}(?:,[+-]?[1-9]\d{0,2})*$/,
  WKST: /^(?:MO|TU|WE|TH|FR|SA|SU)$/,
};

/**
 * The parts of a rule by their names; null: it is none that is read here. The package takes nearly anything, and reckons for minutes
 * with some of it: so a rule is looked through before it gets there.
 */
export function partsOfRule(rule: string): ReadonlyMap<string, string> | null {
  const parts = new Map<string, string>();
  for (const part of rule.split(';')) {
    const [name = '', value = '', ...more] = part.split('=');
    if (more.length > 0 || parts.has(name) || !PARTS[name]?.test(value)) return null;
    parts.set(name, value);
  }
  const numbered = /\d/.test(parts.get('BYDAY') ?? '');
  const often = parts.get('FREQ');
  return often === undefined || (numbered && (often === 'DAILY' || often === 'WEEKLY')) ? null : parts;
}

/** Whether any month of those named has any day of those named, as February has no 31st. */
function hasSomeDay(parts: ReadonlyMap<string, string>): boolean {
  const [months, days] = [parts.get('BYMONTH'), parts.get('BYMONTHDAY')];
  if (months === undefined || days === undefined) return true;
  return months
    .split(',')
    .some((month) => days.split(',').some((day) => Math.abs(Number(day)) <= daysInMonth(LEAP_YEAR, Number(month))));
}

/**
 * The package looks for a next day up to the year 9999, where a rule has none for seconds. The calendar repeats itself every 400 years
 * to the weekday, so that a rule is read as late in that time as it goes: the same days, and little left to look through.
 */
const CYCLE = 400;
const LAST_YEAR = 9999;
/** Days asked for lie at most so far after the first one. */
const MOST_YEARS = 150;
const shiftOf = (starts: CivilDate): number =>
  CYCLE * Math.floor((LAST_YEAR - MOST_YEARS - Number(starts.slice(0, 4))) / CYCLE);
const shifted = (day: CivilDate, years: number): CivilDate =>
  `${String(Number(day.slice(0, 4)) + years).padStart(4, '0')}${day.slice(4)}`;

const known = new Map<string, Rule | null>();
/** A rule as RFC 5545 writes it, from its first day on, shifted; null when it cannot be read. */
function ruleOf(rule: string, starts: CivilDate): Rule | null {
  const key = `${starts} ${rule}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  const parts = partsOfRule(rule);
  const years = shiftOf(starts);
  const read = (): Rule => {
    const first = shifted(starts, years).replaceAll('-', '');
    const until = parts?.get('UNTIL');
    const text = until ? rule.replace(until, shifted(until, years)) : rule;
    return RRule.fromString(`DTSTART:${first}T000000Z\nRRULE:${text}`);
  };
  const one = parts === null ? null : read();
  known.set(key, one);
  return one;
}

/** Whether a text is a recurrence rule of RFC 5545 that is read here. */
export const isRecurrence = (rule: string): boolean => ruleOf(rule, '2026-01-01') !== null;

/**
 * The days on which a rule falls.
 * @param starts the first day that counts: what “every second week” is counted from
 * @param from first day looked at; at most 150 years after that
 * @param days how many days are looked at
 * @returns in order; empty for a rule that cannot be read
 */
export function daysOfRule(rule: string, starts: CivilDate, from: CivilDate, days: number): CivilDate[] {
  const read = ruleOf(rule, starts);
  const to = addDays(from, days - 1);
  if (!read || to < starts || !hasSomeDay(partsOfRule(rule)!)) return [];
  const years = shiftOf(starts);
  return read
    .between(at(shifted(from, years)), at(shifted(to, years)), true)
    .map((day) => shifted(day.toISOString().slice(0, 10), -years));
}
