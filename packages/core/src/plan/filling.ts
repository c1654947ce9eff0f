import { MOST_PLACED } from '../base';
import type { PlannedBin } from '../household';
import { type StandingBody, EmptyShelf, ShelfFloor, type SlantedRow } from '../fit';
import { useOfGroup } from './groupUse';
import { roomsIn } from './sharing';
import { planGroupId } from './planGroups';
import type { PlanAnswer, PlanContainer, PlanProblem, Setting } from './planTypes';
import { roomsAfter } from './shelfSettings';

/** Slanted rows found before, by container and room; one search shares them. */
export type Slants = Map<string, SlantedRow | null>;

/** How a box finds its shelf and which way round it stands. */
export interface Way {
  /** On the shelf where it leaves the narrowest gap, instead of the lowest with room. */
  tight: boolean;
  /** Only the way round that takes less of the width. */
  slim: boolean;
}
export const LOW: Way = { tight: false, slim: false };

/** What all plans of a problem with one setting of the shelves have in common. */
export interface Ground {
  problem: PlanProblem;
  setting: Setting;
  /** The lowest first. */
  shelves: EmptyShelf[];
  byId: Map<string, PlanContainer>;
  /** By id of a group. */
  gramsPerMl: Map<string, number>;
  needMl: ReadonlyMap<string, number>;
}

/** The shelves of a problem with what is locked on them: where every plan begins. */
export function groundOf(problem: PlanProblem, setting: Setting, slants: Slants): Ground {
  const rooms = roomsAfter(problem, setting);
  const bottoms = new Map(setting.map((one) => [one.shelfId, one.bottomTenthMm]));
  const shelves = problem.shelves
    .map(
      ({ shelfId, loadGrams, inBody }) =>
        new EmptyShelf(
          shelfId,
          bottoms.get(shelfId)!,
          rooms.get(shelfId)!,
          loadGrams,
          slants,
          inBody && problem.shelves.some((one) => one.inBody && bottoms.get(one.shelfId)! > bottoms.get(shelfId)!),
        ),
    )
    .sort((a, b) => a.bottomTenthMm - b.bottomTenthMm);
  const gramsPerMl = problem.groups.map((group): [string, number] => [
    planGroupId(group),
    group.volumeMl > 0 ? group.grams / group.volumeMl : 0,
  ]);
  return {
    problem,
    setting,
    shelves,
    byId: new Map(problem.containers.map((one) => [one.containerId, one])),
    gramsPerMl: new Map(gramsPerMl),
    needMl: new Map(problem.groups.map((group) => [planGroupId(group), group.volumeMl])),
  };
}

/** What a plan is judged by, over all that is placed. */
interface Sums {
  volumeMl: number;
  costMinor: number;
  bought: number;
  stacked: number;
  /** Volume times height over the floor, millilitres × tenths of a millimetre. */
  lifting: number;
}

/** One that stands: a planned bin that was there before, or one that becomes one when the plan is asked for. */
interface Placed {
  type: PlanContainer;
  shelfId: string;
  standing: StandingBody;
  group: string | null;
  also: readonly string[];
  buy: boolean;
  locked: PlannedBin | null;
}

/** A plan while it is being filled: the floors, what is placed, what groups need, what money is left. */
export class Filling {
  readonly placed: Placed[] = [];
  /** What groups still need, millilitres, by id. */
  readonly needs: Map<string, number>;
  money: number;
  private readonly floors: ShelfFloor[];
  private readonly sums: Sums = { volumeMl: 0, costMinor: 0, bought: 0, stacked: 0, lifting: 0 };

  /** @param noise how often the order of the shelves is turned round, 0 to 1 */
  constructor(
    private readonly ground: Ground,
    private readonly random: () => number,
    private readonly noise: number,
    private readonly way: Way = LOW,
  ) {
    const { problem, shelves, byId } = ground;
    this.needs = new Map(ground.needMl);
    this.money = problem.budgetMinor ?? 0;
    this.floors = shelves.map((shelf) => new ShelfFloor(shelf, way.slim));
    for (const bin of problem.locked) {
      const type = byId.get(bin.containerId);
      const floor = this.floors.find(({ shelfId }) => shelfId === bin.shelfId);
      if (!type || !floor) continue;
      const standing = standingOf(bin, type);
      floor.occupy(standing, type.weightGrams, type.form);
      const { group, buy } = bin;
      const also = bin.also ?? [];
      const takes =
        group === null
          ? []
          : roomsIn(
              type,
              [group, ...also].map((id) => memberOf(ground, id)),
            );
      this.add({ type, shelfId: bin.shelfId, standing, group, also, buy, locked: bin }, floor.bottomTenthMm, takes);
      if (buy) this.money -= type.priceMinor ?? 0;
    }
  }

  get isFull(): boolean {
    return this.placed.length >= MOST_PLACED;
  }

  /** Onto the lowest shelf with room, on the floor before on others; with noise now and then the order is broken. */
  put(type: PlanContainer, buy: boolean): boolean {
    const weight = type.weightGrams;
    if (this.isFull) return false;
    const { floors } = this;
    const first = this.way.tight ? this.tightest(type, weight) : 0;
    const broken = this.noise > 0 && this.random() < this.noise;
    for (let stacking = 0; stacking < 2; stacking++) {
      for (let turn = 0; turn < floors.length; turn++) {
        // The tightest in front of the others, or all of them from the top down.
        const at = broken ? floors.length - 1 - turn : turn === 0 ? first : turn <= first ? turn - 1 : turn;
        const floor = floors[at]!;
        const standing = stacking === 1 ? floor.onStack(type, weight) : floor.place(type, weight);
        if (!standing) continue;
        this.add(
          { type, shelfId: floor.shelfId, standing, group: null, also: [], buy, locked: null },
          floor.bottomTenthMm,
          [],
        );
        return true;
      }
    }
    return false;
  }

