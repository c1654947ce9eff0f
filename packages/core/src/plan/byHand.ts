/**
 * What a hand can do with a planned bin besides moving it: another container, two in its place, several of a group as one, into the bin of
 * another group, or groups that share one apart.
 */
import { MOST_SHARING } from '../base';
import type { PlannedBin } from '../household';
import { ShelfFloor } from '../fit';
import { Filling, groundOf, standingOf } from './filling';
import { capacityMl, useOfGroup } from './groupUse';
import { planGroupId } from './planGroups';
import { pricedGroups, type PricedGroup } from './planPrice';
import { priceOfPlan } from './planReasons';
import { holdsAll, mayShare } from './sharing';
import type { PlanAnswer, PlanContainer, PlanProblem } from './planTypes';
import { isAllowed } from './shelfSettings';

/** One thing that could be done with a bin, as the whole plan it leads to. */
export interface HandChange {
  kind: 'swap' | 'split' | 'join' | 'share' | 'apart';
  containerId: string;
  /** Into whose bin it goes: its groups. */
  into: readonly string[];
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
 * What could be done with a bin, the best first: swapped for another container, split into two alike, joined with the other bins of
 * its group, put with another group into its bin, or groups that share it apart. Only what stands, holds at least as much of the group as before and can be had is offered; locked bins stay.
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
  const members = membersOf(problem, held);
  if (members.length > 1) return sharedChanges(problem, plan, held, members, now);
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
      held.shelfId,
      held.group === null ? [] : [held.group],
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
      into: [],
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
  changes.push(...intoOthers(problem, plan, held, now));
  // Of each kind the best ones.
  return (['swap', 'split', 'join', 'share'] as const)
    .flatMap((kind) =>
      changes
        .filter((one) => one.kind === kind)
        .sort(least)
        .slice(0, MOST_CHANGES / 2),
    )
    .sort(least)
    .slice(0, MOST_CHANGES);
}

const least = (a: HandChange, b: HandChange): number => a.moreMinutes - b.moreMinutes;

/** The groups in a bin. */
const membersOf = (problem: PlanProblem, { group, also }: PlannedBin): PricedGroup[] => {
  const ids = group === null ? [] : [group, ...(also ?? [])];
  const all = pricedGroups(
    problem,
    problem.groups.map(() => 1),
  );
  return ids.flatMap((id) => all.find((one) => one.id === id) ?? []);
};
const idsOf = (members: readonly PricedGroup[]): string[] => members.map(({ id }) => id);
const gramsOf = (members: readonly PricedGroup[]): number =>
  members.reduce((sum, { needMl, gramsPerMl }) => sum + needMl * gramsPerMl, 0);

/** A bin that groups share: another that holds them all, or each in one of its own. */
function sharedChanges(
  problem: PlanProblem,
  plan: Plan,
  held: PlannedBin,
  members: readonly PricedGroup[],
  now: number,
): HandChange[] {
  const changes: HandChange[] = [];
  const bare = { count: 1, instead: 1, into: [] };
  for (const type of problem.containers) {
    if (type.containerId === held.containerId || type.form === 'bare') continue;
    if (!isAllowed(type, problem) || !holdsAll(type, members)) continue;
    const after = rehoused(problem, plan, [held], held.shelfId, idsOf(members), type, 1, gramsOf(members));
    if (!after) continue;
    const moreMinutes = priceOfPlan(problem, { ...plan, placed: after.placed }).price.sum - now;
    changes.push({ kind: 'swap', containerId: type.containerId, ...bare, ...after, moreMinutes });
  }
  const best = changes.sort(least).slice(0, MOST_CHANGES - 1);
  const apart = eachAlone(problem, plan, held, members);
  if (apart) {
    const moreMinutes = priceOfPlan(problem, { ...plan, placed: apart.placed }).price.sum - now;
    best.push({ kind: 'apart', containerId: held.containerId, ...bare, count: members.length, ...apart, moreMinutes });
  }
  return best.sort(least);
}

