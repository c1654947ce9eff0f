import { dayNumberOf } from '../use';
import type { AbsenceRow, PersonRow } from '../household';
import type { CivilDate } from '../base';
import type { Presence } from './useDays';

/** A civil day as the digest counts days. */
export const dayNumber = (day: CivilDate): number => dayNumberOf(`${day}T00:00:00.000Z`);

/** When the home uses less or more than usual: nobody there, or so many guests beside those who live there. */
export function presenceOf(absences: readonly AbsenceRow[], people: readonly PersonRow[]): Presence[] {
  const atHome = Math.max(1, people.filter(({ role }) => role !== 'helper').length);
  return absences.map(({ kind, fromOn, toOn, people: guests }) => ({
    from: dayNumber(fromOn),
    to: dayNumber(toOn),
    factor: kind === 'away' ? 0 : (atHome + guests) / atHome,
  }));
}
