/** No plan costs less than this: each group in its cheapest way, while no container is used more often than there is of it. */
import { MOST_SHARING } from '../base';
import type { Mixes } from './mixes';
import { leastAlone } from './mixes';
import type { PricedGroup } from './planPrice';
import { leastSharing, takesOf } from './sharing';
import type { PlanContainer } from './planTypes';

/** Rounds of improving the bound, and rounds without a better one before the steps get shorter. */
const ROUNDS = 150;
const PATIENCE = 6;
/** Every container is there so often that it binds nothing. */
const PLENTY = 40;

interface Option {
  minutes: number;
  /** Places of types, and how many of each. */
  uses: readonly (readonly [type: number, count: number])[];
}

/**
 * The Lagrangian dual of housing each group in one of its ways, with the number of each container as the constraint; all ways that were
 * not listed at what they cost at least, shared bins at their least.
 *
 * @param partners for each group those it may share a bin with, by place
 * @param countOf how many of a type there are, with those the money buys
 * @param upper minutes of a plan that was found
 */
export function dualBound(
  groups: readonly PricedGroup[],
  mixes: readonly Mixes[],
  partners: readonly (readonly number[])[],
  types: readonly PlanContainer[],
  countOf: (type: PlanContainer) => number,
  upper: number,
): number {
  const place = new Map(types.map((type, at) => [type, at]));
  const options = groups.map((group, at) => [
    ...ownOptions(mixes[at]!, place),
    ...sharedOptions(group, at, mixes[at]!, groups, partners[at]!, types),
  ]);
  const counts = types.map(countOf);
  const bound = types.map((_, at) => counts[at]! < PLENTY);
  const price = types.map(() => 0);
  let best = -Infinity;
  let [stale, step] = [0, 1];
  for (let round = 0; round < ROUNDS; round++) {
    const used = types.map(() => 0);
    let least = 0;
    for (const own of options) {
      let [cheapest, sum] = [own[0]!, Infinity];
      for (const option of own) {
        const minutes = option.uses.reduce((all, [type, count]) => all + price[type]! * count, option.minutes);
        if (minutes < sum) [cheapest, sum] = [option, minutes];
      }
      least += sum;
      for (const [type, count] of cheapest.uses) used[type]! += count;
    }
    price.forEach((one, type) => (least -= one * counts[type]!));
    if (least > best + 1e-9) [best, stale] = [least, 0];
    else if (++stale > PATIENCE) [stale, step] = [0, step / 2];
    const over = used.map((count, type) => (bound[type] ? count - counts[type]! : 0));
    const length = over.reduce((sum, one, type) => sum + (one > 0 || price[type]! > 0 ? one * one : 0), 0);
    if (length < 1e-12 || upper - least < 1e-9) break;
    const far = (step * (upper - least)) / length;
    over.forEach((one, type) => (price[type] = Math.max(0, price[type]! + far * one)));
  }
  return best;
}

/** In bins of its own; what is not listed costs at least so much, whatever it uses. */
function ownOptions({ list, leastMinutes, beyondMinutes }: Mixes, place: ReadonlyMap<PlanContainer, number>): Option[] {
  if (beyondMinutes === null) return [{ minutes: leastMinutes, uses: [] }];
  const listed = list.map(({ types, minutes }): Option => {
    const counts = new Map<number, number>();
    for (const type of types) {
      const at = place.get(type);
      if (at !== undefined) counts.set(at, (counts.get(at) ?? 0) + 1);
    }
    return { minutes, uses: [...counts] };
  });
  return [...listed, { minutes: beyondMinutes, uses: [] }];
}

/** In a bin that others share: a part of one of that type. */
function sharedOptions(
  group: PricedGroup,
  at: number,
  { places }: Mixes,
  groups: readonly PricedGroup[],
  partners: readonly number[],
  types: readonly PlanContainer[],
): Option[] {
  if (places === null || partners.length === 0 || group.needMl <= 0.5) return [];
  return types.flatMap((type, nth): Option[] => {
    if (type.form === 'bare') return [];
    const room = (type.sections ?? 1) + 1e-9;
    const own = takesOf(type, group);
    const others = partners.filter((other) => other !== at && own + takesOf(type, groups[other]!) <= room);
    if (others.length === 0) return [];
    const uses = others.map((other) => groups[other]!.use);
    const minutes = leastAlone(places, group) + leastSharing(group.use, uses, type.sections !== undefined);
    return [{ minutes, uses: [[nth, 1 / (MOST_SHARING + 1)]] }];
  });
}
