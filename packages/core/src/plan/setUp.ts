/** What a plan asks for when a space is set up by it: bins onto their places, and things into what their groups share or onto shelves. */
import { boundingBox, codeShape, newBinCode } from '../base';
import { modelSpace } from '../fit';
import type { BinFields, HouseholdState, LotRow, Op, PlanGroup, PlanRow } from '../household';
import { opsForMoving, type OpContext } from '../stock';
import { shelfMoves } from './buyingList';
import { opsForLoose } from './looseThings';
import { groupOfPlan, isBinOf, planGroupId } from './planGroups';

/** What several groups in one bin are called together; as long as a name may be. */
const MOST_LETTERS = 120;
export const namesTogether = (groups: readonly Pick<PlanGroup, 'name'>[]): string =>
  groups
    .map(({ name }) => name)
    .join(' + ')
    .slice(0, MOST_LETTERS);

/**
 * Sets a space up as planned: shelves onto their holes, bins of the groups onto their places. A bin that a group
 * fills most of stays the same bin, with what is in it; where there is none a new one is made. Other bins stay where they are.
 */
export function opsForSettingUp(state: HouseholdState, plan: PlanRow, newId: () => string): Op[] {
  return settingUp(state, plan, newId).ops;
}

/** With which bin each planned one has become, by its key. */
function settingUp(
  state: HouseholdState,
  plan: PlanRow,
  newId: () => string,
): { ops: Op[]; binOf: ReadonlyMap<string, string> } {
  const ops: Op[] = [];
  const binOf = new Map<string, string>();
  const heights = new Map(plan.shelves.map((one) => [one.shelfId, one.bottomTenthMm]));
  for (const move of shelfMoves(state, plan))
    ops.push({
      op: 'change',
      entity: 'shelf',
      id: move.shelfId,
      fields: { bottomTenthMm: move.toTenthMm, heightTenthMm: null },
    });
  for (const { id, bottomTenthMm } of state.shelvesOf(plan.spaceId))
    if (ops.length > 0 && heights.get(id) === bottomTenthMm)
      ops.push({ op: 'change', entity: 'shelf', id, fields: { heightTenthMm: null } });
  const free = state.shelvesOf(plan.spaceId).flatMap(({ id }) => state.binsIn(id));
  const used = new Set(state.codesInUse().shapes);
  const freeIds = new Set(free.map(({ id }) => id));
  /** Set up before: what a planned bin has become stays it, and is not taken for another one. */
  const meant = new Set(plan.placed.flatMap(({ binId }) => (binId && freeIds.has(binId) ? [binId] : [])));
  const space = state.get('space', plan.spaceId);
  const models = space ? modelSpace(space, state.shelvesOf(space.id)).shelves : [];
  const bays = new Map(models.map(({ shelf, bayTenthMm }) => [shelf.id, bayTenthMm]));
  plan.placed.forEach((planned, sort) => {
    const container = state.get('container', planned.containerId);
    const shelf = state.get('shelf', planned.shelfId);
    if (!container || !shelf) return;
    const box = boundingBox(container.topWidthTenthMm, container.topDepthTenthMm, planned.degrees);
    const room = {
      leftTenthMm: Math.max(0, Math.round(planned.cxTenthMm - box.width / 2 - (bays.get(shelf.id) ?? 0))),
      widthTenthMm: Math.round(box.width),
      depthTenthMm: Math.round(box.depth),
      heightTenthMm: container.heightTenthMm,
      containerId: container.id,
      sort,
      standing: {
        frontTenthMm: Math.max(0, Math.round(planned.cyTenthMm - box.depth / 2)),
        liftTenthMm: planned.liftTenthMm,
        degrees: planned.degrees,
      },
    };
    const groups = [planned.group, ...(planned.also ?? [])].flatMap((id) =>
      id === null ? [] : (groupOfPlan(plan, id) ?? []),
    );
    // The bin of the group it is called after before that of another.
    const itself = free.findIndex(({ id }) => id === planned.binId);
    const known =
      itself >= 0
        ? itself
        : groups
            .map((group) => free.findIndex((bin) => isBinOf(group, bin) && !meant.has(bin.id)))
            .find((at) => at >= 0);
    if (known !== undefined) {
      const [bin] = free.splice(known, 1);
      binOf.set(planned.key, bin!.id);
      const named = groups.length > 1 ? { name: namesTogether(groups) } : {};
      ops.push({
        op: 'change',
        entity: 'bin',
        id: bin!.id,
        fields: { ...room, shelfId: shelf.id, parentBinId: null, ...named },
      });
      return;
    }
    const code = newBinCode(shelf.code, { shapes: used });
    used.add(codeShape(code));
    const fields: BinFields = {
      ...room,
      shelfId: shelf.id,
      parentBinId: null,
      name: groups.length > 0 ? namesTogether(groups) : (planned.group ?? container.name),
      look: container.look,
      hasLid: container.hasLid,
      code,
      tags: [],
    };
    const id = newId();
    binOf.set(planned.key, id);
    ops.push({ op: 'create', entity: 'bin', id, fields });
  });
  return { ops, binOf };
}

/**
 * All that setting up a space is: see `opsForSettingUp`; what goes into no container onto its place; the things of groups that stand on a
 * shelf itself onto it; those of groups that share a bin into it. A bin of theirs that is left with nothing in it is put away. The plan
 * notes which bin each planned one has become, so that it can be said later what drifted.
 * @param lotsOf the things of each group, by its id
 */
export function opsForWholeSetUp(
  state: HouseholdState,
  plan: PlanRow,
  lotsOf: ReadonlyMap<string, readonly LotRow[]>,
  context: OpContext,
): Op[] {
  const { ops, binOf } = settingUp(state, plan, context.newId);
  const loose = new Set((plan.loose ?? []).flatMap(({ itemId, shelfId }) => (shelfId === null ? [] : [itemId])));
  const goes = new Map<string, string>();
  for (const { group, shelfId } of plan.onShelf ?? []) if (group !== null && !goes.has(group)) goes.set(group, shelfId);
  for (const { key, group, also } of plan.placed) {
    const bin = binOf.get(key);
    if (bin && group !== null && also && also.length > 0) for (const id of [group, ...also]) goes.set(id, bin);
  }
  const stay = new Set(binOf.values());
  const moved = new Set<string>();
  const moves = [...goes].flatMap(([id, nookId]) =>
    (lotsOf.get(id) ?? [])
      // What lies in a bin that the plan has for the group stays in it.
      .filter((lot) => !stay.has(lot.nookId) || stay.has(nookId))
      .filter((lot) => lot.nookId !== nookId && !loose.has(lot.itemId))
      .flatMap((lot) => {
        moved.add(lot.id);
        return opsForMoving(lot, lot.quantityThousandths, nookId, state.lotsIn(nookId), context);
      }),
  );
  const emptied = plan.groups
    .filter((group) => goes.has(planGroupId(group)))
    .flatMap(({ binIds }) => binIds ?? [])
    .filter((id) => !stay.has(id) && state.get('bin', id)?.retired === false)
    .filter((id) => state.binsIn(id).length === 0 && state.lotsIn(id).every((lot) => moved.has(lot.id)));
  const placed = plan.placed.map((planned) => ({ ...planned, binId: binOf.get(planned.key) ?? null }));
  return [
    ...ops,
    { op: 'change', entity: 'plan', id: plan.id, fields: { placed } },
    ...moves,
    ...opsForLoose(state, plan, context),
    ...emptied.map((id): Op => ({ op: 'retire', entity: 'bin', id })),
  ];
}
