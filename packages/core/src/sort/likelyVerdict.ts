import { addDays, type CivilDate } from '../base';
import type { HouseholdState, LotRow, Verdict } from '../household';
import { effectiveDue, guideOf, isSafety } from '../shelflife';
import { suggestHome } from './clearOut';

/** What most likely becomes of a thing that is looked at, and what that is concluded from. */
export interface LikelyVerdict {
  verdict: Verdict;
  /** For `elsewhere`: where more of it is. */
  toNookId: string | null;
  because:
    | { kind: 'past_use_by'; on: CivilDate }
    | { kind: 'long_past_date'; on: CivilDate }
    | { kind: 'more_elsewhere'; nookId: string }
    | { kind: 'nothing_against' };
}

/** So long after a best-before date a thing is more likely thrown out than kept (own default). */
const LONG_PAST_DAYS = 180;

/**
 * The answer to offer first when a thing is sorted. A date that counts for safety and is over comes first, then a home the
 * thing has elsewhere, then a date of quality that is long over; otherwise it stays. Only an offer: nothing is decided.
 * @param spaceId the space that is being sorted
 */
export function likelyVerdict(state: HouseholdState, lot: LotRow, spaceId: string, today: CivilDate): LikelyVerdict {
  const item = state.get('item', lot.itemId);
  const due = item ? effectiveDue(lot, item, guideOf(state)) : null;
  if (due && isSafety(due) && !due.guessedFrom && due.on < today)
    return { verdict: 'throw_out', toNookId: null, because: { kind: 'past_use_by', on: due.on } };
  const home = suggestHome(state, lot, spaceId);
  if (home !== null) return { verdict: 'elsewhere', toNookId: home, because: { kind: 'more_elsewhere', nookId: home } };
  if (due && addDays(due.on, LONG_PAST_DAYS) < today)
    return { verdict: 'throw_out', toNookId: null, because: { kind: 'long_past_date', on: due.on } };
  return { verdict: 'keep', toNookId: null, because: { kind: 'nothing_against' } };
}
