/** Bins that change places when the season turns. */
import type { BinRow, HouseholdState, Op } from '../household';

/**
 * Why two bins cannot change places.
 * - `gone`: one of them is no longer there
 * - `same`: they are one, or one stands in the other
 * - `too_high`: one is higher than the shelf of the other is clear; `too_deep`: deeper than it
 */
export type SwapProblem =
  | { kind: 'gone' }
  | { kind: 'same' }
  | { kind: 'too_high' | 'too_deep'; name: string; isTenthMm: number; clearTenthMm: number };

const living = (state: HouseholdState, id: string): BinRow | null => {
  const bin = state.get('bin', id);
  return bin && !bin.retired ? bin : null;
};
/** Whether a bin stands in another one, however deep. */
function standsIn(state: HouseholdState, bin: BinRow, otherId: string): boolean {
  for (let at = bin.parentBinId; at !== null; at = state.get('bin', at)?.parentBinId ?? null)
    if (at === otherId) return true;
  return false;
}

/** What speaks against it, as far as both were measured; null: nothing known does. */
export function swapProblem(state: HouseholdState, oneId: string, otherId: string): SwapProblem | null {
  const [one, other] = [living(state, oneId), living(state, otherId)];
  if (!one || !other) return { kind: 'gone' };
  if (one.id === other.id || standsIn(state, one, other.id) || standsIn(state, other, one.id)) return { kind: 'same' };
  return against(state, one, other) ?? against(state, other, one);
}

function against(state: HouseholdState, bin: BinRow, place: BinRow): SwapProblem | null {
  // In another bin there is no clear height that is known.
  if (place.parentBinId !== null) return null;
  const shelf = state.get('shelf', place.shelfId);
  const more = (
    kind: 'too_high' | 'too_deep',
    is: number | null,
    clear: number | null | undefined,
  ): SwapProblem | null =>
    is !== null && clear !== null && clear !== undefined && is > clear
      ? { kind, name: bin.name, isTenthMm: is, clearTenthMm: clear }
      : null;
  return (
    more('too_high', bin.heightTenthMm, shelf?.heightTenthMm) ?? more('too_deep', bin.depthTenthMm, shelf?.depthTenthMm)
  );
}

/** Each stands where the other stood. Empty: they cannot. */
export function opsForSwappingPlaces(state: HouseholdState, oneId: string, otherId: string): Op[] {
  const [one, other] = [living(state, oneId), living(state, otherId)];
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
