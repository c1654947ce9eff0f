import type { PlannedBin, PlanGroup } from '../household/entities';
import type { Compartment, Standing } from './compartment';
import { slidesIn, standsFree } from './compartment';
import { FILL_SHARE, MOST_STACKED, stackCount } from './container';
import { ShelfFloor } from './shelfFloor';
import { bestShelfHoles, holeOf, surfaceAt, type HolePattern } from './shelfHeights';
import { countSame } from './sameContainers';
import { seededRandom } from './seededRandom';
import type { SlantedRow } from './slantedRow';

/** A container type that may be used, with how many are free and what another one costs. */
export interface PlanContainer {
  containerId: string;
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
  footShare: number;
  stackPitchTenthMm: number | null;
  volumeMl: number;
  weightGrams: number;
  maxLoadGrams: number | null;
  /** Of the pool: not in use elsewhere. */
  free: number;
  /** Null: not for sale, only what is there. */
  priceMinor: number | null;
  family: string;
}
export interface PlanShelf {
  shelfId: string;
  bottomTenthMm: number;
  room: Compartment;
  loadGrams: number | null;
  adjustable: boolean;
  /** One of the shelves that lie above each other in the body: their neighbours limit its height. */
  inBody: boolean;
}
export interface PlanProblem {
  shelves: readonly PlanShelf[];
  holes: HolePattern | null;
  holeCount: number;
  /** Inner height of the space. */
  heightTenthMm: number;
  containers: readonly PlanContainer[];
  /** Empty: as many containers as possible are to stand, free ones first, biggest first, then bought ones. */
  groups: readonly PlanGroup[];
  locked: readonly PlannedBin[];
  budgetMinor: number | null;
  family: string | null;
  moveShelves: boolean;
  seed: number;
}
export interface PlanAnswer {
  placed: PlannedBin[];
  shelves: { shelfId: string; bottomTenthMm: number; movedHoles: number }[];
  /** Groups with volume that found no container, and containers that found no place. */
  left: { group: string; volumeMl: number }[];
  outside: { containerId: string; count: number }[];
  costMinor: number;
  bought: number;
  stacked: number;
  freeMl: number;
  /** Nothing can be better: all is housed, nothing bought, nothing moved. */
  most: boolean;
}
export interface PlanSearch {
  /** Tries some more ways; answers whether it is worth going on. */
  step(tries: number): boolean;
  best(): PlanAnswer;
  /** Grows with each better answer. */
  version(): number;
}

/** Ways of setting the shelves that are looked into besides how they are. */
const MOST_SETTINGS = 6;
/** A plan has no more containers than this; a wire limit of the same size stands in the contract. */
const MOST_PLACED = 500;
/** Blocks tried to count one type on one floor: a rough count is enough to set shelves by. */
const FLOOR_BUDGET = 20_000;

/**
 * Which containers, owned ones first, go where so that the groups are housed: under a budget, in one family if wanted,
 * with shelves moved on their holes if allowed. Greedy at once, then seeded changes of order and choice; better means, in
 * this order: less left over, less bought, fewer shelves moved, fewer stacked, heavy things lower.
 *
 * @returns a search that can be stepped, stopped and asked at any time; the same problem and seed give the same answers
 */
