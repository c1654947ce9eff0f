/** Groups that share a bin: which may, how much of it each has, and what it costs. */
import { MOST_SHARING } from '../base';
import { capacityMl, sectionOf } from './groupUse';
import { moveMinutes, PLAN_COST } from './planCost';
import type { GroupUse, PlanContainer } from './planTypes';

/** A group as far as it matters to a bin. */
interface Member {
  needMl: number;
  gramsPerMl: number;
  use: GroupUse;
}

/** Groups that may lie in one bin: of a kind that is kept apart from others or none, and what breaks only with what breaks. */
export const mayShare = (a: GroupUse, b: GroupUse): boolean =>
  (a.apart ?? '') === (b.apart ?? '') && (a.fragile ?? false) === (b.fragile ?? false);

/**
 * How much of each group a bin takes, millilitres, in their order. Alone: all that goes in. Shared: what each needs where there is room
 * for all, else parts alike; in a divided one each has whole sections.
 */
export function roomsIn(type: PlanContainer, members: readonly Member[]): number[] {
  if (members.length === 1) return [capacityMl(type, members[0]!.use, members[0]!.gramsPerMl)];
  const takes = members.map((member) => takesOf(type, member));
  const room = type.sections ?? 1;
  const housed = takes.reduce((sum, one) => sum + (Number.isFinite(one) ? one : 0), 0);
  const shrunk = housed > room + 1e-9 ? room / housed : 1;
  return members.map(({ needMl }, at) => (Number.isFinite(takes[at]!) ? needMl * shrunk : 0));
}

/** How much of a bin a group takes: a share of it, or whole sections; Infinity: it does not go in. */
export function takesOf(type: PlanContainer, { needMl, use, gramsPerMl }: Member): number {
  if (needMl <= 0.5) return 0;
  const { sections } = type;
  const share = needMl / capacityMl(sections ? sectionOf(type) : type, use, gramsPerMl);
  return sections ? Math.ceil(share - 1e-9) : share;
}

/** Whether all of them go into one bin of a type. */
export const holdsAll = (type: PlanContainer, members: readonly Member[]): boolean =>
  roomsIn(type, members).every((ml, at) => ml >= members[at]!.needMl - 1e-6);

/** What two groups in one bin are kept apart by, minutes a month; in a divided one they are kin. */
const pairMinutes = (a: GroupUse, b: GroupUse, divided: boolean): number =>
  divided || (!!a.kin && a.kin === b.kin) ? PLAN_COST.shareKinMinutes : PLAN_COST.shareMinutes;

/** Minutes a month that one of the groups in a bin pays for the others: looking past them, and half of keeping each pair apart. */
export function sharingMinutes(type: Pick<PlanContainer, 'sections'>, own: number, members: readonly Member[]): number {
  const { use } = members[own]!;
  const divided = type.sections !== undefined;
  let minutes = 0;
  members.forEach((other, at) => {
    if (at === own) return;
    minutes += pairMinutes(use, other.use, divided) / 2;
    if (!divided) minutes += (PLAN_COST.shareSeconds * use.uses) / 60;
  });
  return minutes;
}

/**
 * What a group pays at least for a bin that it shares with some of the others, minutes a month; Infinity: with none of them it may. Of
 * those that stand somewhere now all but one are moved.
 */
export function leastSharing(use: GroupUse, others: readonly GroupUse[], divided: boolean): number {
  const pairs = others.filter((other) => mayShare(use, other)).map((other) => pairMinutes(use, other, divided) / 2);
  pairs.sort((a, b) => a - b);
  const past = divided ? 0 : (PLAN_COST.shareSeconds * use.uses) / 60;
  const moves = [use, ...others].map((one) => (one.now ? moveMinutes(one) : 0));
  const move = Math.min(...moves);
  let least = Infinity;
  let sum = 0;
  pairs.slice(0, MOST_SHARING).forEach((pair, at) => {
    sum += pair + past;
    const count = at + 2;
    least = Math.min(least, sum + PLAN_COST.binMinutes / count + ((count - 1) / count) * move);
  });
  return least;
}

/** For each group those that may lie in one bin with it: two together go into one that may be used. */
export function partnersOf(types: readonly PlanContainer[], groups: readonly Member[]): number[][] {
  const takes = groups.map((group) => types.map((type) => takesOf(type, group)));
  const rooms = types.map(({ sections }) => (sections ?? 1) + 1e-9);
  return groups.map((group, at) =>
    groups.flatMap((other, place) => {
      if (place === at || group.needMl <= 0.5 || other.needMl <= 0.5 || !mayShare(group.use, other.use)) return [];
      return rooms.some((room, type) => takes[at]![type]! + takes[place]![type]! <= room) ? [place] : [];
    }),
  );
}
