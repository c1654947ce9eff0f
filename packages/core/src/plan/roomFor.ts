/** Where something to be bought would stand, among what stands there already. */
import { EmptyShelf, modelSpace, ShelfFloor, sidesUp, type SlantedRow } from '../fit';
import { climateOf } from '../handling';
import type { BinRow, HouseholdState, ShelfRow, SpaceRow } from '../household';

/** Outside measures in tenths of a millimetre, as it stands. */
export interface ThingSize {
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
}

/** A shelf that takes it. */
export interface RoomPlace {
  shelf: ShelfRow;
  space: SpaceRow;
  /** The bin that has to go for it, or the place that is kept free; null: it stands beside all that is there. */
  insteadOf: BinRow | null;
  /** It stands on another side than it was measured. */
  laid: boolean;
  /** Things without a bin that stand there as well: how much room they take is not known. */
  loose: number;
  /** As many stand there, found by putting them down; where a bin has to go, one. */
  count: number;
  /** Where the bin that has to go finds room; null: none was found, or nothing has to go. */
  goesTo: ShelfRow | null;
}

export interface RoomAnswer {
  /** Beside what is there first, those that leave the least room over first; then those where one bin goes, the smallest first. */
  places: RoomPlace[];
  /** Shelves of which something needed is not measured, so that nothing is said about them. */
  unknown: number;
  /** Shelves that were tried. */
  tried: number;
}

/**
 * Tries every measured shelf of some spaces. What stands on a shelf is pushed together as it fits; a shelf whose bins do not fit
 * so, or are not measured, is not judged.
 *
 * @param upright it may not be laid on another side
 */
export function roomFor(
  state: HouseholdState,
  size: ThingSize,
  spaces: readonly SpaceRow[],
  upright: boolean,
): RoomAnswer {
  const answer: RoomAnswer = { places: [], unknown: 0, tried: 0 };
  const shelves: Tried[] = [];
  for (const space of spaces) {
    const model = modelSpace(space, state.shelvesOf(space.id));
    answer.unknown += model.unmeasured.length;
    for (const { shelf, bottomTenthMm, room, loadGrams } of model.shelves) {
      // A place that is kept free and has no measures is a wish alone.
      const bins = state.binsIn(shelf.id).filter((bin) => bin.look !== 'kept_free' || kindOf(bin) !== null);
      const empty = new EmptyShelf(shelf.id, bottomTenthMm, room, loadGrams, new Map<string, SlantedRow | null>());
      const kinds = bins.map(kindOf);
      if (kinds.some((kind) => kind === null) || !standing(empty, kinds as Kind[], [])) {
        answer.unknown += 1;
        continue;
      }
      shelves.push({ shelf, space, empty, bins, kinds: kinds as Kind[], loose: state.lotsIn(shelf.id).length });
    }
  }
  answer.tried = shelves.length;
  for (const tried of shelves) {
    const place = placeOn(tried, size, upright);
    if (place) answer.places.push(place);
  }
  answer.places.sort(
    (a, b) =>
      Number(a.insteadOf !== null) - Number(b.insteadOf !== null) ||
      Number(a.loose > 0) - Number(b.loose > 0) ||
      Number(a.laid) - Number(b.laid) ||
      (a.insteadOf && b.insteadOf ? volumeOf(a.insteadOf) - volumeOf(b.insteadOf) : 0),
  );
  for (const place of answer.places.filter(({ insteadOf }) => insteadOf !== null).slice(0, MOST_MOVED))
    place.goesTo = shelfFor(shelves, place);
  return answer;
}

/** A shelf with what stands on it. */
interface Tried {
  shelf: ShelfRow;
  space: SpaceRow;
  empty: EmptyShelf;
  bins: BinRow[];
  kinds: Kind[];
  loose: number;
}

/** For so many of the places where something has to go it is looked for where that could go. */
const MOST_MOVED = 6;
/** More are not counted. */
const MOST_COUNTED = 9;

/** Beside what stands there, else in the place of the smallest bin that makes room. */
function placeOn(
  { shelf, space, empty, bins, kinds, loose }: Tried,
  size: ThingSize,
  upright: boolean,
): RoomPlace | null {
  const found = (insteadOf: BinRow | null): RoomPlace | null => {
    const others = kinds.filter((_, at) => bins[at] !== insteadOf);
    const way = waysOf(size, upright).find((one) => standing(empty, others, [one.kind]));
    if (!way) return null;
    let count = 1;
    const copies = (more: number): Kind[] => Array.from({ length: more }, () => way.kind);
    while (insteadOf === null && count < MOST_COUNTED && standing(empty, others, copies(count + 1))) count += 1;
    return { shelf, space, insteadOf, laid: way.laid, loose, count, goesTo: null };
  };
  const beside = found(null);
  if (beside) return beside;
  for (const bin of [...bins].sort((a, b) => volumeOf(a) - volumeOf(b))) {
    const instead = found(bin);
    if (instead) return instead;
  }
  return null;
}

/** Another shelf on which the bin that goes finds room, in its own space before others; not one in which it would be colder or warmer. */
function shelfFor(shelves: readonly Tried[], { shelf, space, insteadOf }: RoomPlace): ShelfRow | null {
  const kind = insteadOf && insteadOf.look !== 'kept_free' ? kindOf(insteadOf) : null;
  if (!kind) return null;
  const others = shelves.filter(
    (one) => one.shelf.id !== shelf.id && climateOf(one.space.kind) === climateOf(space.kind),
  );
  others.sort((a, b) => Number(b.space.id === space.id) - Number(a.space.id === space.id));
  return others.find(({ empty, kinds }) => standing(empty, kinds, [kind]))?.shelf ?? null;
}

interface Kind extends ThingSize {
  containerId: string;
  footShare: number;
  stackPitchTenthMm: number | null;
}

/** Nothing is stacked on a thing, and it on nothing. */
const kindFor = (id: string, size: ThingSize): Kind => ({
  ...size,
  containerId: id,
  footShare: 1,
  stackPitchTenthMm: null,
});

function kindOf(bin: BinRow): Kind | null {
  const { widthTenthMm, depthTenthMm, heightTenthMm } = bin;
  if (widthTenthMm === null || depthTenthMm === null || heightTenthMm === null) return null;
  return kindFor(bin.id, { widthTenthMm, depthTenthMm, heightTenthMm });
}
const volumeOf = (bin: BinRow): number => (bin.widthTenthMm ?? 0) * (bin.depthTenthMm ?? 0) * (bin.heightTenthMm ?? 0);

/** The ways it may stand, first as it was measured. A quarter turn on the same side is tried by the floor itself. */
const waysOf = (size: ThingSize, upright: boolean): { kind: Kind; laid: boolean }[] =>
  sidesUp(size, upright).map(([widthTenthMm, depthTenthMm, heightTenthMm], at) => ({
    kind: kindFor('thing', { widthTenthMm, depthTenthMm, heightTenthMm }),
    laid: at > 0,
  }));

/** Whether all of them stand on the floor, the largest first, and then some more. */
function standing(empty: EmptyShelf, kinds: readonly Kind[], more: readonly Kind[]): boolean {
  const bySize = [...kinds].sort((a, b) => b.widthTenthMm * b.depthTenthMm - a.widthTenthMm * a.depthTenthMm);
  for (const order of more.length === 0
    ? [bySize]
    : [
        [...bySize, ...more],
        [...more, ...bySize],
      ]) {
    const floor = new ShelfFloor(empty, false);
    if (order.every((kind) => floor.place(kind, 0) !== null)) return true;
  }
  return false;
}
