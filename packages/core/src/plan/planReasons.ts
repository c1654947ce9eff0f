/** What a plan costs as it stands, whoever put it together, and why each group is where it is. */
import { bandAt, type ReachBand } from '../handling';
import { Filling, groundOf } from './filling';
import { fewestBins, mayMove, standsIn } from './mixes';
import { handlingOfBin, pricedGroups, pricePlan, type PricedGroup } from './planPrice';
import type { GroupPrice, GroupUse, PlanAnswer, PlanPrice, PlanProblem } from './planTypes';
import { settingNow } from './shelfSettings';

/** Why a group has its places. */
export interface PlanReason {
  group: string;
  /** Keys of its bins. */
  keys: string[];
  price: GroupPrice;
  use: GroupUse;
  /** Where its bins are for most of those who take from them; null: it has none. */
  band: ReachBand | null;
  /** It has more bins than the fewest that hold it: those are needed by others, or no better plan with them was found. */
  more: 'taken' | 'not_found' | null;
  /** Of its bins, those that are none: it stands on the shelf itself. */
  onShelf: number;
  /** The groups it shares a bin with. */
  together: string[];
}
export interface StandingPlan {
  price: PlanPrice;
  reasons: PlanReason[];
}

/**
 * Prices a plan as it stands.
 * @param problem with the plan's groups; nothing is searched
 */
export function priceOfPlan(problem: PlanProblem, plan: Pick<PlanAnswer, 'placed' | 'shelves'>): StandingPlan {
  const now = groundOf(problem, settingNow(problem), new Map());
  const stands = standsIn(now, mayMove(problem));
  const groups = pricedGroups(
    problem,
    problem.groups.map(() => 0),
  ).map((group): PricedGroup => ({ ...group, fewest: fewestBins(now, group, stands) }));
  const ground = groundOf({ ...problem, locked: plan.placed }, plan.shelves, new Map());
  const { placed } = new Filling(ground, () => 0, 0);
  const shelves = ground.shelves.map(({ shelfId, bottomTenthMm, room }) => ({
    shelfId,
    bottomTenthMm,
    room,
    movedHoles: plan.shelves.find((one) => one.shelfId === shelfId)?.movedHoles ?? 0,
  }));
  const price = pricePlan(problem, groups, placed, shelves);
  const free = new Map(problem.containers.map((type) => [type, type.free]));
  for (const { type, buy } of placed) if (!buy) free.set(type, (free.get(type) ?? 0) - 1);
  const reasons = price.groups.map((own, at): PlanReason => {
    const group = groups[at]!;
    const bins = own.bins.map((bin) => placed[bin]!);
    // Those that are free, and its own.
    const within = (type: (typeof bins)[number]['type']): number =>
      Math.max(0, free.get(type) ?? 0) + bins.filter((bin) => bin.type === type).length;
    const more =
      bins.length <= group.fewest
        ? null
        : fewestBins(now, group, stands, within) > group.fewest
          ? 'taken'
          : 'not_found';
    const bands = new Map<ReachBand, number>();
    for (const { type, shelfId, standing } of bins) {
      const shelf = shelves.find((one) => one.shelfId === shelfId)!;
      const { gripMm } = handlingOfBin(problem, group.use, type, shelf, standing.z, 0);
      for (const { reachMm, share } of group.use.who) {
        const band = bandAt(reachMm, gripMm);
        bands.set(band, (bands.get(band) ?? 0) + share);
      }
    }
    const band = [...bands].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
    const keys = bins.flatMap(({ locked }) => (locked ? [locked.key] : []));
    const onShelf = bins.filter(({ type }) => type.form === 'bare').length;
    const together = bins.flatMap((bin) =>
      [bin.group, ...bin.also].filter((id): id is string => bin.also.length > 0 && id !== null && id !== group.id),
    );
    return { group: group.id, keys, price: own, use: group.use, band, more, onShelf, together };
  });
  return { price, reasons };
}
