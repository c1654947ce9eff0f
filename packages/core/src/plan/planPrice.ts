/** What a plan costs to live with, in minutes a month: one sum for the search, for the screen and for what a hand drags. */
import { boundingBox } from '../base';
import type { Compartment, StandingBody } from '../fit';
import { carryingMinutes, HANDLING, liftMinutes, openingSeconds, PACES_WITHIN, reachSeconds } from '../handling';
import { capacityMl, useOfGroup } from './groupUse';
import { planGroupId } from './planGroups';
import type { GroupPrice, GroupUse, PlanContainer, PlanPrice, PlanProblem } from './planTypes';

/** Own defaults, shown in docs; minutes a month unless named otherwise. */
export const PLAN_COST = {
  /** Each bin is kept in order. */
  binMinutes: 0.1,
  /** Looked through besides: each bin over the fewest that hold the group. */
  extraBinSeconds: 3,
  /** Each further shelf a group is spread over. */
  shelfMinutes: 0.15,
  shelfSeconds: 5,
  /** Each litre that stays empty beyond a fifth of the bin. */
  airMinutesALitre: 0.004,
  airShare: 0.8,
  /** A group that is not housed whole, and each litre of it. */
  leftMinutes: 20,
  leftMinutesALitre: 5,
  /** Once: a shelf moved, and money; spread over a year. */
  shelfMoveMinutes: 6,
  minutesAHundredMinor: 2,
  onceMonths: 12,
} as const;

/** A container that stands in a plan. */
export interface PricedBin {
  type: PlanContainer;
  shelfId: string;
  standing: StandingBody;
  group: string | null;
  buy: boolean;
}
/** A shelf as it is set in a plan. */
export interface PricedShelf {
  shelfId: string;
  bottomTenthMm: number;
  room: Pick<Compartment, 'height' | 'access'>;
  movedHoles: number;
}
export interface PricedGroup {
  id: string;
  needMl: number;
  gramsPerMl: number;
  use: GroupUse;
  /** No fewer bins hold it; 0: nothing does. */
  fewest: number;
}

/** What a bin that goes elsewhere costs once, spread over a year. Minutes a month. */
export const moveMinutes = ({ who }: Pick<GroupUse, 'who'>): number => carryingMinutes(who) / PLAN_COST.onceMonths;

/** How many bins are not among those of now. @param alike whether one of now is as good as staying */
export function movedOf<T>(
  bins: readonly T[],
  now: GroupUse['now'],
  alike: (bin: T, other: { containerId: string; shelfId: string }) => boolean,
): number {
  if (!now) return 0;
  const open = [...now];
  let moved = 0;
  for (const bin of bins) {
    const at = open.findIndex((other) => alike(bin, other));
    if (at < 0) moved += 1;
    else open.splice(at, 1);
  }
  return moved;
}

/** Bodies that share no more than this do not hide each other, tenths of a millimetre. */
const TOUCH_TENTH_MM = 50;

/** How high a bin is gripped at a place, and the seconds of each taking from it: reaching, and opening. */
export function handlingOfBin(
  problem: Pick<PlanProblem, 'handling'>,
  { who }: Pick<GroupUse, 'who'>,
  type: Pick<PlanContainer, 'heightTenthMm' | 'lid'>,
  { bottomTenthMm, room }: Pick<PricedShelf, 'bottomTenthMm' | 'room'>,
  zTenthMm: number,
  hidden: number,
): { gripMm: number; reaching: number; opening: number } {
  const gripMm = (problem.handling?.footMm ?? 0) + (bottomTenthMm + zTenthMm + type.heightTenthMm / 2) / 10;
  const reaching = who.reduce(
    (sum, { reachMm, steps, share }) => sum + share * reachSeconds({ reachMm, steps }, gripMm),
    0,
  );
  const headroom = (room.height - zTenthMm - type.heightTenthMm) / 10;
  const opening = openingSeconds({
    lid: type.lid === true,
    fromAbove: room.access !== 'front',
    headroomMm: headroom,
    inFront: hidden,
  });
  return { gripMm, reaching, opening };
}

