import type { HouseholdState, Op, BinRow } from '../household';

/** Where a bin can stand: on a shelf, or in another bin. */
interface Placement {
  shelfId: string;
  parentBinId: string | null;
}

/**
 * Where a bin comes to stand when someone says "into there".
 * @returns null when there is no shelf: a space without shelves, or an unknown nook
 */
export function placeOf(state: HouseholdState, nookId: string): Placement | null {
  const nook = state.nook(nookId);
  if (!nook || nook.row.retired) return null;
  if (nook.kind === 'bin') return { shelfId: nook.row.shelfId, parentBinId: nook.row.id };
  if (nook.kind === 'shelf') return { shelfId: nook.row.id, parentBinId: null };
  const first = state.shelvesOf(nook.row.id)[0];
  return first ? { shelfId: first.id, parentBinId: null } : null;
}

/** Every nook inside this one, the nook itself first, inner ones after outer ones. */
export function nooksWithin(state: HouseholdState, nookId: string): string[] {
  const nook = state.nook(nookId);
  if (!nook) return [];
  const inside =
    nook.kind === 'space' ? state.shelvesOf(nookId).map(({ id }) => id) : state.binsIn(nookId).map(({ id }) => id);
  return [nookId, ...inside.flatMap((id) => nooksWithin(state, id))];
}

/** Moves a bin, with all that is in it, to the end of the row at its new place. Empty when it cannot stand there. */
export function opsForMovingBin(state: HouseholdState, bin: BinRow, toNookId: string): Op[] {
  const standing = placeOf(state, toNookId);
  if (!standing || nooksWithin(state, bin.id).includes(toNookId)) return [];
  const last = state.binsIn(standing.parentBinId ?? standing.shelfId).at(-1);
  const sort = (last?.sort ?? -1) + 1;
  return [{ op: 'change', entity: 'bin', id: bin.id, fields: { ...standing, sort, leftTenthMm: null } }];
}

/**
 * Retires a nook and everything in it that is a place.
 *
 * @param toNookId where what it holds goes: its lots as they are, its bins with their contents. Null when it is empty.
 * @returns the operations in order; null when `toNookId` lies inside the nook itself or cannot take bins
 */
export function opsForRetiringNook(state: HouseholdState, nookId: string, toNookId: string | null): Op[] | null {
  const nook = state.nook(nookId);
  if (!nook) return null;
  const within = nooksWithin(state, nookId);
  if (toNookId !== null && within.includes(toNookId)) return null;
  const ops: Op[] = [];
  const places = nook.kind === 'space' ? [nookId, ...state.shelvesOf(nookId).map(({ id }) => id)] : [nookId];
  for (const place of places) {
    for (const lot of state.lotsIn(place)) {
      if (toNookId === null) return null;
      ops.push({ op: 'change', entity: 'lot', id: lot.id, fields: { nookId: toNookId } });
    }
    for (const bin of state.binsIn(place)) {
      if (toNookId === null) return null;
      const move = opsForMovingBin(state, bin, toNookId);
      if (move.length === 0) return null;
      ops.push(...move);
    }
  }
  for (const place of [...places].reverse())
    ops.push({ op: 'retire', entity: place === nookId ? nook.kind : 'shelf', id: place });
  return ops;
}
