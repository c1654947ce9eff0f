import {
  modelSpace,
  planProblem,
  priceOfPlan,
  withLoose,
  type HouseholdState,
  type PlanFields,
  type PlanGroup,
  type SpaceRow,
  type StandingPlan,
} from '@ours/core';
import { groupsToHouse, wishesOf } from './usePlanWork';

/** What a plan costs as it stands now, and why; null: nothing of the home is planned in it, or the space is gone. */
export function standingPlan(
  state: HouseholdState,
  space: SpaceRow,
  plan: Pick<PlanFields, 'placed' | 'shelves' | 'loose'> & { groups: readonly PlanGroup[] },
  wishes = wishesOf(space, null),
): StandingPlan | null {
  if (plan.groups.length === 0) return null;
  const { uses } = groupsToHouse(state, space, wishes);
  const built = planProblem(state, space.id, {
    ...wishes,
    containerIds: [],
    groups: plan.groups,
    uses,
    locked: plan.placed,
    seed: 1,
  });
  if (!built) return null;
  const now = modelSpace(space, state.shelvesOf(space.id)).shelves;
  // A plan of one shelf says nothing of the others.
  const shelves = built.problem.shelves.map(({ shelfId, bottomTenthMm }) => {
    const planned = plan.shelves.find((one) => one.shelfId === shelfId)?.bottomTenthMm ?? bottomTenthMm;
    const before = now.find(({ shelf }) => shelf.id === shelfId)?.bottomTenthMm;
    return { shelfId, bottomTenthMm: planned, movedHoles: planned === before ? 0 : 1 };
  });
  return priceOfPlan(withLoose(built.problem, plan.loose ?? []), { placed: plan.placed, shelves });
}