/** Money that a container costs, spread, minutes a month. */
export const moneyMinutes = (priceMinor: number): number =>
  ((priceMinor / 100) * PLAN_COST.minutesAHundredMinor) / PLAN_COST.onceMonths;

/** What stays empty in a container beyond a fifth, minutes a month. @example airMinutes(61_200, 10_000) //=> 0.15584 */
export const airMinutes = (volumeMl: number, contentMl: number): number =>
  (Math.max(0, volumeMl * PLAN_COST.airShare - contentMl) / 1000) * PLAN_COST.airMinutesALitre;

/** The groups of a problem as they are priced. @param fewest of each, in their order */
export const pricedGroups = (problem: PlanProblem, fewest: readonly number[]): PricedGroup[] =>
  problem.groups.map((group, at) => ({
    id: planGroupId(group),
    needMl: group.volumeMl,
    gramsPerMl: group.volumeMl > 0 ? group.grams / group.volumeMl : 0,
    use: useOfGroup(problem, planGroupId(group)),
    fewest: fewest[at]!,
  }));

/** How many bins must be lifted away to get at each: those on top, and those in front where one gets in through the front. */
export function hiddenBy(
  bins: readonly Pick<PricedBin, 'shelfId' | 'standing'>[],
  shelves: readonly PricedShelf[],
): number[] {
  const fromAbove = new Set(shelves.filter(({ room }) => room.access === 'top').map(({ shelfId }) => shelfId));
  const boxes = bins.map(({ standing }) => {
    const { width, depth } = boundingBox(standing.width, standing.depth, standing.degrees);
    return {
      left: standing.cx - width / 2,
      right: standing.cx + width / 2,
      front: standing.cy - depth / 2,
      back: standing.cy + depth / 2,
      foot: standing.z,
      top: standing.z + standing.height,
    };
  });
  const onShelf = new Map<string, number[]>();
  bins.forEach(({ shelfId }, at) => {
    const row = onShelf.get(shelfId);
    if (row) row.push(at);
    else onShelf.set(shelfId, [at]);
  });
  return bins.map(({ shelfId }, at) => {
    const own = boxes[at]!;
    let hidden = 0;
    for (const other of onShelf.get(shelfId)!) {
      const box = boxes[other]!;
      if (other === at || Math.min(own.right, box.right) - Math.max(own.left, box.left) <= TOUCH_TENTH_MM) continue;
      const onTop =
        box.foot > own.foot && Math.min(own.back, box.back) - Math.max(own.front, box.front) > TOUCH_TENTH_MM;
      const inFront = box.back <= own.front + TOUCH_TENTH_MM && box.top > own.foot && !fromAbove.has(shelfId);
      if (onTop || inFront) hidden += 1;
    }
    return hidden;
  });
}

/**
 * What a plan costs, minutes a month, term by term. A group's things and takings are spread over its bins by what these take of it.
 * @param groups see `pricedGroups`
 * @param shelves as they are set in the plan
 */
export function pricePlan(
  problem: Pick<PlanProblem, 'handling'>,
  groups: readonly PricedGroup[],
  bins: readonly PricedBin[],
  shelves: readonly PricedShelf[],
): PlanPrice {
  const byId = new Map(shelves.map((shelf) => [shelf.shelfId, shelf]));
  const hidden = hiddenBy(bins, shelves);
  const ofGroup = new Map<string, number[]>();
  bins.forEach(({ group }, at) => {
    if (group !== null) ofGroup.set(group, [...(ofGroup.get(group) ?? []), at]);
  });
  const price: PlanPrice = {
    taking: 0,
    reaching: 0,
    opening: 0,
    lifting: 0,
    keeping: 0,
    once:
      shelves.filter(({ movedHoles }) => movedHoles !== 0).length * (PLAN_COST.shelfMoveMinutes / PLAN_COST.onceMonths),
    left: 0,
    sum: 0,
    groups: [],
  };
  for (const bin of bins) if (bin.buy) price.once += moneyMinutes(bin.type.priceMinor ?? 0);
  for (const group of groups) {
    const own = priceGroup(problem, group, ofGroup.get(group.id) ?? [], bins, byId, hidden);
    for (const term of ['taking', 'reaching', 'opening', 'lifting', 'keeping', 'once', 'left'] as const)
      price[term] += own[term];
    price.groups.push(own.price);
  }
  price.sum = price.taking + price.reaching + price.opening + price.lifting + price.keeping + price.once + price.left;
  return price;
}

