import {
  BARE_SPACE_BUILD,
  clearOutState,
  forbiddenShelves,
  groupThings,
  groupUses,
  placeBulky,
  splitBulky,
  withLoose,
  type BulkyThing,
  type LooseThing,
  inNewGroups,
  lotsWithin,
  planProblem,
  type GroupUse,
  type HouseholdState,
  type LotRow,
  type Op,
  type PlanAnswer,
  type PlanGroup,
  type PlannedBin,
  type PlanRow,
  rowsOfStanding,
  standingIn,
  type SpaceRow,
} from '@ours/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { groupName } from '@/features/sort/words';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useUndoStack } from '@/shared/useUndoStack';
import { usePlanSolver } from '@/jobs/usePlanSolver';
import type { PlanWishesUi } from './PlanSettings';

export const MOST_PLANS = 3;

/** What is to be housed, everything here less what an open round of sorting sends away, and how it is handled. */
export function groupsToHouse(
  state: HouseholdState,
  space: SpaceRow,
  { groupBy, shelfId, budgetMinor }: Pick<PlanWishesUi, 'groupBy' | 'shelfId' | 'budgetMinor'>,
): {
  groups: PlanGroup[];
  uses: Record<string, GroupUse>;
  bulky: BulkyThing[];
  forbidden: Record<string, string[]>;
} {
  const open = state.clearOutsOf(space.id).find(({ finishedAt }) => finishedAt === null);
  const verdicts = open ? clearOutState(state, open).verdicts : new Map();
  const staying = lotsWithin(state, shelfId ?? space.id).filter(
    ({ id }) => (verdicts.get(id)?.verdict ?? 'keep') === 'keep',
  );
  const { groups: things, bulky } = splitBulky(
    state,
    space,
    groupThings(state, staying, groupBy, today()),
    budgetMinor,
  );
  return {
    groups: things.map(({ id, key, volumeMl, grams, binIds }) => ({
      id,
      name: groupName(key),
      volumeMl,
      grams,
      binIds,
    })),
    uses: groupUses(state, things, today()),
    bulky,
    forbidden: forbiddenShelves(state, space.id, things),
  };
}

/** The things of each group of a plan as they are now, by its id. */
export function lotsOfGroups(
  state: HouseholdState,
  space: SpaceRow,
  plan: PlanRow,
): ReadonlyMap<string, readonly LotRow[]> {
  const { groupBy, shelfId } = wishesOf(space, plan);
  const groups = groupThings(state, lotsWithin(state, shelfId ?? space.id), groupBy, today());
  return new Map(groups.map(({ id, lots }) => [id, lots]));
}

export const wishesOf = (space: SpaceRow, plan: PlanRow | null): PlanWishesUi => ({
  shelfId: plan?.shelves.length === 1 ? plan.shelves[0]!.shelfId : null,
  fillWith: plan !== null && plan.groups.length === 0 ? (plan.placed[0]?.containerId ?? null) : null,
  groupBy: space.build?.school ?? 'order',
  budgetMinor: plan?.budgetMinor ?? null,
  family: plan?.family ?? null,
  moveShelves: plan?.moveShelves ?? true,
});

