import type { HouseholdState, ItemRow, ThingShape } from '../household';

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

/** A lid may be this much wider or narrower than its box. Own default. */
const LID_TENTH_MM = 50;

/**
 * Things that would be the lid of a box, or the box of a lid: measured, as wide and deep within 5 mm whichever way around, one of the
 * two flatter. The closest first. What nobody measured is not matched.
 * For example a lid of 18 by 13 by 1 cm goes with a box of 18 by 13 by 8 cm, not with one of 20 by 13.
 */
export function fittingBySize(state: HouseholdState, item: ItemRow): ItemRow[] {
  const own = item.traits?.shape;
  if (!own) return [];
  const across = (shape: ThingShape): [number, number] =>
    shape.widthTenthMm >= shape.depthTenthMm
      ? [shape.widthTenthMm, shape.depthTenthMm]
      : [shape.depthTenthMm, shape.widthTenthMm];
  const [long, short] = across(own);
  return state
    .all('item')
    .flatMap((other) => {
      const shape = other.traits?.shape;
      if (other.id === item.id || !shape || shape.heightTenthMm === own.heightTenthMm) return [];
      const [otherLong, otherShort] = across(shape);
      const off = Math.max(Math.abs(otherLong - long), Math.abs(otherShort - short));
      return off <= LID_TENTH_MM ? [{ other, off }] : [];
    })
    .sort((a, b) => a.off - b.off || (a.other.name < b.other.name ? -1 : 1))
    .map(({ other }) => other);
}
