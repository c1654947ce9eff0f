import type { CivilDate } from '../base';
import { dayNumber, readUseDays } from '../forecast';
import { digestOf, type HouseholdState } from '../household';
import { readDigest } from '../use';

/** Days that a digest looks back. */
const DAYS_BACK = 182;
const DAYS_A_MONTH = 30.4;

/**
 * Days a month on which an item was taken, from its row of use; null: none was seen.
 * @param todayNumber today, counted from 1970-01-01
 */
export function takingsOf(state: HouseholdState, itemId: string, todayNumber: number): number | null {
  const item = state.get('item', itemId);
  const digest = item ? digestOf(state, item) : '';
  if (digest === '') return null;
  const { daysOfUse } = readUseDays(readDigest(digest), todayNumber, []);
  return daysOfUse > 0 ? (daysOfUse / DAYS_BACK) * DAYS_A_MONTH : null;
}

/** Of every item; in one go. */
export function everyTaking(state: HouseholdState, today: CivilDate): Map<string, number> {
  const takings = new Map<string, number>();
  for (const { id } of state.all('item')) {
    const days = takingsOf(state, id, dayNumber(today));
    if (days !== null) takings.set(id, days);
  }
  return takings;
}
