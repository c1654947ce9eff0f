import type { PlannedBin, PlanGroup } from '../household/registry';
import {
  boxesOf,
  buildFromOrder,
  buildPlan,
  LOW,
  mutate,
  startingGenes,
  type Box,
  type Genes,
  type Slants,
  type Way,
} from './buildPlan';
import { FILL_SHARE } from './container';
import type { Compartment } from './compartment';
import { seededRandom } from './seededRandom';
import type { ShelfFrame } from './spaceModel';
import { rowsExactly } from './rowsExactly';
import { otherSettings, roomsAfter, settingNow, type Setting } from './shelfSettings';
import type { HolePattern } from './shelfHeights';

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
  /** What the room is made of, for when the shelf is moved; without it the room itself is taken apart. */
  frame?: ShelfFrame;
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
  /** Proven that nothing can be better, by all that a plan is judged by. */
  most: boolean;
}
export interface PlanSearch {
  /** Tries some more ways; answers whether it is worth going on. */
  step(tries: number): boolean;
  best(): PlanAnswer;
  /** Grows with each better answer. */
  version(): number;
}

/**
 * Which containers, owned ones first, go where so that the groups are housed: under a budget, in one family if wanted,
 * with shelves moved on their holes if allowed. Greedy at once; then seeded changes of the order of single boxes and, with
 * groups, of their order and of the types they like. Better means, in this order: less left over, less bought, fewer shelves moved,
 * fewer stacked, heavy things lower.
 *
 * @returns a search that can be stepped, stopped and asked at any time; the same problem and seed give the same answers
 */
export function searchPlan(problem: PlanProblem): PlanSearch {
  const random = seededRandom(problem.seed);
  const slants: Slants = new Map();
  const now = settingNow(problem);
  const boxes = boxesOf(problem);
  const byGroups = problem.groups.length > 0;
  const starts = startingOrders(boxes);
  const volume = boxes.reduce((sum, { type }) => sum + type.volumeMl, 0);
  const fromOrder = (
    setting: Setting,
    order: readonly number[],
    noise: number,
    way: Way,
    used: Set<number> | null = null,
  ): PlanAnswer => buildFromOrder(problem, setting, boxes, order, slants, random, noise, way, used);
  const first = byGroups
    ? buildPlan(problem, now, startingGenes(problem), slants, random, 0)
    : fromOrder(now, starts[0]!, 0, LOW);
  let best = { answer: first, score: scoreOf(first, problem) };
  let version = 1;
  const offer = (answer: PlanAnswer): number[] => {
    const score = scoreOf(answer, problem);
    if (isLess(score, best.score)) {
      best = { answer, score };
      version++;
    }
    return score;
  };
  const lines = newLines(now, problem, starts);
  // Other shelf heights take longer to find; they come after the first answer, one at each try.
  const settings = otherSettings(problem, now);
  let tries = 0;
  const tryRows = (): void => {
    const rooms = roomsAfter(problem, now);
    const upwards = [...problem.shelves].sort((a, b) => a.bottomTenthMm - b.bottomTenthMm);
    const rows = rowsExactly(
      boxes,
      upwards.map(({ shelfId }) => rooms.get(shelfId)!),
    );
    if (rows) offer(fromOrder(now, rows, 0, { tight: false, slim: true }));
  };
  const tryOne = (): void => {
    const next = settings.next();
    if (!next.done) lines.push(...newLines(next.value, problem, starts));
    if (tries === 0 && !byGroups) tryRows();
    const line = lines[tries++ % lines.length]!;
    if (byGroups && tries % 3 === 0) {
      const genes = mutate(line.genes, random);
      const before = version;
      offer(buildPlan(problem, line.setting, genes, slants, random, random() < 0.5 ? 0 : 0.3));
      if (version > before || random() < 0.05) line.genes = genes;
      return;
    }
    const start = line.starts.shift();
    const anew = line.stale > STALE;
    const order = start ?? (anew ? ownedFirst(shuffled(line.order, random), boxes) : nudged(line, boxes, random));
    const used = new Set<number>();
    const way = { tight: line.tight, slim: random() < 0.25 };
    const score = offer(fromOrder(line.setting, order, random() < 0.85 ? 0 : 0.3, way, used));
    // What is left over or outside decides where the walk goes; a little worse is gone along with, now and then.
    const worth = score[0]! + score[1]!;
    const slack = volume * SLACK * random() * random();
    if (line.worth === null || worth <= line.worth + slack || anew) {
      line.stale = line.least === null || worth < line.least - 0.5 ? 0 : line.stale + 1;
      line.least = anew ? worth : Math.min(worth, line.least ?? worth);
      if (anew) line.stale = 0;
      [line.order, line.worth, line.used] = [order, worth, used];
    } else line.stale++;
  };
  const isThrough = (): boolean => isPerfect(best.answer, boxes, problem);
  return {
    step(count) {
      for (let n = 0; n < count && !isThrough(); n++) tryOne();
      return !isThrough();
    },
    best: () => ({ ...best.answer, most: isThrough() }),
    version: () => version,
  };
}

/** A way of setting the shelves with the order of boxes that did best on it. */
interface Line {
  setting: Setting;
  genes: Genes;
  /** Whether boxes go where they leave the narrowest gap, or low. */
  tight: boolean;
  starts: number[][];
  order: number[];
  /** The boxes of that order that stand. */
  used: ReadonlySet<number>;
  /** Of that order, and the least since it was begun anew. */
  worth: number | null;
  least: number | null;
  stale: number;
}

