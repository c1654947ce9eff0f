/** When a round falls due, by its rhythm alone. */
import { addDays, daysOfRule, isRecurrence, partsOf, type CivilDate } from '../base';
import { digestOf, type HouseholdState, type Rhythm } from '../household';
import { IN, readDigest } from '../use';

/** The first days of the seasons, as weather services count them. */
const SEASONS = ['03-01', '06-01', '09-01', '12-01'] as const;
/** A rhythm is looked into so far ahead. */
const AHEAD_DAYS = 400;

/**
 * Why a rhythm cannot be.
 * - `no_day`: nothing says when
 * - `unreadable`: the rule is none of RFC 5545
 * - `never`: it falls on no day, such as the 31st of February
 */
export type RhythmProblem = 'no_day' | 'unreadable' | 'never';

/** What is wrong with a rhythm; null: nothing. */
export function rhythmProblem({ kind, rule, days, itemId }: Rhythm, startsOn: CivilDate): RhythmProblem | null {
  if (kind === 'season') return null;
  if (kind === 'stock') return itemId ? null : 'no_day';
  if (kind === 'after') return days === null ? 'no_day' : null;
  if (rule === null || rule.trim() === '') return 'no_day';
  if (!isRecurrence(rule)) return 'unreadable';
  // Leap days and the thirteenth on a Friday come seldom, but they come.
  return daysOfRule(rule, startsOn, startsOn, 3 * 366 + 400).length === 0 && !comesInAges(rule, startsOn)
    ? 'never'
    : null;
}
/** A 29th of February comes once in eight years at the most seldom. */
const comesInAges = (rule: string, startsOn: CivilDate): boolean =>
  daysOfRule(rule, startsOn, startsOn, 9 * 366).length > 0;

/**
 * The days on which a round falls due, from one to another, both among them.
 * @param lastDone for a rhythm that is counted from it; null: it was not done yet
 * @param comings for a rhythm that follows a thing: the days on which some of it was put in
 */
export function dueDays(
  { kind, rule, days }: Rhythm,
  startsOn: CivilDate,
  lastDone: CivilDate | null,
  from: CivilDate,
  to: CivilDate,
  comings: readonly CivilDate[] = [],
): CivilDate[] {
  if (to < from) return [];
  switch (kind) {
    case 'rule':
      return rule === null
        ? []
        : daysOfRule(rule, startsOn, from, 1 + daysFromTo(from, to)).filter((on) => on >= startsOn);
    case 'after': {
      if (days === null) return [];
      const again = lastDone === null ? startsOn : addDays(lastDone, days);
      const on = again < startsOn ? startsOn : again;
      return on >= from && on <= to ? [on] : [];
    }
    case 'stock':
      return comings.filter((on) => on >= from && on <= to && on >= startsOn);
    case 'season': {
      const { year } = partsOf(from);
      const last = partsOf(to).year;
      return Array.from({ length: last - year + 1 }, (_, at) => year + at)
        .flatMap((one) => SEASONS.map((monthDay) => `${one}-${monthDay}`))
        .filter((on) => on >= from && on <= to && on >= startsOn);
    }
  }
}
const daysFromTo = (from: CivilDate, to: CivilDate): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);

/** The next day after one on which it falls due; null: none within a year and some. */
export const nextDue = (
  rhythm: Rhythm,
  startsOn: CivilDate,
  lastDone: CivilDate | null,
  after: CivilDate,
): CivilDate | null => dueDays(rhythm, startsOn, lastDone, addDays(after, 1), addDays(after, AHEAD_DAYS))[0] ?? null;

const DAY_MS = 86_400_000;
/**
 * The days on which some of the thing that a rhythm follows was put in, as its use is kept up: what was only moved does not count.
 * Days are those of UTC, as everywhere in the use of a thing. Empty for other rhythms.
 */
export function comingsOf(state: HouseholdState, { kind, itemId }: Rhythm): CivilDate[] {
  const item = kind === 'stock' && itemId ? state.get('item', itemId) : undefined;
  if (!item) return [];
  return [...readDigest(digestOf(state, item)).days]
    .filter(([, cell]) => cell[IN] > 0)
    .map(([day]) => new Date(day * DAY_MS).toISOString().slice(0, 10))
    .sort();
}
