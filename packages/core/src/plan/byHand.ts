/** What a hand can do with a planned bin besides moving it: another container, two in its place, several of a group as one. */
import type { PlannedBin } from '../household';
import { ShelfFloor } from '../fit';
import { Filling, groundOf, standingOf } from './filling';
import { capacityMl, useOfGroup } from './groupUse';
import { planGroupId } from './planGroups';
import { priceOfPlan } from './planReasons';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planTypes';
import { isAllowed } from './shelfSettings';

/** One thing that could be done with a bin, as the whole plan it leads to. */
export interface HandChange {
  kind: 'swap' | 'split' | 'join';
  containerId: string;
  /** How many of that container take the place of how many. */
  count: number;
  instead: number;
  /** All stand on the shelf of the bin that is held. */
  sameShelf: boolean;
  buy: number;
  placed: PlannedBin[];
  /** Minutes a month more than now; below 0 it is better. With what it leaves without room. */
  moreMinutes: number;
}
type Plan = Pick<PlanAnswer, 'placed' | 'shelves'>;

/** As many as are worth reading. */
const MOST_CHANGES = 6;
/** More of one container than that are not counted. */
export const MOST_MORE = 20;

/**
 * What could be done with a bin, the best first: swapped for another container, split into two alike, or joined with the other bins of
 * its group. Only what stands, holds at least as much of the group as before and can be had is offered; locked bins stay.
 *
 * @param problem with the plan's groups; its own locked bins do not count
 * @returns nothing for a bin that is locked or not there
 */
export function handChanges(problem: PlanProblem, plan: Plan, key: string): HandChange[] {
  const held = plan.placed.find((bin) => bin.key === key);
  if (!held || held.locked) return [];
  const typeOf = (bin: PlannedBin): PlanContainer | undefined =>
    problem.containers.find(({ containerId }) => containerId === bin.containerId);
  const own = typeOf(held);
  if (!own) return [];
  const now = priceOfPlan(problem, plan).price.sum;
  const siblings = plan.placed.filter((bin) => bin.group !== null && bin.group === held.group && !bin.locked);
  const group = problem.groups.find((one) => planGroupId(one) === held.group);
  const use = useOfGroup(problem, held.group ?? '');
  const gramsPerMl = group && group.volumeMl > 0 ? group.grams / group.volumeMl : 0;
  const room = (type: PlanContainer): number =>
    held.group === null ? type.volumeMl : capacityMl(type, use, gramsPerMl);
  const roomIn = (bins: readonly PlannedBin[]): number =>
    bins.reduce((sum, bin) => {
      const type = typeOf(bin);
      return sum + (type ? room(type) : 0);
    }, 0);
  const inPlan = roomIn(plan.placed.filter((bin) => bin.group === held.group));
  // What the group needs of the bins that go; a bin that is larger than need be may be swapped for a smaller one.
  const spare = group ? Math.max(0, inPlan - group.volumeMl) : 0;
  const needOf = (bins: readonly PlannedBin[]): number => roomIn(bins) - spare;
  const changes: HandChange[] = [];
  const tryOut = (kind: HandChange['kind'], going: readonly PlannedBin[], type: PlanContainer, count: number): void => {
    if (room(type) * count < needOf(going) - 0.5) return;
    const after = rehoused(
      problem,
      plan,
      going,
      held,
      type,
      count,
      gramsPerMl * Math.min(room(type), Math.max(0, needOf(going)) / count),
    );
    if (!after) return;
    changes.push({
      kind,
      containerId: type.containerId,
      count,
      instead: going.length,
      ...after,
      moreMinutes: priceOfPlan(problem, { placed: after.placed, shelves: plan.shelves }).price.sum - now,
    });
  };
  for (const type of problem.containers) {
    if (!isAllowed(type, problem)) continue;
    if (type.containerId !== own.containerId) tryOut('swap', [held], type, 1);
    if (type.volumeMl < own.volumeMl) tryOut('split', [held], type, 2);
    if (siblings.length > 1) tryOut('join', siblings, type, 1);
  }
  // Of each kind the best ones.
  const least = (a: HandChange, b: HandChange): number => a.moreMinutes - b.moreMinutes;
  return (['swap', 'split', 'join'] as const)
    .flatMap((kind) =>
      changes
        .filter((one) => one.kind === kind)
        .sort(least)
        .slice(0, MOST_CHANGES / 2),
    )
    .sort(least)
    .slice(0, MOST_CHANGES);
}

/** The plan with so many of a type in the place of some bins, on the shelf of the one that is held, else elsewhere; null: they do not stand. */
function rehoused(
  problem: PlanProblem,
  plan: Plan,
  going: readonly PlannedBin[],
  held: PlannedBin,
  type: PlanContainer,
  count: number,
  grams: number,
): Pick<HandChange, 'placed' | 'sameShelf' | 'buy'> | null {
  const staying = plan.placed.filter((bin) => !going.includes(bin));
  const filling = new Filling(groundOf({ ...problem, locked: staying }, plan.shelves, new Map()), () => 0, 0);
  const used = staying.filter((bin) => bin.containerId === type.containerId && !bin.buy).length;
  let free = Math.max(0, type.free - used);
  let buy = 0;
  // As the ground has them: the lowest first.
  const bottoms = new Map(plan.shelves.map((one) => [one.shelfId, one.bottomTenthMm]));
  const ids = problem.shelves
    .map(({ shelfId }) => shelfId)
    .sort((a, b) => (bottoms.get(a) ?? 0) - (bottoms.get(b) ?? 0));
  const first = ids.indexOf(held.shelfId);
  const not = held.group === null ? undefined : problem.forbidden?.[held.group];
  const order = [first, ...ids.map((_, at) => at).filter((at) => at !== first)].filter(
    (at) => !not?.includes(ids[at]!),
  );
  for (let n = 0; n < count; n++) {
    const isFree = free > 0;
    if (!isFree && (type.priceMinor === null || problem.budgetMinor === null || type.priceMinor > filling.money))
      return null;
    if (!filling.putInOrder(type, held.group ?? '', Math.round(grams), !isFree, order, false, 0)) return null;
    if (isFree) free -= 1;
    else {
      buy += 1;
      filling.money -= type.priceMinor!;
    }
  }
  const placed = filling.answer(new Map()).placed.map((bin) => (bin.group === '' ? { ...bin, group: null } : bin));
  const fresh = placed.filter((bin) => !staying.includes(bin));
  return { placed, buy, sameShelf: fresh.every(({ shelfId }) => shelfId === held.shelfId) };
}

/**
 * How many more of a container stand on a shelf of a plan, empty, beside all that is there.
 * @returns at most `MOST_MORE`; found by putting them down one by one, so that more may be possible with all moved about
 */
export function moreOnShelf(problem: PlanProblem, plan: Plan, shelfId: string, containerId: string): number {
  const type = problem.containers.find((one) => one.containerId === containerId);
  const ground = groundOf({ ...problem, locked: plan.placed }, plan.shelves, new Map());
  const shelf = ground.shelves.find((one) => one.shelfId === shelfId);
  if (!type || !shelf) return 0;
  const floor = new ShelfFloor(shelf, false);
  for (const bin of plan.placed) {
    const other = ground.byId.get(bin.containerId);
    if (other && bin.shelfId === shelfId) floor.occupy(standingOf(bin, other), other.weightGrams);
  }
  let count = 0;
  while (count < MOST_MORE && floor.place(type, type.weightGrams) !== null) count += 1;
  return count;
}
