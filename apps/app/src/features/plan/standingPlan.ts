import {
  modelSpace,
  planProblem,
  priceOfPlan,
  withLoose,
  type HouseholdState,
  type PlanAnswer,
  type PlanFields,
  type PlanGroup,
  type PlanProblem,
  type SpaceRow,
  type StandingPlan,
} from '@ours/core';
import { groupsToHouse, wishesOf } from './usePlanWork';

type Standing = Pick<PlanFields, 'placed' | 'shelves' | 'loose'> & { groups: readonly PlanGroup[] };

/** A plan as it stands, with the problem it is an answer to as the home is now; null: the space is gone. */
export function problemOfPlan(
  state: HouseholdState,
  space: SpaceRow,
  plan: Standing,
  wishes = wishesOf(space, null),
): { problem: PlanProblem; plan: Pick<PlanAnswer, 'placed' | 'shelves'> } | null {
  const { uses, forbidden } = groupsToHouse(state, space, wishes);
  const built = planProblem(state, space.id, {
    ...wishes,
    containerIds: [],
    groups: plan.groups,
    uses,
    forbidden,
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
  return { problem: withLoose(built.problem, plan.loose ?? []), plan: { placed: plan.placed, shelves } };
}

/** What a plan costs as it stands now, and why; null: nothing of the home is planned in it, or the space is gone. */
export function standingPlan(
  state: HouseholdState,
  space: SpaceRow,
  plan: Standing,
  wishes = wishesOf(space, null),
): StandingPlan | null {
  if (plan.groups.length === 0) return null;
  const built = problemOfPlan(state, space, plan, wishes);
  return built && priceOfPlan(built.problem, built.plan);
}
