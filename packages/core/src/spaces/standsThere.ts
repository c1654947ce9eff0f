/** Whether a bin goes onto a shelf, as far as both were measured. */
import type { BinRow, HouseholdState } from '../household';

export interface StandProblem {
  kind: 'too_high' | 'too_deep' | 'too_wide';
  /** Of the bin. */
  name: string;
  isTenthMm: number;
  clearTenthMm: number;
}

/** What speaks against a bin on a shelf by itself; null: nothing that is known. A shelf without a depth is as deep as its space. */
export function standProblem(state: HouseholdState, bin: BinRow, shelfId: string): StandProblem | null {
  const shelf = state.get('shelf', shelfId);
  const space = shelf && state.get('space', shelf.spaceId);
  const more = (
    kind: StandProblem['kind'],
    is: number | null,
    clear: number | null | undefined,
  ): StandProblem | null =>
    is !== null && clear !== null && clear !== undefined && is > clear
      ? { kind, name: bin.name, isTenthMm: is, clearTenthMm: clear }
      : null;
  return (
    more('too_high', bin.heightTenthMm, shelf?.heightTenthMm) ??
    more('too_deep', bin.depthTenthMm, shelf?.depthTenthMm ?? space?.depthTenthMm) ??
    more('too_wide', bin.widthTenthMm, shelf?.widthTenthMm ?? space?.widthTenthMm)
  );
}

/**
 * By how much a shelf would be too narrow for all that stands on it side by side and this bin, in tenths of a millimetre; 0: they have
 * room. Null: a width is not known. They may still go behind or upon each other.
 */
export function tooNarrowBy(state: HouseholdState, bin: BinRow, shelfId: string): number | null {
  const shelf = state.get('shelf', shelfId);
  const clear = shelf?.widthTenthMm ?? (shelf && state.get('space', shelf.spaceId)?.widthTenthMm) ?? null;
  const bins = [...state.binsIn(shelfId).filter(({ id }) => id !== bin.id), bin];
  let sum = 0;
  for (const { widthTenthMm } of bins) {
    if (widthTenthMm === null) return null;
    sum += widthTenthMm;
  }
  return clear === null ? null : Math.max(0, sum - clear);
}
