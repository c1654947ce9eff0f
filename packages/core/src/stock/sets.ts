import type { HouseholdState, ItemRow } from '../household';

/** Things that belong together: how many whole sets there are, what is in use, what is missing. */
export interface SetCount {
  pieces: number;
  /** All there are, here and in use, in pieces. */
  there: number;
  inUse: number;
  whole: number;
  /** Pieces beyond the whole sets. */
  over: number;
  /** To the next whole set; 0 when none is begun. */
  missing: number;
  /** What each whole set needs one of besides, and how many of that there are. */
  with: { item: ItemRow; there: number } | null;
}

const amountOf = (state: HouseholdState, itemId: string): number =>
  Math.floor(state.lotsOf(itemId).reduce((sum, lot) => sum + lot.quantityThousandths, 0) / 1000);

/**
 * Counts the sets of an item.
 * @returns null for an item that is in no set
 * For example 27 napkins in sets of 12 are 2 whole sets and 3 over; 9 are missing to the third.
 */
export function setCount(state: HouseholdState, item: ItemRow): SetCount | null {
  if (!item.set) return null;
  const { pieces, withItemId } = item.set;
  const there = amountOf(state, item.id);
  const inUse = Math.floor(
    state.lotsOf(item.id).reduce((sum, lot) => sum + (lot.inUseOn ? lot.quantityThousandths : 0), 0) / 1000,
  );
  const other = withItemId === null ? undefined : state.get('item', withItemId);
  const partner = other && !other.retired ? { item: other, there: amountOf(state, other.id) } : null;
  const full = Math.floor(there / pieces);
  const over = there - full * pieces;
  return {
    pieces,
    there,
    inUse,
    whole: partner ? Math.min(full, partner.there) : full,
    over,
    missing: over === 0 ? 0 : pieces - over,
    with: partner,
  };
}