/** The first keeps the bin, each of the others gets the smallest that holds it and stands; null: one of them finds none. */
function eachAlone(
  problem: PlanProblem,
  plan: Plan,
  held: PlannedBin,
  [, ...others]: readonly PricedGroup[],
): Pick<HandChange, 'placed' | 'sameShelf' | 'buy'> | null {
  let placed = plan.placed.map((bin) => (bin.key === held.key ? { ...bin, also: null } : bin));
  let [sameShelf, buy] = [true, 0];
  for (const member of others) {
    const types = problem.containers
      .filter((type) => isAllowed(type, problem) && holdsAll(type, [member]))
      .sort((a, b) => Number(b.free > 0) - Number(a.free > 0) || a.volumeMl - b.volumeMl);
    const after = types
      .map((type) => rehoused(problem, { ...plan, placed }, [], held.shelfId, [member.id], type, 1, gramsOf([member])))
      .find((one) => one !== null);
    if (!after) return null;
    placed = after.placed;
    sameShelf &&= after.sameShelf;
    buy += after.buy;
  }
  return { placed, sameShelf, buy };
}

/** Into the bin of other groups, where it holds them all and each has only that one; its own bin is free then. */
function intoOthers(problem: PlanProblem, plan: Plan, held: PlannedBin, now: number): HandChange[] {
  const isOnly = ({ id }: PricedGroup): boolean =>
    plan.placed.filter(({ group, also }) => group === id || also?.includes(id)).length === 1;
  const own = membersOf(problem, held);
  if (own.length === 0 || !own.every(isOnly)) return [];
  return plan.placed.flatMap((bin): HandChange[] => {
    const type = problem.containers.find(({ containerId }) => containerId === bin.containerId);
    const members = membersOf(problem, bin);
    const isOther = bin.key !== held.key && !bin.locked && type && type.form !== 'bare' && members.length > 0;
    if (!isOther || members.length > MOST_SHARING || !members.every(isOnly)) return [];
    const all = [...members, ...own];
    const not = own.some(({ id }) => problem.forbidden?.[id]?.includes(bin.shelfId));
    const apart = members.some(({ use }) => own.some((other) => !mayShare(use, other.use)));
    if (not || apart || !holdsAll(type, all)) return [];
    const placed = plan.placed.flatMap((one) =>
      one.key === held.key ? [] : one.key === bin.key ? [{ ...one, also: idsOf(all).slice(1) }] : [one],
    );
    return [
      {
        kind: 'share',
        containerId: bin.containerId,
        into: idsOf(members),
        count: 1,
        instead: 1,
        sameShelf: bin.shelfId === held.shelfId,
        buy: 0,
        placed,
        moreMinutes: priceOfPlan(problem, { ...plan, placed }).price.sum - now,
      },
    ];
  });
}

/** The plan with so many of a type in the place of some bins, on a shelf, else elsewhere; null: they do not stand. */
function rehoused(
  problem: PlanProblem,
  plan: Plan,
  going: readonly PlannedBin[],
  shelfId: string,
  groups: readonly string[],
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
  const first = ids.indexOf(shelfId);
  const not = groups.flatMap((group) => problem.forbidden?.[group] ?? []);
  const order = [first, ...ids.map((_, at) => at).filter((at) => at !== first)].filter((at) => !not.includes(ids[at]!));
  for (let n = 0; n < count; n++) {
    const isFree = free > 0;
    if (!isFree && (type.priceMinor === null || problem.budgetMinor === null || type.priceMinor > filling.money))
      return null;
    if (!filling.putInOrder(type, groups, Math.round(grams), !isFree, order, false, [])) return null;
    if (isFree) free -= 1;
    else {
      buy += 1;
      filling.money -= type.priceMinor!;
    }
  }
  const { placed } = filling.answer(new Map());
  const fresh = placed.filter((bin) => !staying.includes(bin));
  return { placed, buy, sameShelf: fresh.every((bin) => bin.shelfId === shelfId) };
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
    if (other && bin.shelfId === shelfId) floor.occupy(standingOf(bin, other), other.weightGrams, other.form);
  }
  let count = 0;
  while (count < MOST_MORE && floor.place(type, type.weightGrams) !== null) count += 1;
  return count;
}
