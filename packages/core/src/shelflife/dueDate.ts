import type { ItemFields, LotFields } from '../household';
import { addDays, addMonths, daysBetween, type CivilDate } from '../base';
import { openedGuess } from './openedDays';

export type DueReason = 'use_by' | 'best_before' | 'opened' | 'frozen' | 'thawed';
/** The date that counts for a lot, and why. */
export interface Due {
  on: CivilDate;
  reason: DueReason;
  /** Where the days after opening are from, when the home has not said them: the date is a guess. */
  guessedFrom?: string;
}
export type DueState = 'late' | 'soon' | 'later';

/** Two weeks ahead is what the opening screen looks at (own default). */
export const SOON_DAYS = 14;
/**
 * Months of good quality in a freezer where the item says nothing: within the 2–3 months that the US federal
 * cold-storage chart (FoodSafety.gov, from memory) gives soups and stews. Quality, not safety.
 */
export const DEFAULT_FREEZER_MONTHS = 3;

/**
 * Days that something keeps in the refrigerator once it has thawed: the least that the US federal guidance gives (ground meat,
 * poultry and fish 1 to 2 days; from memory), for everything.
 */
export const THAWED_DAYS = 1;

type DatedLot = Pick<LotFields, 'expiresOn' | 'dateKind' | 'openedOn' | 'frozenOn' | 'thawedOn'>;
type KeepingItem = Pick<ItemFields, 'openedDays' | 'freezerMonths'> & Partial<Pick<ItemFields, 'name' | 'category'>>;

/** Whether it left the freezer and was not frozen since. A thing thawed on the day it was frozen is thawed. */
export const isThawed = ({ frozenOn, thawedOn = null }: Pick<LotFields, 'frozenOn' | 'thawedOn'>): boolean =>
  thawedOn !== null && (frozenOn === null || frozenOn <= thawedOn);
/** Whether it is frozen now: it went in and has not thawed since. */
export const isFrozen = (lot: Pick<LotFields, 'frozenOn' | 'thawedOn'>): boolean =>
  lot.frozenOn !== null && !isThawed(lot);

/**
 * The date that counts for a lot.
 *
 * Not frozen: the printed date or the days after opening, whichever comes first; where the home has not said how long it keeps
 * once open, a careful guess stands in. Frozen while it was still good: the quality months from the day of freezing. Frozen after
 * a use-by date, or after what was left once opened: freezing stops nothing, and that date still counts. A best-before date is
 * quality and does not forbid freezing. Thawed: one day, or what was left when it was frozen if that is less; opening it then
 * adds nothing. Frozen again within that day it keeps its quality months, later it does not.
 *
 * @returns null when nothing limits it
 * For example printed 2027-01-31, opened 2026-11-20, keeps 4 days opened: 2026-11-24, `opened`.
 */
export function effectiveDue(lot: DatedLot, item: KeepingItem): Due | null {
  const { expiresOn, openedOn, frozenOn, thawedOn = null } = lot;
  const printed: Due | null =
    expiresOn === null ? null : { on: expiresOn, reason: lot.dateKind === 'use_by' ? 'use_by' : 'best_before' };
  const opened = openedDue(lot, item);
  if (frozenOn === null && thawedOn === null) return earlier(printed, opened);
  const safetyPrinted = printed?.reason === 'use_by' ? printed : null;
  // The first time it went into the cold; when it was frozen again, that day is not known and its thawing stands for it.
  const coldFrom = frozenOn !== null && thawedOn !== null && thawedOn < frozenOn ? thawedOn : (frozenOn ?? thawedOn!);
  const before = earlier(safetyPrinted, openedOn !== null && openedOn <= coldFrom ? opened : null);
  if (before && before.on < coldFrom) return before;
  const quality = (from: CivilDate): Due => ({
    on: addMonths(from, item.freezerMonths ?? DEFAULT_FREEZER_MONTHS),
    reason: 'frozen',
  });
  if (thawedOn === null) return quality(frozenOn!);
  const left = before ? daysBetween(coldFrom, before.on) : THAWED_DAYS;
  const thawed: Due = { on: addDays(thawedOn, Math.min(THAWED_DAYS, left)), reason: 'thawed' };
  if (isThawed(lot)) return earlier(thawed, openedOn !== null && openedOn > coldFrom ? opened : null);
  return frozenOn! <= thawed.on ? quality(frozenOn!) : thawed;
}

/** Until when it keeps because it is open. */
function openedDue({ openedOn, dateKind, expiresOn }: DatedLot, item: KeepingItem): Due | null {
  if (openedOn === null) return null;
  if (item.openedDays !== null) return { on: addDays(openedOn, item.openedDays), reason: 'opened' };
  const guess = openedGuess(item, expiresOn === null ? null : (dateKind ?? 'best_before'));
  return guess && { on: addDays(openedOn, guess.days), reason: 'opened', guessedFrom: guess.source };
}

const earlier = (a: Due | null, b: Due | null): Due | null => (a && b ? (a.on < b.on ? a : b) : (a ?? b));

/** The last good day itself is still `soon`; the day after is `late`. */
export function dueState(due: Due, today: CivilDate, soonDays = SOON_DAYS): DueState {
  const left = daysBetween(today, due.on);
  if (left < 0) return 'late';
  return left <= soonDays ? 'soon' : 'later';
}
