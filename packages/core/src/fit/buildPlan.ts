import { MOST_PLACED } from '../household/limits';
import type { PlannedBin } from '../household/registry';
import type { Standing } from './compartment';
import { FILL_SHARE } from './container';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planSpace';
import { ShelfFloor } from './shelfFloor';
import { isAllowed, roomsAfter, type Setting } from './shelfSettings';
import type { SlantedRow } from './slantedRow';

/** A plan has no more containers than this; a wire limit of the same size stands in the contract. */

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

/** One plan, built greedily: groups in their order, each into the containers it likes best, on the lowest shelf with room. */
export function buildPlan(
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
  // Locked bins keep their keys, whatever they are.
  const taken = new Set(problem.locked.map(({ key }) => key));
  let serial = 0;
  const nextKey = (): string => {
    while (taken.has(`p${serial}`)) serial++;
    return `p${serial++}`;
  };
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
    if (placed.length >= MOST_PLACED) return false;
    if (type.maxLoadGrams !== null && grams > type.maxLoadGrams) return false;
    // Heavy things look at the low shelves first; with noise now and then the order is broken.
    const order = noise > 0 && random() < noise ? [...floors].reverse() : floors;
    for (const stacking of [false, true]) {
      for (const floor of order) {
        const standing = stacking ? floor.onStack(type, weight) : floor.place(type, weight);
        if (!standing) continue;
        placed.push(plannedBin(standing, type, floor.shelfId, group, buy, nextKey()));
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
      for (; one.priceMinor <= money; money -= one.priceMinor) if (!put(one, null, 0, true)) break;
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
