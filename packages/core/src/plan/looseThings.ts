/** Things of a space that go into none of its containers: which they are, and where they stand, lean or hang instead. */
import { boundingBox, MOST_LOOSE } from '../base';
import { insideOf } from '../containers';
import { EmptyShelf, goesInto, modelSpace, ShelfFloor, sidesUp, type Compartment, type StandingBody } from '../fit';
import { footOf } from '../handling';
import type { HouseholdState, ItemRow, LooseThing, LotRow, Op, PlanRow, SpaceRow } from '../household';
import { lotsWithin } from '../sort';
import { bulkOfLot, opsForMoving, shapeOf, sidesOf, type KnownShape, type OpContext } from '../stock';
import { standingOf } from './filling';
import { freeCount, isForHands, planContainer } from './planProblem';
import type { PlanProblem, PlanShelf } from './planTypes';

/** Alike things that go into no container. */
export interface BulkyThing {
  itemId: string;
  count: number;
  shape: KnownShape['shape'];
  guessed: boolean;
  /** Of one. */
  grams: number;
}
interface Things {
  lots: LotRow[];
  volumeMl: number;
  grams: number;
}

/** Higher than so many times the narrower side of its foot a thing does not stand by itself. Own default. */
const LEANS_FROM = 3;
/** What hangs from a rail is long and not heavy. Own defaults. */
const HANGS_FROM_TENTH_MM = 6000;
const HANGS_UP_TO_GRAMS = 5000;
/** The foot of a space lies no higher than this for things to lean beside it, mm. */
const ON_THE_FLOOR_MM = 300;

/**
 * Takes out of the groups what goes into no container that is free or may be bought and stands in the space, and what is kept in the
 * box it came in. A thing whose sides are not known stays in its group.
 *
 * @param budgetMinor null: nothing is bought
 * @returns the groups without them, those left empty gone; the largest things first
 */
export function splitBulky<T extends Things>(
  state: HouseholdState,
  space: SpaceRow,
  groups: readonly T[],
  budgetMinor: number | null,
): { groups: T[]; bulky: BulkyThing[] } {
  const model = modelSpace(space, state.shelvesOf(space.id));
  const floors = model.shelves.map(
    ({ shelf, bottomTenthMm, room, loadGrams }) => new EmptyShelf(shelf.id, bottomTenthMm, room, loadGrams, new Map()),
  );
  const containers = state.all('container').filter((one) => {
    const there =
      freeCount(state, one, space.id) > 0 || (budgetMinor !== null && (one.priceMinor ?? Infinity) <= budgetMinor);
    return (
      there &&
      isForHands(one) &&
      floors.some((floor) => new ShelfFloor(floor, false).place(planContainer(state, one, space.id), 0))
    );
  });
  const insides = containers.map(insideOf);
  const bulky = new Map<string, BulkyThing>();
  /** Whether a lot is taken out; it is then among the bulky ones. */
  const takesOut = (item: ItemRow, lot: LotRow): boolean => {
    const known = shapeOf(item);
    if (!known || lot.quantityThousandths < 1000) return false;
    if (!known.shape.kept.includes('own_box') && insides.some((inside) => goesInto(known.shape, inside))) return false;
    const count = Math.floor(lot.quantityThousandths / 1000);
    const before = bulky.get(item.id);
    const { grams } = bulkOfLot(item, { packSize: lot.packSize, quantityThousandths: 1000 });
    bulky.set(item.id, { itemId: item.id, ...known, count: count + (before?.count ?? 0), grams });
    return true;
  };
  const left = groups.flatMap((group): T[] => {
    const lots = group.lots.filter((lot) => {
      const item = state.get('item', lot.itemId);
      return !item || !takesOut(item, lot);
    });
    if (lots.length === group.lots.length) return [group];
    if (lots.length === 0) return [];
    const sum = lots.reduce(
      (all, lot) => {
        const item = state.get('item', lot.itemId);
        const bulk = item ? bulkOfLot(item, lot) : { volumeMl: 0, grams: 0 };
        return { volumeMl: all.volumeMl + bulk.volumeMl, grams: all.grams + bulk.grams };
      },
      { volumeMl: 0, grams: 0 },
    );
    return [{ ...group, lots, volumeMl: Math.round(sum.volumeMl), grams: Math.round(sum.grams) }];
  });
  return { groups: left, bulky: [...bulky.values()].sort((a, b) => longest(b) - longest(a)) };
}

