import { MOST_PLACED } from '../base';
import { FILL_SHARE } from '../containers';
import { planGroupId } from './planGroups';
import { Filling, LOW, type Ground, type Way } from './filling';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planTypes';
import { isAllowed } from './shelfSettings';

/** What is varied: the order of the groups and how much each type is liked. */
export interface Genes {
  order: number[];
  liking: number[];
}
export const startingGenes = (problem: PlanProblem): Genes => ({
  order: problem.groups.map((_, at) => at).sort((a, b) => problem.groups[b]!.volumeMl - problem.groups[a]!.volumeMl),
  liking: problem.containers.map(() => 1),
});

export function mutate(genes: Genes, random: () => number): Genes {
  const order = [...genes.order];
  const liking = [...genes.liking];
  if (order.length > 1 && random() < 0.6) {
    const [moved] = order.splice(Math.floor(random() * order.length), 1);
    order.splice(Math.floor(random() * (order.length + 1)), 0, moved!);
  }
  if (random() < 0.7) liking[Math.floor(random() * liking.length)] = 0.3 + random() * 1.7;
  return { order, liking };
}

/** A plan that is built: how it is judged (see Filling.score), and the plan itself when it is asked for. */
export interface Built {
  score: number[];
  answer(): PlanAnswer;
}

/** One plan, built greedily: groups in their order, each into the containers it likes best, on the lowest shelf with room. */
export function buildPlan(ground: Ground, genes: Genes, random: () => number, noise: number): Built {
  const { problem, byId } = ground;
  const filling = new Filling(ground, random, noise);
  const free = new Map(problem.containers.map((one) => [one.containerId, one.free]));
  for (const { type, buy } of filling.placed) if (!buy) free.set(type.containerId, free.get(type.containerId)! - 1);
  for (const at of genes.order) {
    const group = problem.groups[at]!;
    const id = planGroupId(group);
    let need = Math.max(0, filling.needs.get(id)!);
    const gramsPerMl = group.volumeMl > 0 ? group.grams / group.volumeMl : 0;
    while (need > 0.5) {
      const types = rank(problem, genes, need, (one) => {
        if ((free.get(one.containerId) ?? 0) > 0) return 'free';
        return one.priceMinor !== null && problem.budgetMinor !== null && one.priceMinor <= filling.money
          ? 'buy'
          : null;
      });
      const chosen = types.find(({ one, how }) =>
        filling.put(one, id, Math.round(Math.min(need, one.volumeMl * FILL_SHARE) * gramsPerMl), how === 'buy'),
      );
      if (!chosen) break;
      if (chosen.how === 'free') free.set(chosen.one.containerId, free.get(chosen.one.containerId)! - 1);
      else filling.money -= chosen.one.priceMinor!;
      need -= byId.get(chosen.one.containerId)!.volumeMl * FILL_SHARE;
    }
  }
  return { score: filling.score(), answer: () => filling.answer(new Map()) };
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
  const allowed = problem.containers.filter((one) => isAllowed(one, problem));
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

/**
 * One plan from an order of single boxes, box by box: each where it finds room, for the group that needs most; with groups until
 * all are housed, without them until nothing more stands.
 */
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
    for (const at of order) if (!this.putOne(at)) break;
  }

  /** Answers whether it is worth going on. */
  private putOne(at: number): boolean {
    const { filling, ground, without } = this;
    const { type, buy } = this.boxes[at]!;
    if (buy && type.priceMinor! > filling.money) return true;
    const byGroups = ground.problem.groups.length > 0;
    if (filling.isFull && byGroups) return false;
    let [group, need]: [string | null, number] = [null, 0.5];
    if (byGroups) {
      for (const [id, open] of filling.needs) if (open > need) [group, need] = [id, open];
      if (group === null) return false;
    }
    const holds = Math.min(need, type.volumeMl * FILL_SHARE);
    const mass = group === null ? 0 : Math.round(holds * ground.gramsPerMl.get(group)!);
    const tried = without.includes(type);
    if ((tried && mass === 0) || !filling.put(type, group, mass, buy)) {
      if (!tried) without.push(type);
      return true;
    }
    this.used[at] = 1;
    if (buy) filling.money -= type.priceMinor!;
    return true;
  }

  get score(): number[] {
    return this.filling.score();
  }

  answer(): PlanAnswer {
    const { problem } = this.ground;
    const outside = new Map<string, number>();
    if (problem.groups.length > 0) return this.filling.answer(outside);
    for (const type of problem.containers) if (isAllowed(type, problem)) outside.set(type.containerId, type.free);
    for (const { type, buy } of this.filling.placed) {
      const count = outside.get(type.containerId);
      if (!buy && count !== undefined) outside.set(type.containerId, count - 1);
    }
    return this.filling.answer(outside);
  }
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
