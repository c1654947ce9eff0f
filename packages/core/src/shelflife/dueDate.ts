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
 * The date that counts for a lot. Not frozen: the printed date or the days after opening, whichever comes first. Frozen
 * while it was still good: the quality months from the day of freezing. Frozen after a use-by date, or after what was left
 * once opened: freezing stops nothing, and that date still counts. A best-before date is quality and does not forbid freezing.
 * A thing opened after it was frozen counts as frozen still: when it left the freezer is not known here.
 *
 * @returns null when nothing limits it
 * @example printed 2027-01-31, opened 2026-11-20, keeps 4 days opened //=> 2026-11-24, `opened`
 */
export function effectiveDue(lot: DatedLot, item: KeepingItem): Due | null {
  const { expiresOn, openedOn, frozenOn } = lot;
  const printed: Due | null =
    expiresOn === null ? null : { on: expiresOn, reason: lot.dateKind === 'use_by' ? 'use_by' : 'best_before' };
  const opened: Due | null =
    openedOn === null || item.openedDays === null ? null : { on: addDays(openedOn, item.openedDays), reason: 'opened' };
  if (frozenOn === null) return earlier(printed, opened);
  const safe = earlier(
    printed?.reason === 'use_by' ? printed : null,
    openedOn !== null && openedOn <= frozenOn ? opened : null,
  );
  if (safe && safe.on < frozenOn) return safe;
  return { on: addMonths(frozenOn, item.freezerMonths ?? DEFAULT_FREEZER_MONTHS), reason: 'frozen' };
}

const earlier = (a: Due | null, b: Due | null): Due | null => (a && b ? (a.on < b.on ? a : b) : (a ?? b));

/** The last good day itself is still `soon`; the day after is `late`. */
export function dueState(due: Due, today: CivilDate, soonDays = SOON_DAYS): DueState {
  const left = daysBetween(today, due.on);
  if (left < 0) return 'late';
  return left <= soonDays ? 'soon' : 'later';
}
