import {
  modelSpace,
  planProblem,
  priceOfPlan,
  standingIn,
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

interface PlanInProblem {
  problem: PlanProblem;
  plan: Pick<PlanAnswer, 'placed' | 'shelves'>;
}

type Standing = Pick<PlanFields, 'placed' | 'shelves' | 'loose' | 'onShelf'> & { groups: readonly PlanGroup[] };

/** A plan as it stands, with the problem it is an answer to as the home is now; null: the space is gone. */
function problemOfPlan(
  state: HouseholdState,
  space: SpaceRow,
  plan: Standing,
  wishes = wishesOf(space, null),
): PlanInProblem | null {
  const placed = standingIn(plan);
  const { uses, forbidden } = groupsToHouse(state, space, wishes);
  const built = planProblem(state, space.id, {
    ...wishes,
    containerIds: [],
    groups: plan.groups,
    uses,
    forbidden,
    locked: placed,
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
  return { problem: withLoose(built.problem, plan.loose ?? []), plan: { placed, shelves } };
}

/** A plan with its problem, and what it costs and why; `standing` is null when nothing of the home is planned in it. */
export function standingPlan(
  state: HouseholdState,
  space: SpaceRow,
  plan: Standing,
  wishes = wishesOf(space, null),
): (PlanInProblem & { standing: StandingPlan | null }) | null {
  const built = problemOfPlan(state, space, plan, wishes);
  if (!built) return null;
  return { ...built, standing: plan.groups.length === 0 ? null : priceOfPlan(built.problem, built.plan) };
}