  /**
   * For a group, or several that share it, onto the first shelf of an order with room.
   * @param groups the first is what it is called after
   * @param grams of what goes into it
   * @param order places among the shelves
   * @param stacked on another of its kind before the next shelf; else on the floor of any shelf first
   * @param takes millilitres of each group
   */
  putInOrder(
    type: PlanContainer,
    groups: readonly string[],
    grams: number,
    buy: boolean,
    order: readonly number[],
    stacked: boolean,
    takes: readonly number[],
  ): boolean {
    const weight = type.weightGrams + grams;
    if (this.isFull || (type.maxLoadGrams !== null && grams > type.maxLoadGrams + 1)) return false;
    const ways = stacked
      ? order.flatMap((at) => [[at, false] as const, [at, true] as const])
      : [...order.map((at) => [at, false] as const), ...order.map((at) => [at, true] as const)];
    // Nothing is put on what breaks, unless a lid bears it.
    const bare = type.lid !== true && groups.some((id) => useOfGroup(this.ground.problem, id).fragile === true);
    const kind = bare ? { ...type, stackPitchTenthMm: null } : type;
    for (const [at, onTop] of ways) {
      const floor = this.floors[at]!;
      const standing = onTop ? floor.onStack(type, weight) : floor.place(kind, weight);
      if (!standing) continue;
      const [group = null, ...also] = groups;
      this.add({ type, shelfId: floor.shelfId, standing, group, also, buy, locked: null }, floor.bottomTenthMm, takes);
      return true;
    }
    return false;
  }

  private add(one: Placed, bottomTenthMm: number, takes: readonly number[]): void {
    const { sums, needs } = this;
    const { type, group, also, standing } = one;
    this.placed.push(one);
    if (group !== null)
      [group, ...also].forEach((id, at) => {
        if (needs.has(id)) needs.set(id, needs.get(id)! - (takes[at] ?? 0));
      });
    sums.volumeMl += type.volumeMl;
    sums.lifting += type.volumeMl * (bottomTenthMm + standing.z);
    if (standing.z > 0) sums.stacked++;
    if (!one.buy) return;
    sums.bought++;
    sums.costMinor += type.priceMinor ?? 0;
  }

  /** Which floor one would leave the narrowest gap on; the lowest where it finds none. */
  private tightest(type: PlanContainer, weight: number): number {
    let [best, least] = [0, Infinity];
    for (let at = 0; at < this.floors.length && this.floors.length > 1; at++) {
      const gap = this.floors[at]!.gapFor(type, weight) ?? Infinity;
      if (gap < least) [best, least] = [at, gap];
    }
    return best;
  }

  /** What a filled space is judged by, the most important first, less being better: volume that stands, money, containers bought,
   * shelves moved, stacked ones, number, lifting. */
  score(): number[] {
    const { sums, ground } = this;
    return [
      -sums.volumeMl,
      sums.costMinor,
      sums.bought,
      ground.setting.filter(({ movedHoles }) => movedHoles !== 0).length,
      sums.stacked,
      this.placed.length,
      sums.lifting,
    ];
  }

  /** As planned bins; locked ones keep their keys, whatever they are. @param groups of each, where they were exchanged since */
  private bins(groups?: readonly (string | null)[]): PlannedBin[] {
    const taken = new Set(this.ground.problem.locked.map(({ key }) => key));
    let serial = 0;
    return this.placed.map(({ standing, type, shelfId, group, also, buy, locked }, at) => {
      if (locked) return locked;
      while (taken.has(`p${serial}`)) serial++;
      const bin = plannedBin(standing, type, shelfId, groups?.[at] ?? group, buy, `p${serial++}`);
      return also.length > 0 ? { ...bin, also: [...also] } : bin;
    });
  }

  answer(outside: ReadonlyMap<string, number>, groups?: readonly (string | null)[]): PlanAnswer {
    return {
      placed: this.bins(groups),
      shelves: this.ground.setting,
      left: [],
      outside: [...outside].filter(([, count]) => count > 0).map(([containerId, count]) => ({ containerId, count })),
      costMinor: this.sums.costMinor,
      bought: this.sums.bought,
      stacked: this.sums.stacked,
      freeMl: Math.round(this.floors.reduce((sum, floor) => sum + floor.freeMl(), 0)),
      provenBest: false,
      price: null,
      boundMinutes: null,
    };
  }
}

/** A group as a bin takes it; one the problem does not know needs nothing. */
const memberOf = ({ problem, needMl, gramsPerMl }: Ground, id: string) => ({
  needMl: needMl.get(id) ?? 0,
  gramsPerMl: gramsPerMl.get(id) ?? 0,
  use: useOfGroup(problem, id),
});

const plannedBin = (
  bin: StandingBody,
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
): StandingBody => ({
  cx: bin.cxTenthMm,
  cy: bin.cyTenthMm,
  z: bin.liftTenthMm,
  degrees: bin.degrees,
  width: type.widthTenthMm,
  depth: type.depthTenthMm,
  height: type.heightTenthMm,
  footShare: type.footShare,
});
