import { boxesOf, OrderedPlan, type Box, type Built } from './buildPlan';
import { groundOf, type Ground, type Slants } from './filling';
import { searchGroups } from './groupSearch';
import type { PlanAnswer, PlanContainer, PlanProblem, PlanSearch, Setting } from './planTypes';
import { rowsExactly } from './rowsExactly';
import { seededRandom } from '../base';
import { otherSettings, settingNow } from './shelfSettings';

/**
 * Plans a space. With groups: which containers hold them and where, in minutes a month (see `searchGroups`). Without: which containers,
 * owned ones first, so that the most stands, under a budget, in one family if wanted, with shelves moved on their holes if allowed;
 * greedy at once, then seeded changes of the order of single boxes. Better means, in this order: more volume, less money, less bought,
 * fewer shelves moved, fewer stacked, heavy things lower.
 *
 * @returns a search that can be stepped, stopped and asked at any time; the same problem and seed give the same answers
 */
export function searchPlan(problem: PlanProblem): PlanSearch {
  return problem.groups.length > 0 ? searchGroups(problem) : searchFilling(problem);
}

function searchFilling(problem: PlanProblem): PlanSearch {
  const random = seededRandom(problem.seed);
  const slants: Slants = new Map();
  const now = settingNow(problem);
  const ground = groundOf(problem, now, slants);
  const boxes = boxesOf(problem);
  const starts = startingOrders(boxes);
  const volume = boxes.reduce((sum, { type }) => sum + type.volumeMl, 0);
  const first = new OrderedPlan(ground, boxes, starts[0]!, random);
  let best = { answer: first.answer(), score: first.score };
  let version = 1;
  const offer = (plan: Built): number[] => {
    const { score } = plan;
    if (isLess(score, best.score)) {
      best = { answer: plan.answer(), score };
      version++;
    }
    return score;
  };
  const newLines = (setting: Setting): Line[] =>
    [false, true].map((tight) => newLine(groundOf(problem, setting, slants), tight, starts));
  const lines = newLines(now);
  // Other shelf heights take longer to find; they come after the first answer, one at each try.
  const settings = otherSettings(problem, now);
  let tries = 0;
  const tryRows = (): void => {
    const rows = rowsExactly(
      boxes,
      ground.shelves.map(({ room }) => room),
    );
    if (rows) offer(new OrderedPlan(ground, boxes, rows, random, 0, { tight: false, slim: true }));
  };
  const tryOne = (): void => {
    const next = settings.next();
    if (!next.done) lines.push(...newLines(next.value));
    if (tries === 0) tryRows();
    const line = lines[tries++ % lines.length]!;
    const start = line.starts.shift();
    const anew = line.stale > STALE;
    const far = anew || random() < FAR;
    const order = start ?? ownedFirst(far ? shuffled(line.order, random) : nudged(line, boxes, random), boxes);
    const way = { tight: line.tight, slim: random() < SLIM };
    const plan = new OrderedPlan(line.ground, boxes, order, random, random() < PLAIN ? 0 : NOISE, way);
    const score = offer(plan);
    // What stands decides where the walk goes; a little worse is gone along with, now and then.
    const worth = score[0]!;
    const slack = volume * SLACK * random() * random();
    if (line.worth === null || worth <= line.worth + slack || anew) {
      line.stale = line.least === null || worth < line.least - 0.5 ? 0 : line.stale + 1;
      line.least = anew ? worth : Math.min(worth, line.least ?? worth);
      if (anew) line.stale = 0;
      [line.order, line.worth, line.used] = [order, worth, plan.used];
    } else line.stale++;
  };
  let judged = { version: 0, perfect: false };
  const isThrough = (): boolean => {
    if (judged.version !== version) judged = { version, perfect: isPerfect(best.answer, boxes) };
    return judged.perfect;
  };
  return {
    step(count) {
      for (let n = 0; n < count && !isThrough(); n++) tryOne();
      return !isThrough();
    },
    best: () => ({ ...best.answer, provenBest: isThrough() }),
    version: () => version,
  };
}

