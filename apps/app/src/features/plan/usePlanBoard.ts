import {
  clearances,
  FILL_SHARE,
  groupOfPlan,
  halfShelfOffers,
  handChanges,
  modelSpace,
  moreOnShelf,
  placeProblem,
  rowsOfStanding,
  snapped,
  standingIn,
  type HandChange,
  type PlannedBin,
  type SpaceRow,
  type StandingBody,
} from '@ours/core';
import { useMemo, useState } from 'react';
import { typeOfPlanned, viewPlan } from './planView';
import { standingPlan } from './standingPlan';
import { usePlanWork } from './usePlanWork';
import { PLACE_PROBLEMS } from './words';

/** Centres nearer than this stand on each other, tenths of a millimetre. */
const STACKED_WITHIN = 2;

/**
 * A plan as it lies on the board: which shelf is seen from above, what stands there, which container is chosen, and what the hand
 * can do with it. A deed that cannot be leaves the plan as it is and says why in `said`.
 */
export function usePlanBoard(space: SpaceRow) {
  const work = usePlanWork(space);
  const { state, version, plans, plan, history } = work;
  const [selected, setSelected] = useState<string | null>(null);
  const [shelfId, setShelfId] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [changing, setChanging] = useState(false);
  const [settings, setSettings] = useState(plans.length === 0);
  const drawn = work.shown ?? plan;
  const placed = useMemo(() => (drawn ? standingIn(drawn) : []), [drawn]);
  // The state is one object kept up row by row; its version says when it is another.
  const view = useMemo(
    () => (drawn ? { version, ...viewPlan(state, space, drawn) } : null),
    [state, version, space, drawn],
  );
  const { solving, wishes } = work;
  // While it is sought the search says what the best so far costs.
  const built = useMemo(
    () => (drawn && solving.state !== 'solving' ? { version, of: standingPlan(state, space, drawn, wishes) } : null),
    [state, version, space, drawn, wishes, solving.state],
  )?.of;
  const standing = built?.standing ?? null;
  const families = [...new Set(state.all('container').map(({ family }) => family))]
    .filter((family) => family !== '')
    .sort();
  const model = modelSpace(space, state.shelvesOf(space.id));
  const at = model.shelves.find(({ shelf }) => shelf.id === (shelfId ?? placed[0]?.shelfId)) ?? model.shelves[0]!;
  const room = view?.rooms.get(at.shelf.id) ?? at.room;
  const here = placed.filter((bin) => bin.shelfId === at.shelf.id);
  const bodies = view ? here.flatMap((bin) => [view.bodyOf(bin)].flatMap((body) => (body ? [{ bin, body }] : []))) : [];
  const chosen = bodies.find(({ bin }) => bin.key === selected) ?? null;
  const others = bodies.filter(({ bin }) => bin.key !== selected).map(({ body }) => body);

  /** A stack is one thing to the hand: it is moved, turned and locked as a whole. */
  const stackOf = (key: string) => {
    const foot = bodies.find(({ bin }) => bin.key === key)?.body;
    return bodies.filter(({ body }) => foot && Math.hypot(body.cx - foot.cx, body.cy - foot.cy) < STACKED_WITHIN);
  };
  const put = (keys: readonly string[], fields: Partial<PlannedBin>): void => {
    if (!plan) return;
    const next = placed.map((bin) => (keys.includes(bin.key) ? { ...bin, ...fields } : bin));
    void history.change('plan_changed', [{ op: 'change', entity: 'plan', id: plan.id, fields: rowsOfStanding(next) }]);
  };
  /** Sets a stack down otherwise, if it may stand so; says why not. */
  const reset = (key: string, change: (body: StandingBody, rest: readonly StandingBody[]) => StandingBody): void => {
    const stack = stackOf(key);
    const keys = stack.map(({ bin }) => bin.key);
    const rest = bodies.filter(({ bin }) => !keys.includes(bin.key)).map(({ body }) => body);
    const first = stack[0];
    if (!first || stack.some(({ bin }) => bin.locked)) return;
    const there = change(first.body, rest);
    const { cx, cy, degrees } = there;
    const problem = stack
      .map(({ body }) => placeProblem({ ...body, cx, cy, degrees }, room, rest))
      .find((one) => one !== null);
    setSaid(problem ? PLACE_PROBLEMS[problem] : null);
    if (!problem) put(keys, { cxTenthMm: cx, cyTenthMm: cy, degrees });
  };
  const drag = (key: string, dx: number, dy: number): void => {
    if (dx !== 0 || dy !== 0)
      reset(key, (body, rest) => snapped({ ...body, cx: body.cx + dx, cy: body.cy + dy }, room, rest));
  };
  const turn = (): void => {
    if (chosen) reset(chosen.bin.key, (body) => ({ ...body, degrees: body.degrees === 0 ? 90 : 0 }));
  };
  const lock = (): void => {
    if (chosen)
      put(
        stackOf(chosen.bin.key).map(({ bin }) => bin.key),
        { locked: !chosen.bin.locked },
      );
  };
  // Looked for only while it is asked for: each is the whole plan, priced.
  const changes = useMemo(
    () => (changing && selected !== null && built ? handChanges(built.problem, built.plan, selected) : []),
    [changing, selected, built],
  );
  const heldId = chosen?.bin.containerId ?? null;
  const heldShelf = chosen?.bin.shelfId ?? null;
  const more = useMemo(
    () =>
      built && heldId !== null && heldShelf !== null ? moreOnShelf(built.problem, built.plan, heldShelf, heldId) : 0,
    [built, heldId, heldShelf],
  );
  const boards = useMemo(() => {
    const left = (built?.standing?.price.groups ?? []).flatMap(({ group, leftMl }) =>
      leftMl > 0 ? [{ group, volumeMl: leftMl }] : [],
    );
    return built && left.length > 0 ? halfShelfOffers(built.problem, { ...built.plan, left }) : [];
  }, [built]);
  const makeChange = (change: HandChange): void => {
    setChanging(false);
    setSelected(null);
    setSaid(null);
    if (plan)
      void history.change('plan_changed', [
        { op: 'change', entity: 'plan', id: plan.id, fields: rowsOfStanding(change.placed) },
      ]);
  };
  const solve = (): void => {
    setSettings(false);
    setSelected(null);
    setSaid(null);
    work.solve();
  };
  const shelfGrams = here.reduce(
    (sum, bin) => {
      const type = typeOfPlanned(state, bin, space.id);
      if (!type) return sum;
      const groups = [bin.group, ...(bin.also ?? [])].flatMap((id) =>
        plan && id !== null ? (groupOfPlan(plan, id) ?? []) : [],
      );
      const room = (type.volumeMl * FILL_SHARE) / Math.max(1, groups.length);
      const contents = groups.reduce(
        (all, { grams, volumeMl }) => all + (volumeMl > 0 ? grams * Math.min(1, room / volumeMl) : 0),
        0,
      );
      return { bins: sum.bins + type.weightGrams, contents: sum.contents + contents };
    },
    { bins: 0, contents: 0 },
  );

  const open = (id: string | null): void => {
    work.choose(id);
    setSelected(null);
    if (id === null) setSettings(true);
  };
  const lookAt = (id: string): void => {
    setShelfId(id);
    setSelected(null);
    setSaid(null);
  };
  const select = (key: string | null): void => {
    setSelected(key);
    setChanging(false);
    setShelfId(at.shelf.id);
  };
  /** A container or a shelf, as it was pressed in the drawing. */
  const press = (id: string): void => {
    const bin = placed.find((one) => one.key === id);
    setChanging(false);
    setSelected(bin ? id : null);
    setShelfId(bin?.shelfId ?? (state.get('shelf', id) ? id : shelfId));
  };
  return {
    ...work,
    view,
    placed,
    price: standing?.price ?? work.shown?.price ?? null,
    reasons: standing?.reasons ?? [],
    model,
    families,
    at,
    room,
    bodies,
    selected,
    chosen,
    free: chosen ? clearances(chosen.body, room, others) : null,
    said,
    changing,
    toggleChanging: () => setChanging((now) => !now),
    changes,
    makeChange,
    boards,
    more,
    settings,
    toggleSettings: () => setSettings((now) => !now),
    grams: shelfGrams,
    open,
    lookAt,
    select,
    press,
    drag,
    turn,
    lock,
    solve,
  };
}
