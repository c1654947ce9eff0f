import { MOST_PLACED } from '../base';
import { Filling, LOW, type Ground, type Way } from './filling';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planTypes';
import { isAllowed } from './shelfSettings';

/** A plan that is built: how it is judged (see Filling.score), and the plan itself when it is asked for. */
export interface Built {
  score: number[];
  answer(): PlanAnswer;
}

/** A single container that may be used: of the pool, or to be bought. */
export interface Box {
  type: PlanContainer;
  buy: boolean;
}

/** How many of one type are looked at as boxes to be bought. */
const MOST_BOUGHT_OF_ONE = 60;

/** Every single container that may be used, owned ones first. */
export function boxesOf(problem: PlanProblem): Box[] {
  const allowed = problem.containers.filter((one) => one.form !== 'bare' && isAllowed(one, problem));
  const locked = new Map<string, number>();
  for (const { containerId, buy } of problem.locked)
    if (!buy) locked.set(containerId, (locked.get(containerId) ?? 0) + 1);
  const owned = allowed.flatMap((type) => {
    const free = Math.max(0, type.free - (locked.get(type.containerId) ?? 0));
    return Array.from({ length: Math.min(free, MOST_PLACED) }, () => ({ type, buy: false }));
  });
  const budget = problem.budgetMinor;
  const sold = allowed.flatMap((type) => {
    if (budget === null || type.priceMinor === null || type.priceMinor > budget) return [];
    const most = type.priceMinor === 0 ? MOST_BOUGHT_OF_ONE : Math.floor(budget / type.priceMinor);
    return Array.from({ length: Math.min(most, MOST_BOUGHT_OF_ONE) }, () => ({ type, buy: true }));
  });
  return [...owned, ...sold];
}

/** A space filled by an order of single boxes, box by box, each where it finds room, until nothing more stands. */
export class OrderedPlan implements Built {
  /** For each box 1 when it stands. */
  readonly used: Uint8Array;
  /** Types that found no room: they find none later, for what stands only becomes more. */
  private readonly without: PlanContainer[] = [];
  private readonly filling: Filling;

  /**
   * @param order indices of boxes; those that are bought are only bought while the money lasts
   * @param noise how often the order of the shelves is turned round, 0 to 1
   */
  constructor(
    private readonly ground: Ground,
    private readonly boxes: readonly Box[],
    order: readonly number[],
    random: () => number,
    noise = 0,
    way: Way = LOW,
  ) {
    this.filling = new Filling(ground, random, noise, way);
    this.used = new Uint8Array(boxes.length);
    for (const at of order) this.putOne(at);
  }

  private putOne(at: number): void {
    const { filling, without } = this;
    const { type, buy } = this.boxes[at]!;
    if ((buy && type.priceMinor! > filling.money) || without.includes(type)) return;
    if (!filling.put(type, buy)) {
      without.push(type);
      return;
    }
    this.used[at] = 1;
    if (buy) filling.money -= type.priceMinor!;
  }

  get score(): number[] {
    return this.filling.score();
  }

  answer(): PlanAnswer {
    const { problem } = this.ground;
    const outside = new Map<string, number>();
    for (const type of problem.containers) if (isAllowed(type, problem)) outside.set(type.containerId, type.free);
    for (const { type, buy } of this.filling.placed) {
      const count = outside.get(type.containerId);
      if (!buy && count !== undefined) outside.set(type.containerId, count - 1);
    }
    return this.filling.answer(outside);
  }
}