/** The plans of a space, the one that is open, and solving it: kept after each answer, so that nothing is lost. */
export function usePlanWork(space: SpaceRow) {
  const history = useUndoStack();
  const { state, version } = useHousehold((snapshot) => snapshot);
  const plans = state.plansOf(space.id);
  const [openId, setOpenId] = useState<string | null>(
    plans.find(({ status }) => status === 'chosen')?.id ?? plans.at(-1)?.id ?? null,
  );
  const plan = plans.find(({ id }) => id === openId) ?? null;
  const [wishes, setWishes] = useState(() => wishesOf(space, plan));
  const { solving, start, cancel } = usePlanSolver();
  const [last, setLast] = useState<PlanAnswer | null>(null);
  const [sought, setSought] = useState<{ groups: PlanGroup[]; loose: LooseThing[] }>({ groups: [], loose: [] });
  const [kept, setKept] = useState<PlanAnswer | null>(null);
  const target = useRef<{
    id: string;
    isNew: boolean;
    wishes: PlanWishesUi;
    groups: PlanGroup[];
    loose: LooseThing[];
    locked: PlannedBin[];
  } | null>(null);
  const { change } = history;

  const choose = (id: string | null): void => {
    setOpenId(id);
    setLast(null);
    setWishes(wishesOf(space, plans.find((one) => one.id === id) ?? null));
  };
  const changeWishes = (next: PlanWishesUi): void => {
    setWishes(next);
    if (next.groupBy !== wishes.groupBy)
      void change('school_changed', [
        {
          op: 'change',
          entity: 'space',
          id: space.id,
          fields: { build: { ...(space.build ?? BARE_SPACE_BUILD), school: next.groupBy } },
        },
      ]);
  };
  const solve = (seed = plan?.seed ?? 1): void => {
    const fill = wishes.fillWith;
    const { groups, uses, bulky, forbidden } =
      fill === null ? groupsToHouse(state, space, wishes) : { groups: [], uses: {}, bulky: [], forbidden: {} };
    const locked = inNewGroups(plan ? standingIn(plan).filter((bin) => bin.locked) : [], groups);
    const built = planProblem(state, space.id, {
      ...wishes,
      family: fill === null ? wishes.family : null,
      containerIds: fill === null ? [] : [fill],
      groups,
      uses,
      forbidden,
      locked,
      seed,
    });
    if (!built) return;
    const loose = placeBulky(state, space, built.problem, bulky);
    target.current = { id: plan?.id ?? uuidv7(), isNew: plan === null, wishes, groups, loose, locked };
    setLast(null);
    setSought({ groups, loose });
    start(withLoose(built.problem, loose));
  };

  const keep = useCallback(
    async (answer: PlanAnswer): Promise<void> => {
      const to = target.current;
      if (!to) return;
      target.current = null;
      setLast(answer);
      const fields = {
        groups: to.groups,
        loose: to.loose,
        shelves: answer.shelves.map(({ shelfId, bottomTenthMm }) => ({ shelfId, bottomTenthMm })),
        ...rowsOfStanding(answer.placed),
        budgetMinor: to.wishes.budgetMinor,
        family: to.wishes.family,
        moveShelves: to.wishes.moveShelves,
      };
      const ops: Op[] = to.isNew
        ? [
            {
              op: 'create',
              entity: 'plan',
              id: to.id,
              fields: {
                ...fields,
                spaceId: space.id,
                name: `Plan ${nextLetter(state.plansOf(space.id))}`,
                status: 'draft',
                sort: state.plansOf(space.id).length,
                seed: 1,
                bought: [],
              },
            },
          ]
        : [{ op: 'change', entity: 'plan', id: to.id, fields }];
      if (!(await change('space_planned', ops))) return;
      setOpenId(to.id);
      setKept(answer);
    },
    [change, space.id, state],
  );
  const { answer } = solving;
  const over = solving.state === 'done' || solving.state === 'cancelled';
  useEffect(() => {
    if (over && answer) void keep(answer);
  }, [over, answer, keep]);

  // Drawn from the search until it is a row of the home: nothing goes blank in between.
  const shown = answer && answer !== kept ? { ...answer, ...sought } : null;
  return {
    state,
    version,
    plans,
    plan,
    choose,
    wishes,
    changeWishes,
    solving,
    solve,
    cancel,
    shown,
    last,
    groupCount: sought.groups.length,
    history,
  };
}

const nextLetter = (plans: readonly PlanRow[]): string =>
  ['A', 'B', 'C', 'D'].find((letter) => plans.every(({ name }) => name !== `Plan ${letter}`)) ??
  String(plans.length + 1);
