import {
  type Compartment,
  countSame,
  frameOf,
  roomOver,
  bestShelfHoles,
  holeOf,
  surfaceAt,
  type HolePattern,
} from '../fit';
import { MOST_STACKED, stackCount } from '../containers';
import type { PlanContainer, PlanProblem, PlanShelf, Setting } from './planTypes';

/** Ways of setting the shelves that are looked into besides how they are. */
const MOST_SETTINGS = 6;
/** Blocks tried to count one type on one floor: a rough count is enough to set shelves by. */
const FLOOR_BUDGET = 20_000;

/** The shelves as they are. */
export const settingNow = (problem: PlanProblem): Setting =>
  problem.shelves.map(({ shelfId, bottomTenthMm }) => ({ shelfId, bottomTenthMm, movedHoles: 0 }));

/** Where shelves may be moved: on the holes that suit one kind of container each, the likeliest first; found one by one. */
export function* otherSettings(problem: PlanProblem, now: Setting): Generator<Setting> {
  const { holes } = problem;
  if (!problem.moveShelves || !holes) return;
  const runs = movableRuns(problem, holes);
  for (const wanted of runs.length === 0 ? [] : likelyContainers(problem).slice(0, MOST_SETTINGS)) {
    const setting = [...now];
    for (const run of runs) {
      const holesNow = run.shelves.map((shelf) => holeOf(shelf.bottomTenthMm, holes)!);
      const worth = compartmentWorth(run, holes, wanted);
      const found = bestShelfHoles({ holes: problem.holeCount, shelves: run.shelves.length, now: holesNow, worth });
      found?.holes.forEach((hole, at) => {
        const place = now.findIndex(({ shelfId }) => shelfId === run.shelves[at]!.shelfId);
        setting[place] = {
          ...now[place]!,
          bottomTenthMm: surfaceAt(hole, holes),
          movedHoles: hole - holesNow[at]!,
        };
      });
    }
    if (setting.some(({ movedHoles }) => movedHoles !== 0)) yield setting;
  }
}

interface Run {
  shelves: PlanShelf[];
  /** The fixed surface below and the fixed underside above. */
  foot: number | null;
  ceiling: number;
}

/** Neighbouring shelves that may be moved, between fixed ones; one that carries a locked bin is fixed. */
function movableRuns(problem: PlanProblem, holes: HolePattern): Run[] {
  const locked = new Set(problem.locked.map(({ shelfId }) => shelfId));
  const body = problem.shelves.filter(({ inBody }) => inBody).sort((a, b) => a.bottomTenthMm - b.bottomTenthMm);
  const runs: Run[] = [];
  let open: PlanShelf[] = [];
  let foot: number | null = null;
  const close = (ceiling: number): void => {
    if (open.length > 0) runs.push({ shelves: open, foot, ceiling });
    open = [];
  };
  for (const shelf of body) {
    if (shelf.adjustable && !locked.has(shelf.shelfId) && holeOf(shelf.bottomTenthMm, holes) !== null) {
      open.push(shelf);
      continue;
    }
    close(shelf.bottomTenthMm - holes.board);
    foot = shelf.bottomTenthMm;
  }
  close(problem.heightTenthMm);
  return runs;
}

/** Types worth setting shelves for, each alone and all together; the ones with most free volume first. */
function likelyContainers(problem: PlanProblem): PlanContainer[][] {
  const usable = problem.containers.filter(
    (one) => one.form !== 'bare' && isAllowed(one, problem) && (one.free > 0 || canBuy(one, problem)),
  );
  const byVolume = [...usable].sort((a, b) => b.free * b.volumeMl - a.free * a.volumeMl);
  return usable.length === 0 ? [] : [usable, ...byVolume.map((one) => [one])];
}

function compartmentWorth(
  run: Run,
  holes: HolePattern,
  wanted: readonly PlanContainer[],
): (below: number | null, above: number | null) => number {
  const known = new Map<number, number>();
  const { room } = run.shelves[0]!;
  const [width, depth] = [Math.min(room.width, room.openingWidth), room.depth];
  const floors = wanted.map((one) => ({
    one,
    onFloor: countSame(width, depth, one.widthTenthMm, one.depthTenthMm, FLOOR_BUDGET).places.length,
  }));
  const worthOf = (height: number): number =>
    Math.max(
      0,
      ...floors.map(({ one, onFloor }) =>
        one.heightTenthMm > height ? 0 : onFloor * Math.min(MOST_STACKED, stackCount(one, height)) * one.volumeMl,
      ),
    );
  return (below, above) => {
    const bottom = below === null ? run.foot : surfaceAt(below, holes);
    // Under the lowest movable shelf nothing stands unless there is a fixed floor.
    if (bottom === null) return 0;
    const height = (above === null ? run.ceiling : surfaceAt(above, holes) - holes.board) - bottom;
    if (height <= 0) return -1e9;
    const value = known.get(height) ?? worthOf(height);
    known.set(height, value);
    return value;
  };
}

/** The shelves' rooms after a setting: where one was moved, it and the one below have other heights. */
export function roomsAfter(
  problem: Pick<PlanProblem, 'shelves' | 'holes' | 'heightTenthMm'>,
  setting: Setting,
): Map<string, Compartment> {
  const board = problem.holes?.board ?? 0;
  const bottoms = new Map(setting.map((one) => [one.shelfId, one.bottomTenthMm]));
  const body = problem.shelves
    .filter(({ inBody }) => inBody)
    .sort((a, b) => bottoms.get(a.shelfId)! - bottoms.get(b.shelfId)!);
  const rooms = new Map(problem.shelves.map((shelf) => [shelf.shelfId, shelf.room]));
  const moved = (shelf: PlanShelf | undefined): boolean =>
    shelf !== undefined && bottoms.get(shelf.shelfId) !== shelf.bottomTenthMm;
  body.forEach((shelf, at) => {
    const above = body[at + 1];
    if (!moved(shelf) && !moved(above)) return;
    const top = above ? bottoms.get(above.shelfId)! - board : problem.heightTenthMm;
    const bottom = bottoms.get(shelf.shelfId)!;
    rooms.set(
      shelf.shelfId,
      roomOver(shelf.frame ?? frameOf(shelf.room, shelf.bottomTenthMm), bottom, Math.max(0, top - bottom)),
    );
  });
  return rooms;
}

/** Whether a type belongs to the family that is wished, if one is. */
export const isAllowed = (one: PlanContainer, { family }: PlanProblem): boolean =>
  family === null || one.family === family || one.form === 'bare';
const canBuy = (one: PlanContainer, { budgetMinor }: PlanProblem): boolean =>
  one.priceMinor !== null && budgetMinor !== null && one.priceMinor <= budgetMinor;
