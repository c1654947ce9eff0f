import { MOST_PLACED } from '../household/limits';
import type { PlannedBin } from '../household/registry';
import type { Standing } from './compartment';
import { FILL_SHARE } from './container';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planSpace';
import { ShelfFloor } from './shelfFloor';
import { isAllowed, roomsAfter, type Setting } from './shelfSettings';
import type { SlantedRow } from './slantedRow';

/** Slanted rows found before, by container and room; one search shares them. */
export type Slants = Map<string, SlantedRow | null>;

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

/** How a box finds its shelf and which way round it stands. */
export interface Way {
  /** On the shelf where it leaves the narrowest gap, instead of the lowest with room. */
  tight: boolean;
  /** Only the way round that takes less of the width. */
  slim: boolean;
}
export const LOW: Way = { tight: false, slim: false };

/** A plan while it is being filled: the floors, what is placed, what money and containers are left. */
class Filling {
  readonly placed: PlannedBin[] = [];
  readonly free: Map<string, number>;
  readonly byId: Map<string, PlanContainer>;
  money: number;
  private readonly floors: ShelfFloor[];
  private readonly taken: Set<string>;
  private serial = 0;

  constructor(
    private readonly problem: PlanProblem,
    private readonly setting: Setting,
    slants: Slants,
    private readonly random: () => number,
    private readonly noise: number,
    private readonly way: Way = LOW,
  ) {
    const rooms = roomsAfter(problem, setting);
    const bottoms = new Map(setting.map((one) => [one.shelfId, one.bottomTenthMm]));
    this.floors = problem.shelves
      .map((shelf) => new ShelfFloor(shelf.shelfId, rooms.get(shelf.shelfId)!, shelf.loadGrams, slants))
      .sort((a, b) => bottoms.get(a.shelfId)! - bottoms.get(b.shelfId)!);
    this.byId = new Map(problem.containers.map((one) => [one.containerId, one]));
    this.free = new Map(problem.containers.map((one) => [one.containerId, one.free]));
    this.money = problem.budgetMinor ?? 0;
    // Locked bins keep their keys, whatever they are.
    this.taken = new Set(problem.locked.map(({ key }) => key));
    for (const bin of problem.locked) {
      const type = this.byId.get(bin.containerId);
      const floor = this.floors.find(({ shelfId }) => shelfId === bin.shelfId);
      if (!type || !floor) continue;
      floor.occupy(standingOf(bin, type), type.weightGrams);
      this.placed.push(bin);
      if (bin.buy) this.money -= type.priceMinor ?? 0;
      else this.free.set(bin.containerId, (this.free.get(bin.containerId) ?? 0) - 1);
    }
  }

  get isFull(): boolean {
    return this.placed.length >= MOST_PLACED;
  }

  /** Onto the lowest shelf with room, on the floor before on others; with noise now and then the order is broken. */
  put(type: PlanContainer, group: string | null, grams: number, buy: boolean): boolean {
    const weight = type.weightGrams + grams;
    if (this.isFull || (type.maxLoadGrams !== null && grams > type.maxLoadGrams)) return false;
    const broken = this.noise > 0 && this.random() < this.noise;
    const order = broken ? [...this.floors].reverse() : this.way.tight ? this.tightestFirst(type, weight) : this.floors;
    for (const stacking of [false, true]) {
      for (const floor of order) {
        const standing = stacking ? floor.onStack(type, weight) : floor.place(type, weight, this.way.slim);
        if (!standing) continue;
        this.placed.push(plannedBin(standing, type, floor.shelfId, group, buy, this.nextKey()));
        return true;
      }
    }
    return false;
  }

  private tightestFirst(type: PlanContainer, weight: number): ShelfFloor[] {
    const gaps = this.floors.map((floor) => ({ floor, gap: floor.gapFor(type, weight, this.way.slim) ?? Infinity }));
    return gaps.sort((a, b) => a.gap - b.gap).map(({ floor }) => floor);
  }

  private nextKey(): string {
    while (this.taken.has(`p${this.serial}`)) this.serial++;
    return `p${this.serial++}`;
  }

  /** What groups still need, millilitres, by name. */
  needs(): Map<string, number> {
    const needs = new Map(this.problem.groups.map(({ name, volumeMl }) => [name, volumeMl]));
    for (const { group, containerId } of this.placed) {
      if (group === null || !needs.has(group)) continue;
      needs.set(group, needs.get(group)! - this.byId.get(containerId)!.volumeMl * FILL_SHARE);
    }
    return needs;
  }