const longest = ({ shape }: Pick<BulkyThing, 'shape'>): number => Math.max(...sidesOf(shape));

/**
 * Finds a place for each: from a rail, on a shelf (where it takes the least room away), beside the space, or none.
 * @param problem its shelves as they are, and what is locked on them
 */
export function placeBulky(
  state: HouseholdState,
  space: SpaceRow,
  problem: Pick<PlanProblem, 'shelves' | 'locked' | 'containers'>,
  bulky: readonly BulkyThing[],
): LooseThing[] {
  const floors = problem.shelves.map((shelf) => {
    const { shelfId, bottomTenthMm, room, loadGrams } = shelf;
    const floor = new ShelfFloor(new EmptyShelf(shelfId, bottomTenthMm, room, loadGrams, new Map()), false);
    for (const bin of problem.locked) {
      const type = problem.containers.find(({ containerId }) => containerId === bin.containerId);
      if (type && bin.shelfId === shelfId) floor.occupy(standingOf(bin, type), type.weightGrams);
    }
    return { shelf, floor };
  });
  const rails = state.shelvesOf(space.id).filter(({ kind }) => kind === 'hook_rail');
  const placed: LooseThing[] = [];
  for (const thing of bulky) {
    const { shape, itemId, guessed, grams } = thing;
    const [length, breadth, thickness] = sidesOf(shape).sort((a, b) => b - a) as [number, number, number];
    const upright = shape.kept.includes('upright');
    const bare = {
      itemId,
      guessed,
      ownBox: shape.kept.includes('own_box'),
      shelfId: null,
      cxTenthMm: 0,
      cyTenthMm: 0,
      degrees: 0,
      widthTenthMm: breadth,
      depthTenthMm: thickness,
      heightTenthMm: length,
      short: null,
    };
    const rail =
      length >= HANGS_FROM_TENTH_MM && grams <= HANGS_UP_TO_GRAMS && !upright
        ? rails.find(({ bottomTenthMm }) => (bottomTenthMm ?? 0) >= length)
        : undefined;
    if (rail) {
      placed.push({ ...bare, count: thing.count, how: 'hangs', shelfId: rail.id });
      continue;
    }
    let left = thing.count;
    for (; left > 0 && placed.length < MOST_LOOSE - bulky.length; left--) {
      const found = bestPlace(floors, shape, upright, grams);
      if (!found) break;
      const { body } = found;
      placed.push({
        ...bare,
        count: 1,
        how: body.height > LEANS_FROM * Math.min(body.width, body.depth) ? 'leans' : 'stands',
        shelfId: found.shelf.shelfId,
        widthTenthMm: body.width,
        depthTenthMm: body.depth,
        heightTenthMm: body.height,
        cxTenthMm: Math.round(body.cx),
        cyTenthMm: Math.round(body.cy),
        degrees: body.degrees,
      });
    }
    if (left === 0) continue;
    const besides =
      !upright && space.kind !== 'vehicle' && footOf(space) <= ON_THE_FLOOR_MM && length <= (space.heightTenthMm ?? 0);
    placed.push({
      ...bare,
      count: left,
      how: besides ? 'beside' : 'nowhere',
      short: nearestOf(problem.shelves, shape, upright),
    });
  }
  return placed.slice(0, MOST_LOOSE);
}

/** Where it takes the least room away: its foot, up to whatever is above. Found by trying; then it stands there. */
function bestPlace(
  floors: readonly { shelf: PlanShelf; floor: ShelfFloor }[],
  shape: KnownShape['shape'],
  upright: boolean,
  grams: number,
): { shelf: PlanShelf; body: StandingBody } | null {
  let best: { shelf: PlanShelf; floor: ShelfFloor; kind: Parameters<ShelfFloor['place']>[0]; worth: number } | null =
    null;
  for (const { shelf, floor } of floors)
    for (const [widthTenthMm, depthTenthMm, heightTenthMm] of sidesUp(shape, upright)) {
      const kind = {
        containerId: 'thing',
        widthTenthMm,
        depthTenthMm,
        heightTenthMm,
        footShare: 1,
        stackPitchTenthMm: null,
      };
      if (floor.gapFor(kind, grams) === null) continue;
      const worth = widthTenthMm * depthTenthMm * shelf.room.height;
      if (best === null || worth < best.worth) best = { shelf, floor, kind, worth };
    }
  const body = best?.floor.place(best.kind, grams) ?? null;
  return best && body ? { shelf: best.shelf, body } : null;
}

