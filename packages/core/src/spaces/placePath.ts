import type { HouseholdState, BinRow, RoomRow, ShelfRow, SpaceRow } from '../household';

export interface PlacePath {
  room: RoomRow | null;
  space: SpaceRow | null;
  shelf: ShelfRow | null;
  /** From the outermost bin to the innermost. */
  bins: BinRow[];
  /** What a person reads: `Boat loft › Rack 1 › second shelf from top › left`. */
  steps: string[];
  code: string;
}

/** Whether a place is in a space that keeps things frozen. A refrigerator may have a freezer compartment, or not. */
export function isInFreezer(state: HouseholdState, nookId: string): boolean {
  const kind = placePath(state, nookId)?.space?.kind;
  return kind === 'chest_freezer' || kind === 'upright_freezer';
}

const ORDINALS = ['top', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

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
  const steps = [room?.name, space?.name].filter((step): step is string => step !== undefined);
  if (shelf) steps.push(describeShelf(state, shelf));
  if (shelf && bins.length > 0) steps.push(describeBinPlace(state, shelf, bins[0]!));
  for (const inner of bins.slice(1)) steps.push(inner.name);
  return { room, space, shelf, bins, steps, code: nook.row.code };
}

/** A shelf's own name, or its place among those of its kind: `second shelf from top`, `left basket`. */
export function describeShelf(state: HouseholdState, shelf: ShelfRow): string {
  if (shelf.name !== '') return shelf.name;
  const alike = state.shelvesOf(shelf.spaceId).filter((other) => other.kind === shelf.kind);
  const at = alike.findIndex((other) => other.id === shelf.id);
  const noun = {
    shelf: 'shelf',
    drawer: 'drawer',
    door_rack: 'door rack',
    hanging_basket: 'hanging basket',
    hook_rail: 'hook rail',
    floor: 'floor',
  }[shelf.kind];
  if (alike.length < 2 || at < 0) return noun;
  if (at === alike.length - 1) return `bottom ${noun}`;
  if (at === 0) return `top ${noun}`;
  return `${ORDINALS[at] ?? `${at + 1}th`} ${noun} from top`;
}

function describeBinPlace(state: HouseholdState, shelf: ShelfRow, bin: BinRow): string {
  const row = state.binsIn(shelf.id);
  const at = row.findIndex((other) => other.id === bin.id);
  if (row.length < 2 || at < 0) return bin.name;
  if (at === 0) return `${bin.name}, left`;
  if (at === row.length - 1) return `${bin.name}, right`;
  return row.length === 3 ? `${bin.name}, middle` : `${bin.name}, ${ordinal(at + 1)} from left`;
}

const ordinal = (count: number): string => ORDINALS[count - 1] ?? `${count}th`;