export function searchPlan(problem: PlanProblem): PlanSearch {
  const random = seededRandom(problem.seed);
  const slants: Slants = new Map();
  const now = settingNow(problem);
  const first = buildPlan(problem, now, startingGenes(problem), slants, random, 0);
  let best = { answer: first, score: scoreOf(first, problem) };
  let version = 1;
  const offer = (answer: PlanAnswer): void => {
    const score = scoreOf(answer, problem);
    if (!isLess(score, best.score)) return;
    best = { answer, score };
    version++;
  };
  let choices = [{ setting: now, genes: startingGenes(problem) }];
  // Other shelf heights take longer to find; they come after the first answer, one at each try.
  let settings: Setting[] | null = null;
  let at = 0;
  const tryOne = (): void => {
    settings ??= otherSettings(problem, now);
    const fresh = settings.pop();
    if (fresh) {
      const choice = { setting: fresh, genes: startingGenes(problem) };
      choices.push(choice);
      offer(buildPlan(problem, choice.setting, choice.genes, slants, random, 0));
      return;
    }
    const choice = choices[at++ % choices.length]!;
    const genes = mutate(choice.genes, random);
    const before = version;
    offer(buildPlan(problem, choice.setting, genes, slants, random, random() < 0.5 ? 0 : 0.3));
    if (version > before) {
      choice.genes = genes;
      choices = [choice, ...choices.filter((other) => other !== choice)];
      at = 0;
    } else if (random() < 0.05) choice.genes = genes;
  };
  return {
    step(tries) {
      for (let n = 0; n < tries && !best.answer.most; n++) tryOne();
      return !best.answer.most;
    },
    best: () => best.answer,
    version: () => version,
  };
}

function scoreOf(answer: PlanAnswer, problem: PlanProblem): number[] {
  const bottom = new Map(answer.shelves.map((one) => [one.shelfId, one.bottomTenthMm]));
  const byId = new Map(problem.containers.map((one) => [one.containerId, one]));
  const lifting = answer.placed.reduce(
    (sum, one) => sum + (byId.get(one.containerId)?.volumeMl ?? 0) * ((bottom.get(one.shelfId) ?? 0) + one.liftTenthMm),
    0,
  );
  return [
    answer.left.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
    -answer.placed
      .filter(() => problem.groups.length === 0)
      .reduce((sum, one) => sum + (byId.get(one.containerId)?.volumeMl ?? 0), 0),
    answer.costMinor,
    answer.bought,
    answer.shelves.filter(({ movedHoles }) => movedHoles !== 0).length,
    answer.stacked,
    answer.placed.length,
    lifting,
  ];
}

const isLess = (a: readonly number[], b: readonly number[]): boolean => {
  for (let at = 0; at < a.length; at++) {
    if (a[at]! < b[at]! - 1e-6) return true;
    if (a[at]! > b[at]! + 1e-6) return false;
  }
  return false;
};

/** What is varied: the order of the groups and how much each type is liked. */
interface Genes {
  order: number[];
  liking: number[];
}
const startingGenes = (problem: PlanProblem): Genes => ({
  order: problem.groups.map((_, at) => at).sort((a, b) => problem.groups[b]!.volumeMl - problem.groups[a]!.volumeMl),
  liking: problem.containers.map(() => 1),
});

function mutate(genes: Genes, random: () => number): Genes {
  const order = [...genes.order];
  const liking = [...genes.liking];
  if (order.length > 1 && random() < 0.6) {
    const [moved] = order.splice(Math.floor(random() * order.length), 1);
    order.splice(Math.floor(random() * (order.length + 1)), 0, moved!);
  }
  if (random() < 0.7) liking[Math.floor(random() * liking.length)] = 0.3 + random() * 1.7;
  return { order, liking };
}

type Setting = PlanAnswer['shelves'];
type Slants = Map<string, SlantedRow | null>;

/** The shelves as they are. */
const settingNow = (problem: PlanProblem): Setting =>
  problem.shelves.map(({ shelfId, bottomTenthMm }) => ({ shelfId, bottomTenthMm, movedHoles: 0 }));

/** Where shelves may be moved: on the holes that suit one kind of container each, the likeliest last. */
function otherSettings(problem: PlanProblem, now: Setting): Setting[] {
  const { holes } = problem;
  if (!problem.moveShelves || !holes) return [];
  const runs = movableRuns(problem, holes);
  const settings: Setting[] = [];
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
    if (setting.some(({ movedHoles }) => movedHoles !== 0)) settings.unshift(setting);
  }
  return settings;
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
  const usable = problem.containers.filter((one) => isAllowed(one, problem) && (one.free > 0 || canBuy(one, problem)));
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

