import type { HouseholdState, BinRow, RoomRow, ShelfRow, SpaceRow } from '../household';

/** A place in a row: the first is 0; `of` is 1 where it is alone. */
export interface Among {
  at: number;
  of: number;
}
/** The way to a nook. */
export interface PlacePath {
  room: RoomRow | null;
  space: SpaceRow | null;
  shelf: ShelfRow | null;
  /** From the outermost bin to the innermost. */
  bins: BinRow[];
  /** Where the shelf is among those of its kind in the space, from the top. */
  shelfAmong: Among | null;
  /** Where the outermost bin is on its shelf, from the left. */
  binAmong: Among | null;
  code: string;
}

/** Whether a place is in a space that keeps things frozen. A refrigerator may have a freezer compartment, or not. */
export function isInFreezer(state: HouseholdState, nookId: string): boolean {
  const kind = placePath(state, nookId)?.space?.kind;
  return kind === 'chest_freezer' || kind === 'upright_freezer';
}

/**
 * The way to a nook: room, space, shelf, bins.
 * @returns null when the nook is not known
 */
export function placePath(state: HouseholdState, nookId: string): PlacePath | null {
  const nook = state.nook(nookId);
  if (!nook) return null;
  const bins: BinRow[] = [];
  let shelf: ShelfRow | null = nook.kind === 'shelf' ? nook.row : null;
  if (nook.kind === 'bin') {
    for (let bin: BinRow | undefined = nook.row; bin;) {
      bins.unshift(bin);
      bin = bin.parentBinId === null ? undefined : state.get('bin', bin.parentBinId);
    }
    shelf = state.get('shelf', nook.row.shelfId) ?? null;
  }
  const space = nook.kind === 'space' ? nook.row : ((shelf && state.get('space', shelf.spaceId)) ?? null);
  const room = (space && state.get('room', space.roomId)) ?? null;
  return {
    room,
    space,
    shelf,
    bins,
    shelfAmong: shelf && shelfAmong(state, shelf),
    binAmong: shelf && bins[0] ? among(state.binsIn(shelf.id), bins[0].id) : null,
    code: nook.row.code,
  };
}

/** Where a shelf is among those of its kind in its space, from the top. */
export const shelfAmong = (state: HouseholdState, shelf: ShelfRow): Among =>
  among(
    state.shelvesOf(shelf.spaceId).filter(({ kind }) => kind === shelf.kind),
    shelf.id,
  );

/** What is not in the row (it was taken away) is alone. */
function among(row: readonly { id: string }[], id: string): Among {
  const at = row.findIndex((one) => one.id === id);
  return at < 0 ? { at: 0, of: 1 } : { at, of: row.length };
}
