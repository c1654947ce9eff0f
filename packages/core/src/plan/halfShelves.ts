/** Half-shelves that would make room for what a plan leaves over: one more level over low bins. */
import { EmptyShelf, plainRoom, ShelfFloor, type StandingBody } from '../fit';
import { partsLike } from './bareShelf';
import { Filling, groundOf } from './filling';
import { capacityMl, useOfGroup } from './groupUse';
import { planGroupId } from './planGroups';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planTypes';
import { isAllowed } from './shelfSettings';

export interface HalfShelfOffer {
  shelfId: string;
  /** Of the board that is needed, and of its upper side over the shelf; tenths of a millimetre. */
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
  /** What finds room on it: of which group how much, in which containers. */
  holds: { group: string; containerId: string; count: number; volumeMl: number }[];
}

/** Between the bins below and the board, so that they are pulled out; and the board itself. Own defaults. */
const OVER_BINS_TENTH_MM = 100;
const BOARD_TENTH_MM = 150;
/** Lower than this nothing is worth a board. */
const LEAST_HEIGHT_TENTH_MM = 600;
const MOST_OFFERS = 3;
/** Boards are cut to whole centimetres. */
const CENTIMETRE = 100;

/**
 * @param plan as it stands, with what finds no room in it
 * @returns the boards that make room for most first; each is reckoned alone
 */
export function halfShelfOffers(
  problem: PlanProblem,
  plan: Pick<PlanAnswer, 'placed' | 'shelves' | 'left'>,
): HalfShelfOffer[] {
  if (plan.left.length === 0) return [];
  const ground = groundOf({ ...problem, locked: plan.placed }, plan.shelves, new Map());
  const { placed } = new Filling(ground, () => 0, 0);
  const free = new Map(problem.containers.map((type) => [type, type.free]));
  for (const { type, buy } of placed) if (!buy) free.set(type, (free.get(type) ?? 0) - 1);
  const offers = ground.shelves.flatMap(({ shelfId, room, loadGrams }): HalfShelfOffer[] => {
    const own = placed.filter((one) => one.shelfId === shelfId);
    if (own.length === 0 || room.access === 'top') return [];
    const things = room.obstacles.filter(({ kind }) => kind === 'thing').map(({ height }) => height);
    const top = Math.max(...own.map(({ standing }) => standing.z + standing.height), ...things);
    const surface = top + OVER_BINS_TENTH_MM + BOARD_TENTH_MM;
    const height = Math.min(room.height, room.openingHeight) - surface;
    if (height < LEAST_HEIGHT_TENTH_MM) return [];
    const upper = new EmptyShelf(shelfId, 0, plainRoom(room.openingWidth, room.depth, height), loadGrams, new Map());
    const found = housedOn(problem, plan.left, upper, new Map(free));
    if (found.bodies.length === 0) return [];
    const across = found.bodies.map(
      ({ cx, width, depth, degrees }) => (degrees === 90 ? [cx, depth] : [cx, width]) as [number, number],
    );
    const along = found.bodies.map(
      ({ cy, width, depth, degrees }) => (degrees === 90 ? [cy, width] : [cy, depth]) as [number, number],
    );
    return [
      {
        shelfId,
        widthTenthMm: Math.min(room.openingWidth, spanOf(across)),
        depthTenthMm: Math.min(room.depth, spanOf(along)),
        heightTenthMm: surface,
        holds: found.holds,
      },
    ];
  });
  const sum = ({ holds }: HalfShelfOffer): number => holds.reduce((all, { volumeMl }) => all + volumeMl, 0);
  return offers.sort((a, b) => sum(b) - sum(a)).slice(0, MOST_OFFERS);
}

/** From the first side to the last, in whole centimetres. */
const spanOf = (sides: readonly (readonly [number, number])[]): number => {
  const from = Math.min(...sides.map(([middle, side]) => middle - side / 2));
  const to = Math.max(...sides.map(([middle, side]) => middle + side / 2));
  return Math.ceil((to - from) / CENTIMETRE) * CENTIMETRE;
};

/** What is left over, into free containers on one level; each group into one type, with the fewest that hold it or the most that stand. */
function housedOn(
  problem: PlanProblem,
  left: PlanAnswer['left'],
  upper: EmptyShelf,
  free: Map<PlanContainer, number>,
): { holds: HalfShelfOffer['holds']; bodies: StandingBody[] } {
  const floor = new ShelfFloor(upper, false);
  const parts = partsLike(problem.containers, upper.room);
  for (const part of parts) free.set(part, part.free);
  const types = [...problem.containers.filter(({ form }) => form !== 'bare'), ...parts];
  const holds: HalfShelfOffer['holds'] = [];
  const bodies: StandingBody[] = [];
  for (const { group, volumeMl } of [...left].sort((a, b) => b.volumeMl - a.volumeMl)) {
    const planned = problem.groups.find((one) => planGroupId(one) === group);
    const density = planned && planned.volumeMl > 0 ? planned.grams / planned.volumeMl : 0;
    const fitting = types
      .filter((type) => isAllowed(type, problem) && (free.get(type) ?? 0) > 0)
      .map((type) => ({ type, ml: capacityMl(type, useOfGroup(problem, group), density) }))
      .filter(({ type, ml }) => ml > 0 && floor.gapFor(type, type.weightGrams) !== null)
      .map(({ type, ml }) => ({ type, ml, need: Math.min(free.get(type)!, Math.ceil(volumeMl / ml - 1e-9)) }))
      // The fewest that hold it; of alike the smallest.
      .sort(
        (a, b) =>
          Number(b.ml * b.need >= volumeMl) - Number(a.ml * a.need >= volumeMl) || a.need - b.need || a.ml - b.ml,
      );
    const [best] = fitting;
    if (!best) continue;
    let count = 0;
    while (count < best.need) {
      const body = floor.place(best.type, best.type.weightGrams + Math.min(volumeMl, best.ml) * density);
      if (!body) break;
      bodies.push(body);
      count += 1;
    }
    if (count === 0) continue;
    free.set(best.type, free.get(best.type)! - count);
    holds.push({
      group,
      containerId: best.type.containerId,
      count,
      volumeMl: Math.round(Math.min(volumeMl, best.ml * count)),
    });
  }
  return { holds, bodies };
}