const isAllowed = (one: PlanContainer, { family }: PlanProblem): boolean => family === null || one.family === family;
const canBuy = (one: PlanContainer, { budgetMinor }: PlanProblem): boolean =>
  one.priceMinor !== null && budgetMinor !== null && one.priceMinor <= budgetMinor;

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
    rooms.set(shelf.shelfId, withHeight(shelf.room, Math.max(0, top - bottoms.get(shelf.shelfId)!)));
  });
  return rooms;
}

const withHeight = (room: Compartment, height: number): Compartment =>
  height === room.height
    ? room
    : {
        ...room,
        height,
        openingHeight: room.openingHeight >= room.height ? height : Math.min(height, room.openingHeight),
        obstacles: room.obstacles.map((one) => (one.kind === 'post' ? { ...one, height } : one)),
      };

function buildPlan(
  problem: PlanProblem,
  setting: Setting,
  genes: Genes,
  slants: Slants,
  random: () => number,
  noise: number,
): PlanAnswer {
  const rooms = roomsAfter(problem, setting);
  const bottoms = new Map(setting.map((one) => [one.shelfId, one.bottomTenthMm]));
  const floors = problem.shelves
    .map((shelf) => new ShelfFloor(shelf.shelfId, rooms.get(shelf.shelfId)!, shelf.loadGrams, slants))
    .sort((a, b) => bottoms.get(a.shelfId)! - bottoms.get(b.shelfId)!);
  const byId = new Map(problem.containers.map((one) => [one.containerId, one]));
  const free = new Map(problem.containers.map((one) => [one.containerId, one.free]));
  const placed: PlannedBin[] = [];
  let money = problem.budgetMinor ?? 0;
  for (const bin of problem.locked) {
    const type = byId.get(bin.containerId);
    const floor = floors.find(({ shelfId }) => shelfId === bin.shelfId);
    if (!type || !floor) continue;
    floor.occupy(standingOf(bin, type), type.weightGrams);
    placed.push(bin);
    if (bin.buy) money -= type.priceMinor ?? 0;
    else free.set(bin.containerId, (free.get(bin.containerId) ?? 0) - 1);
  }
  const put = (type: PlanContainer, group: string | null, grams: number, buy: boolean): boolean => {
    const weight = type.weightGrams + grams;
    if (type.maxLoadGrams !== null && grams > type.maxLoadGrams) return false;
    // Heavy things look at the low shelves first; with noise now and then the order is broken.
    const order = noise > 0 && random() < noise ? [...floors].reverse() : floors;
    for (const stacking of [false, true]) {
      for (const floor of order) {
        const standing = stacking ? floor.onStack(type, weight) : floor.place(type, weight);
        if (!standing) continue;
        placed.push(plannedBin(standing, type, floor.shelfId, group, buy, placed.length));
        return true;
      }
    }
    return false;
  };
  const left: PlanAnswer['left'] = [];
  const outside = new Map<string, number>();
  if (problem.groups.length === 0) {
    const types = [...problem.containers]
      .filter((one) => isAllowed(one, problem))
      .map((one) => ({ one, liking: genes.liking[problem.containers.indexOf(one)]! }))
      .sort((a, b) => b.one.volumeMl * b.liking - a.one.volumeMl * a.liking);
    for (const { one } of types) {
      for (let n = free.get(one.containerId)!; n > 0; n--) {
        if (put(one, null, 0, false)) continue;
        outside.set(one.containerId, n);
        break;
      }
      if (outside.has(one.containerId) || one.priceMinor === null || problem.budgetMinor === null) continue;
      for (; one.priceMinor <= money && placed.length < MOST_PLACED; money -= one.priceMinor)
        if (!put(one, null, 0, true)) break;
    }
  }
  for (const at of genes.order) {
    const group = problem.groups[at]!;
    const housed = placed
      .filter((one) => one.group === group.name)
      .reduce((sum, one) => sum + byId.get(one.containerId)!.volumeMl * FILL_SHARE, 0);
    let need = Math.max(0, group.volumeMl - housed);
    const gramsPerMl = group.volumeMl > 0 ? group.grams / group.volumeMl : 0;
    while (need > 0.5) {
      const types = rank(problem, genes, need, (one) => {
        if ((free.get(one.containerId) ?? 0) > 0) return 'free';
        return one.priceMinor !== null && problem.budgetMinor !== null && one.priceMinor <= money ? 'buy' : null;
      });
      const chosen = types.find(({ one, how }) =>
        put(one, group.name, Math.round(Math.min(need, one.volumeMl * FILL_SHARE) * gramsPerMl), how === 'buy'),
      );
      if (!chosen) break;
      if (chosen.how === 'free') free.set(chosen.one.containerId, free.get(chosen.one.containerId)! - 1);
      else money -= chosen.one.priceMinor!;
      need -= chosen.one.volumeMl * FILL_SHARE;
    }
    if (need > 0.5) left.push({ group: group.name, volumeMl: Math.round(need) });
  }
  const bought = placed.filter(({ buy }) => buy);
  const costMinor = bought.reduce((sum, { containerId }) => sum + (byId.get(containerId)?.priceMinor ?? 0), 0);
  const moved = setting.some(({ movedHoles }) => movedHoles !== 0);
  return {
    placed,
    shelves: setting,
    left,
    outside: [...outside].map(([containerId, count]) => ({ containerId, count })),
    costMinor,
    bought: bought.length,
    stacked: placed.filter(({ liftTenthMm }) => liftTenthMm > 0).length,
    freeMl: Math.round(floors.reduce((sum, floor) => sum + floor.freeMl(), 0)),
    most: left.length === 0 && outside.size === 0 && bought.length === 0 && !moved,
  };
}