/** The part of a plan's price that is of one group. */
function priceGroup(
  problem: Pick<PlanProblem, 'handling'>,
  { id, needMl, gramsPerMl, use, fewest }: PricedGroup,
  /** Its bins, by their places among all. */
  own: readonly number[],
  bins: readonly PricedBin[],
  shelves: ReadonlyMap<string, PricedShelf>,
  hidden: readonly number[],
): Record<'taking' | 'reaching' | 'opening' | 'lifting' | 'keeping' | 'once' | 'left', number> & { price: GroupPrice } {
  const room = own.map((at) => capacityMl(bins[at]!.type, use, gramsPerMl));
  const all = room.reduce((sum, ml) => sum + ml, 0);
  const leftMl = needMl - all > 0.5 ? needMl - all : 0;
  const perMonth = use.uses / 60;
  const sum = { taking: takingMinutes(use), reaching: 0, opening: 0, lifting: 0, keeping: 0, once: 0, left: 0 };
  const moved = movedOf(
    own.map((at) => bins[at]!),
    use.now,
    ({ type, shelfId }, other) => type.containerId === other.containerId && shelfId === other.shelfId,
  );
  sum.once = moved * moveMinutes(use);
  if (leftMl > 0) sum.left = PLAN_COST.leftMinutes + (PLAN_COST.leftMinutesALitre * leftMl) / 1000;
  let heaviestGrams = 0;
  const on = new Set<string>();
  own.forEach((at, nth) => {
    const { type, shelfId, standing } = bins[at]!;
    const content = all > 0 ? (room[nth]! / all) * Math.min(needMl, all) : 0;
    const share = needMl > 0 ? content / needMl : 0;
    const { gripMm, reaching, opening } = handlingOfBin(
      problem,
      use,
      type,
      shelves.get(shelfId)!,
      standing.z,
      hidden[at]!,
    );
    const grams = type.weightGrams + content * gramsPerMl;
    sum.reaching += reaching * share * perMonth;
    sum.opening += opening * share * perMonth;
    sum.lifting += liftMinutes(grams / 1000, gripMm);
    sum.keeping += PLAN_COST.binMinutes + airMinutes(type.volumeMl, content);
    heaviestGrams = Math.max(heaviestGrams, grams);
    on.add(shelfId);
  });
  sum.keeping += spreadMinutes(use, own.length - fewest, on.size);
  const { taking, reaching, opening, lifting, keeping } = sum;
  return {
    ...sum,
    price: {
      group: id,
      bins: [...own],
      fewest,
      shelves: on.size,
      leftMl: Math.round(leftMl),
      minutes: taking + reaching + opening + lifting + keeping,
      reachSeconds: perMonth > 0 ? reaching / perMonth : 0,
      moved,
      heaviestGrams: Math.round(heaviestGrams),
    },
  };
}

/** Taking and putting back with the paces within the room: what a group costs wherever it stands. */
export const takingMinutes = ({ uses }: Pick<GroupUse, 'uses'>): number =>
  ((HANDLING.takeSeconds + HANDLING.paceSeconds * PACES_WITHIN) * uses) / 60;

/** A group over more bins than need be, and over several shelves. */
export const spreadMinutes = ({ uses }: Pick<GroupUse, 'uses'>, extraBins: number, shelves: number): number =>
  (PLAN_COST.extraBinSeconds * uses * Math.max(0, extraBins)) / 60 +
  Math.max(0, shelves - 1) * (PLAN_COST.shelfMinutes + (PLAN_COST.shelfSeconds * uses) / 60);
