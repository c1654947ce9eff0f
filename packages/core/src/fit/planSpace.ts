import type { PlannedBin, PlanGroup } from '../household/registry';
import { buildPlan, mutate, startingGenes, type Slants } from './buildPlan';
import type { Compartment } from './compartment';
import { seededRandom } from './seededRandom';
import { otherSettings, settingNow, type Setting } from './shelfSettings';
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