/** The shelf onto which it goes but for the least, and what is missing in its worst direction; null: it goes onto an empty one. */
function nearestOf(shelves: readonly PlanShelf[], shape: KnownShape['shape'], upright: boolean): LooseThing['short'] {
  let nearest: LooseThing['short'] = null;
  for (const { shelfId, room } of shelves)
    for (const [wide, deep, high] of sidesUp(shape, upright))
      for (const [w, d] of [
        [wide, deep],
        [deep, wide],
      ] as const) {
        const over = overOf(room, w, d, high);
        if (over <= 0) return null;
        if (nearest === null || over < nearest.overTenthMm) nearest = { shelfId, overTenthMm: over };
      }
  return nearest;
}
const overOf = (
  { width, openingWidth, access, depth, height, openingHeight }: Compartment,
  w: number,
  d: number,
  h: number,
) =>
  Math.max(
    w - (access === 'front' ? openingWidth : width),
    d - depth,
    h - (access === 'front' ? Math.min(height, openingHeight) : height),
  );

/**
 * A problem with the things that stand loose on its shelves: they take up room, and neither their shelf nor the one above is moved.
 */
export function withLoose<T extends Pick<PlanProblem, 'shelves'>>(problem: T, loose: readonly LooseThing[]): T {
  const standing = loose.filter(({ shelfId, how }) => shelfId !== null && (how === 'stands' || how === 'leans'));
  if (standing.length === 0) return problem;
  const on = new Set(standing.map(({ shelfId }) => shelfId));
  const body = [...problem.shelves].filter(({ inBody }) => inBody).sort((a, b) => a.bottomTenthMm - b.bottomTenthMm);
  const fixed = new Set(body.flatMap(({ shelfId }, at) => (on.has(shelfId) ? [shelfId, body[at + 1]?.shelfId] : [])));
  return {
    ...problem,
    loose,
    shelves: problem.shelves.map((shelf): PlanShelf => {
      const own = standing
        .filter(({ shelfId }) => shelfId === shelf.shelfId)
        .map((thing) => {
          const box = looseBox(thing);
          return { kind: 'thing' as const, ...box, z: 0, height: thing.heightTenthMm };
        });
      const adjustable = shelf.adjustable && !fixed.has(shelf.shelfId);
      if (own.length === 0) return { ...shelf, adjustable };
      return {
        ...shelf,
        adjustable,
        room: { ...shelf.room, obstacles: [...shelf.room.obstacles, ...own] },
        ...(shelf.frame ? { frame: { ...shelf.frame, onSurface: [...shelf.frame.onSurface, ...own] } } : {}),
      };
    }),
  };
}

/**
 * Records loose things where the plan has them: out of their bins, onto the shelf or rail. Of several shelves the first has them all;
 * what leans beside the space, or has no place, stays recorded where it is.
 */
export function opsForLoose(state: HouseholdState, plan: Pick<PlanRow, 'spaceId' | 'loose'>, context: OpContext): Op[] {
  const placed = new Map<string, string>();
  for (const { itemId, shelfId } of plan.loose ?? [])
    if (shelfId !== null && !placed.has(itemId) && state.get('shelf', shelfId)) placed.set(itemId, shelfId);
  return lotsWithin(state, plan.spaceId).flatMap((lot) => {
    const shelfId = placed.get(lot.itemId);
    if (shelfId === undefined) return [];
    return opsForMoving(lot, lot.quantityThousandths, shelfId, state.lotsIn(shelfId), context);
  });
}

/** The straight rectangle around a loose thing's foot. */
export function looseBox({
  cxTenthMm,
  cyTenthMm,
  widthTenthMm,
  depthTenthMm,
  degrees,
}: Pick<LooseThing, 'cxTenthMm' | 'cyTenthMm' | 'widthTenthMm' | 'depthTenthMm' | 'degrees'>) {
  const { width, depth } = boundingBox(widthTenthMm, depthTenthMm, degrees);
  return { x: cxTenthMm - width / 2, y: cyTenthMm - depth / 2, width, depth };
}
