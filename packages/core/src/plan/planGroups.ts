import type { BinRow, PlanFields, PlanGroup, PlannedBin } from '../household';

/**
 * By what planned bins refer to a group of their plan.
 * @returns the group's id; its name where the plan is older than ids
 * @example planGroupId({ name: 'lanterns', volumeMl: 9000, grams: 400 }) //=> 'lanterns'
 */
export const planGroupId = (group: PlanGroup): string => group.id ?? group.name;

/** The group of a plan with an id; null when the plan has none like it (it was planned anew since). */
export const groupOfPlan = (plan: Pick<PlanFields, 'groups'>, id: string): PlanGroup | null =>
  plan.groups.find((group) => planGroupId(group) === id) ?? null;

/** Whether a bin already holds the group: it is one of those the group fills; in older plans, it is called the same. */
export const isBinOf = (group: PlanGroup, bin: Pick<BinRow, 'id' | 'name'>): boolean =>
  group.binIds ? group.binIds.includes(bin.id) : bin.name === group.name;

/**
 * Bins that stay when a plan is found anew, in the groups of the new plan: those of a plan that is older than ids say their
 * group's name.
 * @param groups of the new plan
 */
export const inNewGroups = (bins: readonly PlannedBin[], groups: readonly PlanGroup[]): PlannedBin[] =>
  bins.map((bin) => {
    if (bin.group === null || groups.some((group) => planGroupId(group) === bin.group)) return bin;
    const named = groups.find(({ name }) => name === bin.group);
    return named ? { ...bin, group: planGroupId(named) } : bin;
  });
