/** Where something to be bought would stand, among what stands there already. */
import { EmptyShelf, modelSpace, ShelfFloor, type SlantedRow } from '../fit';
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
  /** The bin that has to go for it; null: it stands beside all that is there. */
  insteadOf: BinRow | null;
  /** It stands on another side than it was measured. */
  laid: boolean;
  /** Things without a bin that stand there as well: how much room they take is not known. */
  loose: number;
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
  for (const space of spaces) {
    const model = modelSpace(space, state.shelvesOf(space.id));
    answer.unknown += model.unmeasured.length;
    for (const { shelf, bottomTenthMm, room, loadGrams } of model.shelves) {
      const bins = state.binsIn(shelf.id).filter(({ look }) => look !== 'kept_free');
      const rows = new Map<string, SlantedRow | null>();
      const empty = new EmptyShelf(shelf.id, bottomTenthMm, room, loadGrams, rows);
      const kinds = bins.map(kindOf);
      if (kinds.some((kind) => kind === null) || !standing(empty, kinds as Kind[], null)) {
        answer.unknown += 1;
        continue;
      }
      answer.tried += 1;
      const loose = state.lotsIn(shelf.id).length;
      const found = (insteadOf: BinRow | null): RoomPlace | null => {
        const others = kinds.filter((_, at) => bins[at] !== insteadOf) as Kind[];
        const stays = sidesUp(size, upright).find((way) => standing(empty, others, way.kind));
        return stays ? { shelf, space, insteadOf, laid: stays.laid, loose } : null;
      };
      const beside = found(null);
      if (beside) {
        answer.places.push(beside);
        continue;
      }
      const smallestFirst = [...bins].sort((a, b) => volumeOf(a) - volumeOf(b));
      for (const bin of smallestFirst) {
        const instead = found(bin);
        if (!instead) continue;
        answer.places.push(instead);
        break;
      }
    }
  }
  answer.places.sort(
    (a, b) =>
      Number(a.insteadOf !== null) - Number(b.insteadOf !== null) ||
      Number(a.loose > 0) - Number(b.loose > 0) ||
      Number(a.laid) - Number(b.laid) ||
      (a.insteadOf && b.insteadOf ? volumeOf(a.insteadOf) - volumeOf(b.insteadOf) : 0),
  );
  return answer;
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

/** The ways it may stand: as measured first. A quarter turn on the same side is tried by the floor itself. */
function sidesUp(
  { widthTenthMm: w, depthTenthMm: d, heightTenthMm: h }: ThingSize,
  upright: boolean,
): { kind: Kind; laid: boolean }[] {
  const way = (width: number, depth: number, height: number, laid: boolean) => ({
    kind: kindFor('thing', { widthTenthMm: width, depthTenthMm: depth, heightTenthMm: height }),
    laid,
  });
  return upright ? [way(w, d, h, false)] : [way(w, d, h, false), way(w, h, d, true), way(h, d, w, true)];
}

/** Whether all of them stand on the floor, the largest first, and then one more. */
function standing(empty: EmptyShelf, kinds: readonly Kind[], more: Kind | null): boolean {
  const bySize = [...kinds].sort((a, b) => b.widthTenthMm * b.depthTenthMm - a.widthTenthMm * a.depthTenthMm);
  for (const order of more === null
    ? [bySize]
    : [
        [...bySize, more],
        [more, ...bySize],
      ]) {
    const floor = new ShelfFloor(empty, false);
    if (order.every((kind) => floor.place(kind, 0) !== null)) return true;
  }
  return false;
}