  answer(outside: ReadonlyMap<string, number>): PlanAnswer {
    const { placed, setting } = this;
    const bought = placed.filter(({ buy }) => buy);
    const left = [...this.needs()]
      .filter(([, need]) => need > 0.5)
      .map(([group, need]) => ({ group, volumeMl: Math.round(need) }));
    return {
      placed,
      shelves: setting,
      left,
      outside: [...outside].filter(([, count]) => count > 0).map(([containerId, count]) => ({ containerId, count })),
      costMinor: bought.reduce((sum, { containerId }) => sum + (this.byId.get(containerId)?.priceMinor ?? 0), 0),
      bought: bought.length,
      stacked: placed.filter(({ liftTenthMm }) => liftTenthMm > 0).length,
      freeMl: Math.round(this.floors.reduce((sum, floor) => sum + floor.freeMl(), 0)),
      most: false,
    };
  }
}

/** One plan, built greedily: groups in their order, each into the containers it likes best, on the lowest shelf with room. */
export function buildPlan(
  problem: PlanProblem,
  setting: Setting,
  genes: Genes,
  slants: Slants,
  random: () => number,
  noise: number,
): PlanAnswer {
  const filling = new Filling(problem, setting, slants, random, noise);
  const { free, byId } = filling;
  for (const at of genes.order) {
    const group = problem.groups[at]!;
    let need = Math.max(0, filling.needs().get(group.name)!);
    const gramsPerMl = group.volumeMl > 0 ? group.grams / group.volumeMl : 0;
    while (need > 0.5) {
      const types = rank(problem, genes, need, (one) => {
        if ((free.get(one.containerId) ?? 0) > 0) return 'free';
        return one.priceMinor !== null && problem.budgetMinor !== null && one.priceMinor <= filling.money
          ? 'buy'
          : null;
      });
      const chosen = types.find(({ one, how }) =>
        filling.put(one, group.name, Math.round(Math.min(need, one.volumeMl * FILL_SHARE) * gramsPerMl), how === 'buy'),
      );
      if (!chosen) break;
      if (chosen.how === 'free') free.set(chosen.one.containerId, free.get(chosen.one.containerId)! - 1);
      else filling.money -= chosen.one.priceMinor!;
      need -= byId.get(chosen.one.containerId)!.volumeMl * FILL_SHARE;
    }
  }
  return filling.answer(new Map());
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
 * One plan from an order of single boxes: each where it finds room, for the group that needs most; with groups until all are
 * housed, without them until nothing more stands.
 *
 * @param used the boxes that stand are put into it
 * @param order indices into `boxes`; those that are bought are only bought while the money lasts
 */
export function buildFromOrder(
  problem: PlanProblem,
  setting: Setting,
  boxes: readonly Box[],
  order: readonly number[],
  slants: Slants,
  random: () => number,
  noise: number,
  way: Way = LOW,
  used: Set<number> | null = null,
): PlanAnswer {
  const filling = new Filling(problem, setting, slants, random, noise, way);
  const needs = filling.needs();
  const grams = new Map(
    problem.groups.map(({ name, volumeMl, grams: all }) => [name, volumeMl > 0 ? all / volumeMl : 0]),
  );
  const outside = new Map<string, number>();
  // One that found no room finds none later: what stands only becomes more.
  const without = new Set<string>();
  for (const at of order) {
    const { type, buy } = boxes[at]!;
    if (buy && type.priceMinor! > filling.money) continue;
    if (filling.isFull && problem.groups.length > 0) break;
    let group: string | null = null;
    if (problem.groups.length > 0) {
      for (const [name, need] of needs) if (need > 0.5 && (group === null || need > needs.get(group)!)) group = name;
      if (group === null) break;
    }
    const holds = group === null ? 0 : Math.min(needs.get(group)!, type.volumeMl * FILL_SHARE);
    const key = type.containerId;
    const mass = group === null ? 0 : Math.round(holds * grams.get(group)!);
    const stands = !(without.has(key) && mass === 0) && filling.put(type, group, mass, buy);
    if (!stands) {
      without.add(key);
      if (!buy && group === null) outside.set(key, (outside.get(key) ?? 0) + 1);
      continue;
    }
    used?.add(at);
    if (buy) filling.money -= type.priceMinor!;
    if (group !== null) needs.set(group, needs.get(group)! - type.volumeMl * FILL_SHARE);
  }
  if (problem.groups.length === 0) {
    // Boxes beyond the most of a plan were never tried.
    for (const type of problem.containers) {
      const more = type.free - boxes.filter((box) => box.type === type && !box.buy).length - lockedOf(problem, type);
      if (more > 0 && isAllowed(type, problem))
        outside.set(type.containerId, (outside.get(type.containerId) ?? 0) + more);
    }
  }
  return filling.answer(outside);
}

const lockedOf = (problem: PlanProblem, type: PlanContainer): number =>
  problem.locked.filter(({ containerId, buy }) => containerId === type.containerId && !buy).length;

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
  key: string,
): PlannedBin => ({
  key,
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