/** Free ones before bought ones; among each the one that leaves least unused, bent by how much it is liked. */
function rank(
  problem: PlanProblem,
  genes: Genes,
  need: number,
  available: (one: PlanContainer) => 'free' | 'buy' | null,
): { one: PlanContainer; how: 'free' | 'buy' }[] {
  const found: { one: PlanContainer; how: 'free' | 'buy'; worse: number }[] = [];
  problem.containers.forEach((one, at) => {
    const how = isAllowed(one, problem) ? available(one) : null;
    if (how === null) return;
    const room = one.volumeMl * FILL_SHARE;
    const unused = room >= need ? (room - need) / room : 0;
    const pieces = Math.ceil(need / room) - 1;
    found.push({ one, how, worse: (unused + 0.15 * pieces + 0.02) * genes.liking[at]! + (how === 'buy' ? 100 : 0) });
  });
  return found.sort((a, b) => a.worse - b.worse);
}

const plannedBin = (
  bin: Standing,
  type: PlanContainer,
  shelfId: string,
  group: string | null,
  buy: boolean,
  serial: number,
): PlannedBin => ({
  key: `p${serial}`,
  containerId: type.containerId,
  shelfId,
  cxTenthMm: Math.round(bin.cx),
  cyTenthMm: Math.round(bin.cy),
  liftTenthMm: Math.round(bin.z),
  degrees: bin.degrees,
  group,
  locked: false,
  buy,
});

/** A planned bin as a body in its compartment. */
export const standingOf = (
  bin: Pick<PlannedBin, 'cxTenthMm' | 'cyTenthMm' | 'liftTenthMm' | 'degrees'>,
  type: Pick<PlanContainer, 'widthTenthMm' | 'depthTenthMm' | 'heightTenthMm' | 'footShare'>,
): Standing => ({
  cx: bin.cxTenthMm,
  cy: bin.cyTenthMm,
  z: bin.liftTenthMm,
  degrees: bin.degrees,
  width: type.widthTenthMm,
  depth: type.depthTenthMm,
  height: type.heightTenthMm,
  footShare: type.footShare,
});

/** Whether a bin may stand where it was dragged to: inside, through nothing, reachable. */
export const mayStand = (bin: Standing, room: Compartment): boolean => standsFree(bin, room) && slidesIn(bin, room);
