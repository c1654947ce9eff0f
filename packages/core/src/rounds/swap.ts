/** Bins that change places when the season turns. */
import type { BinRow, HouseholdState, Op } from '../household';
import { standProblem, type StandProblem } from '../spaces';
import { livingBin } from './drift';

/**
 * Why two bins cannot change places.
 * - `gone`: one of them is no longer there
 * - `same`: they are one, or one stands in the other
 * - otherwise one does not go onto the shelf of the other
 */
export type SwapProblem = { kind: 'gone' } | { kind: 'same' } | StandProblem;

/** Whether a bin stands in another one, however deep. */
function standsIn(state: HouseholdState, bin: BinRow, otherId: string): boolean {
  for (let at = bin.parentBinId; at !== null; at = state.get('bin', at)?.parentBinId ?? null)
    if (at === otherId) return true;
  return false;
}

/** What speaks against it, as far as both were measured; null: nothing known does. */
export function swapProblem(state: HouseholdState, oneId: string, otherId: string): SwapProblem | null {
  const [one, other] = [livingBin(state, oneId), livingBin(state, otherId)];
  if (!one || !other) return { kind: 'gone' };
  if (one.id === other.id || standsIn(state, one, other.id) || standsIn(state, other, one.id)) return { kind: 'same' };
  return against(state, one, other) ?? against(state, other, one);
}

/** In another bin there is no clear height that is known. */
const against = (state: HouseholdState, bin: BinRow, place: BinRow): StandProblem | null =>
  place.parentBinId === null ? standProblem(state, bin, place.shelfId) : null;

/** Each stands where the other stood. Empty: they cannot. */
export function opsForSwappingPlaces(state: HouseholdState, oneId: string, otherId: string): Op[] {
  const [one, other] = [livingBin(state, oneId), livingBin(state, otherId)];
  if (!one || !other || swapProblem(state, oneId, otherId)) return [];
  const placeOf = ({ shelfId, parentBinId, leftTenthMm, sort }: BinRow) => ({
    shelfId,
    parentBinId,
    leftTenthMm,
    sort,
  });
  return [
    { op: 'change', entity: 'bin', id: one.id, fields: placeOf(other) },
    { op: 'change', entity: 'bin', id: other.id, fields: placeOf(one) },
  ];
}