/** Tries without anything better before an order is thrown over. */
const STALE = 250;
/** How much worse an order may be to be gone along with, as a share of the volume of all boxes. */
const SLACK = 0.03;

const newLines = (setting: Setting, problem: PlanProblem, starts: readonly number[][]): Line[] =>
  [false, true].map((tight) => ({ ...newLine(setting, problem, starts), tight }));

const newLine = (setting: Setting, problem: PlanProblem, starts: readonly number[][]): Line => ({
  setting,
  tight: false,
  used: new Set(),
  genes: startingGenes(problem),
  starts: [...starts],
  order: starts[0]!,
  worth: null,
  least: null,
  stale: 0,
});

/** Orders to begin with: by volume, floor, longest side, height; owned ones always before bought ones. */
function startingOrders(boxes: readonly Box[]): number[][] {
  const keys: ((type: PlanContainer) => number)[] = [
    ({ volumeMl }) => volumeMl,
    ({ widthTenthMm, depthTenthMm }) => widthTenthMm * depthTenthMm,
    ({ widthTenthMm, depthTenthMm }) => Math.max(widthTenthMm, depthTenthMm),
    ({ heightTenthMm, volumeMl }) => heightTenthMm * 1e7 + volumeMl,
    ({ volumeMl, widthTenthMm, depthTenthMm }) => volumeMl / (widthTenthMm * depthTenthMm),
    ({ depthTenthMm, widthTenthMm }) => Math.min(depthTenthMm, widthTenthMm),
  ];
  const indices = boxes.map((_, at) => at);
  return keys.map((key) =>
    [...indices].sort(
      (a, b) => Number(boxes[a]!.buy) - Number(boxes[b]!.buy) || key(boxes[b]!.type) - key(boxes[a]!.type) || a - b,
    ),
  );
}

/** The order with one that stands nowhere brought in, one or two elsewhere, or two that are not alike exchanged. */
function nudged({ order, used }: Line, boxes: readonly Box[], random: () => number): number[] {
  const next = [...order];
  const pick = (): number => Math.floor(random() * next.length);
  if (used.size > 0 && used.size < order.length && random() < 0.5) {
    // One that stands nowhere comes to the turn of one that stands.
    const of = (stands: boolean): number[] => next.flatMap((box, at) => (used.has(box) === stands ? [at] : []));
    const [ins, outs] = [of(true), of(false)];
    const [a, b] = [ins[Math.floor(random() * ins.length)]!, outs[Math.floor(random() * outs.length)]!];
    [next[a], next[b]] = [next[b]!, next[a]!];
    return ownedFirst(next, boxes);
  }
  for (let changes = random() < 0.7 ? 1 : 2 + Math.floor(random() * 2); changes > 0 && next.length > 1; changes--) {
    let [a, b] = [pick(), pick()];
    for (let n = 0; n < 6 && boxes[next[a]!]!.type === boxes[next[b]!]!.type; n++) [a, b] = [pick(), pick()];
    if (random() < 0.5) [next[a], next[b]] = [next[b]!, next[a]!];
    else {
      const [moved] = next.splice(a, 1);
      next.splice(b, 0, moved!);
    }
  }
  return ownedFirst(next, boxes);
}

const ownedFirst = (order: number[], boxes: readonly Box[]): number[] => [
  ...order.filter((at) => !boxes[at]!.buy),
  ...order.filter((at) => boxes[at]!.buy),
];

function shuffled(order: readonly number[], random: () => number): number[] {
  const next = [...order];
  for (let at = next.length - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1));
    [next[at], next[other]] = [next[other]!, next[at]!];
  }
  return next;
}

/**
 * Whether nothing can be better, proven. Without groups: every container stands on the lowest shelf, nothing is moved, stacked or for
 * sale. With groups: all is housed with nothing bought, moved or stacked, in the fewest containers there can be, as low as
 * can be; with locked bins nothing is claimed.
 */
function isPerfect(answer: PlanAnswer, boxes: readonly Box[], problem: PlanProblem): boolean {
  const moved = answer.shelves.some(({ movedHoles }) => movedHoles !== 0);
  if (answer.left.length > 0 || answer.outside.length > 0 || answer.bought > 0 || moved || answer.stacked > 0)
    return false;
  const bottoms = new Map(answer.shelves.map(({ shelfId, bottomTenthMm }) => [shelfId, bottomTenthMm]));
  const highest = Math.max(0, ...answer.placed.map(({ shelfId }) => bottoms.get(shelfId) ?? Infinity));
  if (problem.groups.length === 0) return highest <= Math.min(...bottoms.values()) && !boxes.some(({ buy }) => buy);
  const largest = Math.max(1, ...boxes.map(({ type }) => type.volumeMl * FILL_SHARE));
  const fewest = problem.groups.reduce((sum, { volumeMl }) => sum + Math.ceil((volumeMl - 0.5) / largest), 0);
  // Above the floor, smaller containers in the same number would be lifted less.
  const alike = new Set(boxes.map(({ type }) => type.volumeMl)).size === 1;
  const low = highest === 0 || (alike && highest <= Math.min(...bottoms.values()));
  return problem.locked.length === 0 && low && answer.placed.length <= fewest;
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
