/** What a plan costs to live with, in minutes a month: one sum for the search, for the screen and for what a hand drags. */
import { boundingBox } from '../base';
import type { Compartment, StandingBody } from '../fit';
import { HANDLING, openingSeconds, PACES_WITHIN, reachSeconds, weightMinutes } from '../handling';
import { digSeconds, ON_SHELF, sectionsTaken, useOfGroup } from './groupUse';
import { planGroupId } from './planGroups';
import { moveMinutes, PLAN_COST } from './planCost';
import { roomsIn, sharingMinutes } from './sharing';
import type { GroupPrice, GroupUse, PlanContainer, PlanPrice, PlanProblem } from './planTypes';

/** A container that stands in a plan. */
export interface PricedBin {
  type: PlanContainer;
  shelfId: string;
  standing: StandingBody;
  group: string | null;
  /** Other groups that share it. */
  also?: readonly string[] | null;
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

/** Which bins are not among those of now, by their places. @param alike whether one of now is as good as staying */
export function movedOf<T>(
  bins: readonly T[],
  now: GroupUse['now'],
  alike: (bin: T, other: { containerId: string; shelfId: string }) => boolean,
): number[] {
  if (!now) return [];
  const open = [...now];
  return bins.flatMap((bin, place) => {
    const at = open.findIndex((other) => alike(bin, other));
    if (at < 0) return [place];
    open.splice(at, 1);
    return [];
  });
}

/** Bodies that share no more than this do not hide each other, tenths of a millimetre. */
const TOUCH_TENTH_MM = 50;

/** How high a bin is gripped at a place, and the seconds of each taking from it: reaching, and opening. */
export function handlingOfBin(
  problem: Pick<PlanProblem, 'handling'>,
  { who }: Pick<GroupUse, 'who'>,
  type: Pick<PlanContainer, 'heightTenthMm' | 'lid' | 'form'>,
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
    form: type.form ?? null,
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

/**
 * How many bins must be lifted away to get at each: those on top, and those in front where one gets in through the front. What hangs
 * under the shelf above is not lifted away.
 */
export function hiddenBy(
  bins: readonly (Pick<PricedBin, 'shelfId' | 'standing'> & { type?: Pick<PlanContainer, 'form'> })[],
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
      if (other === at || bins[other]!.type?.form === 'under_shelf') continue;
      if (Math.min(own.right, box.right) - Math.max(own.left, box.left) <= TOUCH_TENTH_MM) continue;
      const onTop =
        box.foot > own.foot && Math.min(own.back, box.back) - Math.max(own.front, box.front) > TOUCH_TENTH_MM;
      const inFront = box.back <= own.front + TOUCH_TENTH_MM && box.top > own.foot && !fromAbove.has(shelfId);
      if (onTop || inFront) hidden += 1;
    }
    return hidden;
  });
}

/** A bin with what each of its groups has of it, millilitres. */
interface Filled {
  /** Places of its groups among the priced ones. */
  members: number[];
  rooms: number[];
  contents: number[];
  /** Filled, with the bin itself. */
  grams: number;
}

/**
 * What a plan costs, minutes a month, term by term. A group's things and takings are spread over its bins by what these take of it;
 * what a bin costs as a whole (its weight, being kept in order, its air) is shared out among its groups by what they have of it.
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
  const { filled, ofGroup } = fill(groups, bins);
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
  groups.forEach((group, at) => {
    const own = priceGroup({ problem, groups, bins, filled, byId, hidden }, at, ofGroup[at]!);
    for (const term of ['taking', 'reaching', 'opening', 'lifting', 'keeping', 'once', 'left'] as const)
      price[term] += own[term];
    price.groups.push({ group: group.id, ...own.price });
  });
  price.sum = price.taking + price.reaching + price.opening + price.lifting + price.keeping + price.once + price.left;
  return price;
}

/** What lies in each bin, and the bins of each group. */
function fill(groups: readonly PricedGroup[], bins: readonly PricedBin[]): { filled: Filled[]; ofGroup: number[][] } {
  const place = new Map(groups.map(({ id }, at) => [id, at]));
  const ofGroup: number[][] = groups.map(() => []);
  const roomOf: number[] = groups.map(() => 0);
  const filled = bins.map(({ type, group, also }, bin): Filled => {
    const members = (also ? [group, ...also] : [group]).flatMap((id) => {
      const at = id === null ? undefined : place.get(id);
      return at === undefined ? [] : [at];
    });
    const rooms =
      members.length === 0
        ? []
        : roomsIn(
            type,
            members.map((at) => groups[at]!),
          );
    members.forEach((at, nth) => {
      ofGroup[at]!.push(bin);
      roomOf[at]! += rooms[nth]!;
    });
    return { members, rooms, contents: [], grams: 0 };
  });
  filled.forEach((one, bin) => {
    one.grams = bins[bin]!.type.weightGrams;
    one.contents = one.members.map((at, nth) => {
      const all = roomOf[at]!;
      const { needMl, gramsPerMl } = groups[at]!;
      const content = all > 0 ? (one.rooms[nth]! / all) * Math.min(needMl, all) : 0;
      one.grams += content * gramsPerMl;
      return content;
    });
  });
  return { filled, ofGroup };
}

