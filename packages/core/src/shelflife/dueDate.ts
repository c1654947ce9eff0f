import type { ItemFields, LotFields } from '../household';
import { addDays, addMonths, daysBetween, type CivilDate } from '../base';
import type { KeepingGuide } from './KeepingGuide';

export type DueReason = 'use_by' | 'best_before' | 'opened' | 'cooked' | 'kept' | 'frozen' | 'thawed';
/** Reasons that are about safety; the others are about quality. */
const SAFETY: ReadonlySet<DueReason> = new Set(['use_by', 'opened', 'cooked', 'thawed']);
/** Whether a date says until when it is safe; the others say until when it is good. */
export const isSafety = (due: Due): boolean => SAFETY.has(due.reason);
/** The date that counts for a lot, and why. */
export interface Due {
  on: CivilDate;
  reason: DueReason;
  /** Where the days after opening or cooking are from, when the home has not said them: the date is a guess. */
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

type DatedLot = Pick<
  LotFields,
  'expiresOn' | 'dateKind' | 'openedOn' | 'frozenOn' | 'thawedOn' | 'madeOn' | 'madeKind'
>;
type KeepingItem = Pick<ItemFields, 'openedDays' | 'freezerMonths' | 'keepDays'> &
  Partial<Pick<ItemFields, 'name' | 'category'>>;

/** Whether it left the freezer and was not frozen since. A thing thawed on the day it was frozen is thawed. */
export const isThawed = ({ frozenOn, thawedOn = null }: Pick<LotFields, 'frozenOn' | 'thawedOn'>): boolean =>
  thawedOn !== null && (frozenOn === null || frozenOn <= thawedOn);
/** Whether it is frozen now: it went in and has not thawed since. */
export const isFrozen = (lot: Pick<LotFields, 'frozenOn' | 'thawedOn'>): boolean =>
  lot.frozenOn !== null && !isThawed(lot);

/**
 * The date that counts for a lot.
 *
 * Not frozen: the printed date, the days after opening or after cooking, whichever comes first; where the home has not said how
 * long it keeps then, the guide does. Made, packed, bought: as many days as the home says that it keeps. Frozen while it was still
 * good: the quality months from the day of freezing. Frozen after a use-by date, or after what was left once opened or cooked:
 * freezing stops nothing, and that date still counts. A best-before date is quality and does not forbid freezing. Thawed: one day,
 * or what was left when it was frozen if that is less; opening it then adds nothing. Frozen again within that day it keeps its
 * quality months, later it does not. In another jar (decanted) it keeps its dates.
 *
 * @returns null when nothing limits it
 * For example printed 2027-01-31, opened 2026-11-20, keeps 4 days opened: 2026-11-24, `opened`.
 */
export function effectiveDue(lot: DatedLot, item: KeepingItem, guide: KeepingGuide): Due | null {
  const { expiresOn, openedOn, frozenOn, thawedOn = null } = lot;
  const printed: Due | null =
    expiresOn === null ? null : { on: expiresOn, reason: lot.dateKind === 'use_by' ? 'use_by' : 'best_before' };
  const opened = openedDue(lot, item, guide);
  const cooked = cookedDue(lot, item, guide);
  if (frozenOn === null && thawedOn === null) return earliest(printed, opened, cooked, keptDue(lot, item));
  const safetyPrinted = printed?.reason === 'use_by' ? printed : null;
  // The first time it went into the cold; when it was frozen again, that day is not known and its thawing stands for it.
  const coldFrom = frozenOn !== null && thawedOn !== null && thawedOn < frozenOn ? thawedOn : (frozenOn ?? thawedOn!);
  const wasOpen = openedOn !== null && openedOn <= coldFrom;
  const wasCooked = cooked !== null && lot.madeOn! <= coldFrom;
  const before = earliest(safetyPrinted, wasOpen ? opened : null, wasCooked ? cooked : null);
  if (before && before.on < coldFrom) return before;
  const quality = (from: CivilDate): Due => ({
    on: addMonths(from, item.freezerMonths ?? guide.freezerMonths(item)?.time ?? DEFAULT_FREEZER_MONTHS),
    reason: 'frozen',
  });
  if (thawedOn === null) return quality(frozenOn!);
  const left = before ? daysBetween(coldFrom, before.on) : THAWED_DAYS;
  const thawed: Due = { on: addDays(thawedOn, Math.min(THAWED_DAYS, left)), reason: 'thawed' };
  if (isThawed(lot)) return earliest(thawed, openedOn !== null && !wasOpen ? opened : null, wasCooked ? null : cooked);
  return frozenOn! <= thawed.on ? quality(frozenOn!) : thawed;
}

/** Until when it keeps because it is open. */
function openedDue({ openedOn, dateKind, expiresOn }: DatedLot, item: KeepingItem, guide: KeepingGuide): Due | null {
  if (openedOn === null) return null;
  if (item.openedDays !== null) return { on: addDays(openedOn, item.openedDays), reason: 'opened' };
  const days = guide.openedDays(item, expiresOn === null ? null : (dateKind ?? 'best_before'));
  return days && guided(addDays(openedOn, days.time), 'opened', days.source);
}

/** Until when it keeps because it is cooked. */
function cookedDue({ madeOn = null, madeKind }: DatedLot, item: KeepingItem, guide: KeepingGuide): Due | null {
  if (madeOn === null || madeKind !== 'cooked') return null;
  if (item.keepDays) return { on: addDays(madeOn, item.keepDays), reason: 'cooked' };
  const { time, source } = guide.cookedDays(item);
  return guided(addDays(madeOn, time), 'cooked', source);
}

/** Until when it is good because it was made, packed, roasted or bought on some day; the home has said how long. */
function keptDue({ madeOn = null, madeKind }: DatedLot, { keepDays }: KeepingItem): Due | null {
  if (madeOn === null || madeKind === 'cooked' || !keepDays) return null;
  return { on: addDays(madeOn, keepDays), reason: 'kept' };
}

const guided = (on: CivilDate, reason: DueReason, source: string | null): Due => ({
  on,
  reason,
  ...(source === null ? {} : { guessedFrom: source }),
});

/** On the same day the one named first: the printed one. */
const earliest = (...dues: (Due | null)[]): Due | null =>
  dues.reduce((best, due) => (best === null || (due !== null && due.on < best.on) ? due : best), null);

/** The last good day itself is still `soon`; the day after is `late`. */
export function dueState(due: Due, today: CivilDate, soonDays = SOON_DAYS): DueState {
  const left = daysBetween(today, due.on);
  if (left < 0) return 'late';
  return left <= soonDays ? 'soon' : 'later';
}