/** A way of setting the shelves with the order of boxes that did best on it. */
interface Line {
  ground: Ground;
  /** Whether boxes go where they leave the narrowest gap, or low. */
  tight: boolean;
  starts: number[][];
  order: number[];
  /** For each box 1 when it stands in that order. */
  used: Uint8Array;
  /** Of that order, and the least since it was begun anew. */
  worth: number | null;
  least: number | null;
  stale: number;
}

/** Tries without anything better before an order is thrown over. */
const STALE = 150;
/** How much worse an order may be to be gone along with, as a share of the volume of all boxes. */
const SLACK = 0.01;
/** Share of tries with boxes only the way round that takes less of the width. */
const SLIM = 0.05;
/** Share of tries far from the line's order: what a walk in small steps does not come upon. */
const FAR = 0.5;
/** Share of tries without noise, and how often the others turn the order of the shelves round. */
const PLAIN = 0.95;
const NOISE = 0.3;

const newLine = (ground: Ground, tight: boolean, starts: readonly number[][]): Line => ({
  ground,
  tight,
  starts: [...starts],
  order: starts[0]!,
  used: new Uint8Array(0),
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
  const standing = used.reduce((sum, one) => sum + one, 0);
  if (standing > 0 && standing < order.length && random() < 0.5) {
    // One that stands nowhere comes to the turn of one that stands.
    const a = placeOf(next, used, 1, Math.floor(random() * standing));
    const b = placeOf(next, used, 0, Math.floor(random() * (order.length - standing)));
    [next[a], next[b]] = [next[b]!, next[a]!];
    return next;
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
  return next;
}

/** The place in an order of the nth box that stands, or of the nth that does not. */
function placeOf(order: readonly number[], used: Uint8Array, stands: 0 | 1, nth: number): number {
  let left = nth;
  return order.findIndex((box) => used[box] === stands && left-- === 0);
}

const ownedFirst = (order: number[], boxes: readonly Box[]): number[] =>
  boxes.at(-1)?.buy ? [...order.filter((at) => !boxes[at]!.buy), ...order.filter((at) => boxes[at]!.buy)] : order;

/** The order with all of it, or every now and then only some of its places, shuffled. */
function shuffled(order: readonly number[], random: () => number): number[] {
  const share = random() < 0.5 ? 1 : 0.2 + 0.4 * random();
  const places = order.map((_, at) => at).filter(() => share === 1 || random() < share);
  const next = [...order];
  for (let at = places.length - 1; at > 0; at--) {
    const [a, b] = [places[at]!, places[Math.floor(random() * (at + 1))]!];
    [next[a], next[b]] = [next[b]!, next[a]!];
  }
  return next;
}

/** Whether nothing can be better, proven: every container stands on the lowest shelf, nothing is moved, stacked or for sale. */
function isPerfect(answer: PlanAnswer, boxes: readonly Box[]): boolean {
  const moved = answer.shelves.some(({ movedHoles }) => movedHoles !== 0);
  if (answer.outside.length > 0 || answer.bought > 0 || moved || answer.stacked > 0) return false;
  const bottoms = new Map(answer.shelves.map(({ shelfId, bottomTenthMm }) => [shelfId, bottomTenthMm]));
  const highest = Math.max(0, ...answer.placed.map(({ shelfId }) => bottoms.get(shelfId) ?? Infinity));
  return highest <= Math.min(...bottoms.values()) && !boxes.some(({ buy }) => buy);
}

const isLess = (a: readonly number[], b: readonly number[]): boolean => {
  for (let at = 0; at < a.length; at++) {
    if (a[at]! < b[at]! - 1e-6) return true;
    if (a[at]! > b[at]! + 1e-6) return false;
  }
  return false;
};