interface Priced {
  problem: Pick<PlanProblem, 'handling'>;
  groups: readonly PricedGroup[];
  bins: readonly PricedBin[];
  filled: readonly Filled[];
  byId: ReadonlyMap<string, PricedShelf>;
  hidden: readonly number[];
}
const sumUp = (all: readonly number[]): number => all.reduce((sum, one) => sum + one, 0);

/** The part of a plan's price that is of one group. */
function priceGroup(
  { problem, groups, bins, filled, byId, hidden }: Priced,
  group: number,
  /** Its bins, by their places among all. */
  own: readonly number[],
): Record<'taking' | 'reaching' | 'opening' | 'lifting' | 'keeping' | 'once' | 'left', number> & {
  price: Omit<GroupPrice, 'group'>;
} {
  const { needMl, use, fewest } = groups[group]!;
  const perMonth = use.uses / 60;
  const sum = { taking: takingMinutes(use), reaching: 0, opening: 0, lifting: 0, keeping: 0, once: 0, left: 0 };
  let housed = 0;
  let heaviestGrams = 0;
  let shared = 0;
  const on = new Set<string>();
  // In a bin that is shared only the first finds itself where it was: it is one bin, and what else comes into it is moved.
  const isGuest = (at: number): boolean => filled[at]!.members[0] !== group;
  const moved = movedOf(
    own.map((at) => ({ ...bins[at]!, guest: isGuest(at) })),
    use.now,
    ({ type, shelfId, guest }, other) => !guest && isSamePlace(type, other) && shelfId === other.shelfId,
  ).length;
  for (const at of own) {
    const { type, shelfId, standing } = bins[at]!;
    const { members, rooms, contents, grams } = filled[at]!;
    const nth = members.indexOf(group);
    const content = contents[nth]!;
    housed += rooms[nth]!;
    const share = needMl > 0 ? content / needMl : 0;
    const { gripMm, reaching, opening } = handlingOfBin(
      problem,
      use,
      type,
      byId.get(shelfId)!,
      standing.z,
      hidden[at]!,
    );
    const all = sumUp(contents);
    const part = all > 0 ? content / all : 1 / members.length;
    sum.reaching += reaching * share * perMonth;
    const floors = type.sections
      ? (content * (use.floorMm2PerMl ?? 0) * type.sections) / sectionsTaken(type, groups[group]!, content)
      : sumUp(members.map((member, other) => contents[other]! * (groups[member]!.use.floorMm2PerMl ?? 0)));
    sum.opening += (opening + digSeconds(type, floors)) * share * perMonth;
    sum.lifting += weightMinutes(type.form, grams / 1000, gripMm) * part;
    sum.keeping += (PLAN_COST.binMinutes + airMinutes(type.volumeMl, all)) * part;
    if (members.length > 1) {
      shared += 1;
      sum.keeping += sharingMinutes(
        type,
        nth,
        members.map((member) => groups[member]!),
      );
    }
    heaviestGrams = Math.max(heaviestGrams, grams);
    on.add(shelfId);
  }
  sum.once = moved * moveMinutes(use);
  const leftMl = needMl - housed > 0.5 ? needMl - housed : 0;
  if (leftMl > 0) sum.left = PLAN_COST.leftMinutes + (PLAN_COST.leftMinutesALitre * leftMl) / 1000;
  sum.keeping += spreadMinutes(use, own.length - fewest, on.size);
  const { taking, reaching, opening, lifting, keeping } = sum;
  return {
    ...sum,
    price: {
      bins: [...own],
      shared,
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

/** Whether a bin of now is as good as one of a type: the same kind of container, or both the shelf itself. */
export const isSamePlace = (
  { containerId, form }: Pick<PlanContainer, 'containerId' | 'form'>,
  now: { containerId: string },
): boolean => containerId === now.containerId || (form === 'bare' && now.containerId === ON_SHELF);

/** Taking and putting back with the paces within the room: what a group costs wherever it stands. */
export const takingMinutes = ({ uses }: Pick<GroupUse, 'uses'>): number =>
  ((HANDLING.takeSeconds + HANDLING.paceSeconds * PACES_WITHIN) * uses) / 60;

/** A group over more bins than need be, and over several shelves. */
export const spreadMinutes = ({ uses }: Pick<GroupUse, 'uses'>, extraBins: number, shelves: number): number =>
  (PLAN_COST.extraBinSeconds * uses * Math.max(0, extraBins)) / 60 +
  Math.max(0, shelves - 1) * (PLAN_COST.shelfMinutes + (PLAN_COST.shelfSeconds * uses) / 60);
