import type { ItemFields, LotFields } from '../household/registry';
import { addDays, addMonths, daysBetween, type CivilDate } from './civilDate';

export type DueReason = 'use_by' | 'best_before' | 'opened' | 'frozen';
export interface Due {
  on: CivilDate;
  reason: DueReason;
}
export type DueState = 'late' | 'soon' | 'later';

/** Two weeks ahead is what the opening screen looks at (own default). */
export const SOON_DAYS = 14;
/**
 * Months of good quality in a freezer where the item says nothing: within the 2–3 months that the US federal
 * cold-storage chart (FoodSafety.gov, from memory) gives soups and stews. Quality, not safety.
 */
export const DEFAULT_FREEZER_MONTHS = 3;

type DatedLot = Pick<LotFields, 'expiresOn' | 'dateKind' | 'openedOn' | 'frozenOn'>;
type KeepingItem = Pick<ItemFields, 'openedDays' | 'freezerMonths'>;

/**
 * The date that counts for a lot: frozen, the quality months from the day of freezing; otherwise the printed date or
 * the days after opening, whichever comes first.
 * @returns null when nothing limits it
 * @example printed 2027-01-31, opened 2026-11-20, keeps 4 days opened //=> 2026-11-24, `opened`
 */
export function effectiveDue(lot: DatedLot, item: KeepingItem): Due | null {
  if (lot.frozenOn !== null) {
    return { on: addMonths(lot.frozenOn, item.freezerMonths ?? DEFAULT_FREEZER_MONTHS), reason: 'frozen' };
  }
  const printed: Due | null =
    lot.expiresOn === null ? null : { on: lot.expiresOn, reason: lot.dateKind === 'use_by' ? 'use_by' : 'best_before' };
  if (lot.openedOn === null || item.openedDays === null) return printed;
  const opened: Due = { on: addDays(lot.openedOn, item.openedDays), reason: 'opened' };
  return printed !== null && printed.on < opened.on ? printed : opened;
}

/** The last good day itself is still `soon`; the day after is `late`. */
export function dueState(due: Due, today: CivilDate, soonDays = SOON_DAYS): DueState {
  const left = daysBetween(today, due.on);
  if (left < 0) return 'late';
  return left <= soonDays ? 'soon' : 'later';
}
