import { placePath, type HouseholdState, type LotFields } from '@ours/core';

/** The stop of a space's tour that a label's code is of: a bin, or a shelf; null: it is of no place in this space. */
export function placeOfScan(state: HouseholdState, spaceId: string, key: string): string | null {
  const id = state.nookIdByCodeKey(key);
  if (id === undefined || id === spaceId) return null;
  return placePath(state, id)?.space?.id === spaceId ? id : null;
}

/** A lot of which nothing is known but the thing and its place. */
export const plainLot = (itemId: string, nookId: string): LotFields => ({
  itemId,
  nookId,
  packSize: null,
  expiresOn: null,
  dateKind: null,
  openedOn: null,
  frozenOn: null,
  note: '',
});
