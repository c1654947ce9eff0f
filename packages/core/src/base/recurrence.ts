import * as bundle from 'rrule';
import type { RRule, RRuleSet } from 'rrule';
import { addDays, type CivilDate } from './civilDate';

/** Node's own modules see the package as one value, bundlers by its names. */
const { rrulestr } = 'rrulestr' in bundle ? bundle : (Reflect.get(bundle, 'default') as typeof import('rrule'));

/** Every Saturday: what is assumed where no day was said. */
export const EVERY_SATURDAY = 'FREQ=WEEKLY;BYDAY=SA';

const at = (day: CivilDate): Date => new Date(`${day}T00:00:00.000Z`);
const known = new Map<string, RRule | RRuleSet>();

/** A rule as RFC 5545 writes it, from its first day on; null when it cannot be read. */
function ruleOf(rule: string, from: CivilDate): RRule | RRuleSet | null {
  const text = `DTSTART:${from.replaceAll('-', '')}T000000Z\nRRULE:${rule}`;
  const found = known.get(text);
  if (found) return found;
  try {
    const read = rrulestr(text);
    known.set(text, read);
    return read;
  } catch {
    return null;
  }
}

/** Whether a text is a recurrence rule of RFC 5545 that is read here. */
export const isRecurrence = (rule: string): boolean => /^FREQ=/.test(rule) && ruleOf(rule, '2026-01-01') !== null;

/**
 * The days on which a rule falls.
 * @param starts the first day that counts: what “every second week” is counted from
 * @param from first day looked at
 * @param days how many days are looked at
 * @returns in order; empty for a rule that cannot be read
 */
export function daysOfRule(rule: string, starts: CivilDate, from: CivilDate, days: number): CivilDate[] {
  const read = ruleOf(rule, starts);
  const found = read?.between(at(from), at(addDays(from, days - 1)), true) ?? [];
  return found.map((day) => day.toISOString().slice(0, 10));
}
