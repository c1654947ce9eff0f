/** What drifted is put right, or taken over as what is meant now. */
import { againstPurpose } from '../handling';
import type { HouseholdState, LotRow, Op, PlanRow } from '../household';
import { labelledIn, opsForPrinting } from '../labels';
import { groupOfPlan, planGroupId } from '../plan';
import { wordsOfGroup } from '../sort';
import { nooksWithin, opsForMovingBin, opsForRetiringNook } from '../spaces';
import { opsForMoving, type OpContext } from '../stock';
import { steadyGrouping, straysIn, type Drift, type Stray } from './drift';
import { homeElsewhere } from './steps';

/** A shelf names at most so many things, of so many letters. */
const MOST_TAKES = 20;
const MOST_LETTERS = 60;

/**
 * Puts right what drifted: a moved bin goes back to where the plan has it, things on a shelf that is for others go to where most of
 * their kind is, a bin with nothing in it is put away.
 * @returns empty where one step cannot do it: there is nowhere to go, or it takes paper, buying or a decision
 */
export function opsForPuttingRight(state: HouseholdState, drift: Drift, context: OpContext): Op[] {
  const { kind, nookId, toShelfId } = drift;
  if (kind === 'moved') {
    const bin = state.get('bin', nookId);
    return bin && toShelfId !== null ? opsForMovingBin(state, bin, toShelfId) : [];
  }
  if (kind === 'stray')
    return straysHere(state, drift).flatMap(({ lot, toBinId }) =>
      opsForMoving(lot, lot.quantityThousandths, toBinId, state.lotsIn(toBinId), context),
    );
  if (kind === 'purpose')
    return strayHomes(state, nookId).flatMap(({ lot, toNookId }) =>
      opsForMoving(lot, lot.quantityThousandths, toNookId, state.lotsIn(toNookId), context),
    );
  if (kind === 'empty') {
    const away = opsForRetiringNook(state, nookId, null);
    return away === null ? [] : [...opsWithoutBin(state, drift), ...away];
  }
  return [];
}

/** What of a bin has its place in another one of the plan. */
export function straysHere(state: HouseholdState, { spaceId, nookId }: Pick<Drift, 'spaceId' | 'nookId'>): Stray[] {
  const space = state.get('space', spaceId);
  return space ? straysIn(state, space).filter(({ binId }) => binId === nookId) : [];
}

/**
 * These things are of the group of the bin in which they lie. Empty: nobody knows which one that is, or more of them lie where their group
 * is: a thing is of one group.
 */
function opsForSameGroup(state: HouseholdState, drift: Drift): Op[] {
  const space = state.get('space', drift.spaceId);
  const by = space ? steadyGrouping(space) : null;
  const plan = state.plansOf(drift.spaceId).find(({ status }) => status === 'chosen');
  const id = plan?.placed.find(({ binId }) => binId === drift.nookId)?.group;
  const group = plan && id ? groupOfPlan(plan, id) : null;
  if (by === null || !group) return [];
  const strays = straysHere(state, drift);
  const itemIds = [...new Set(strays.map(({ lot }) => lot.itemId))];
  const lying = new Set(strays.map(({ lot }) => lot.id));
  const planned = new Set(plan?.placed.flatMap(({ binId }) => binId ?? []).flatMap((one) => nooksWithin(state, one)));
  const alsoElsewhere = (itemId: string): boolean =>
    state.lotsOf(itemId).some((lot) => lot.quantityThousandths > 0 && !lying.has(lot.id) && planned.has(lot.nookId));
  if (itemIds.some(alsoElsewhere)) return [];
  return itemIds.flatMap((itemId): Op[] => {
    const item = state.get('item', itemId);
    if (!item) return [];
    const traits = item.traits ?? { weightGrams: null, volumeMl: null, textile: null, groups: {} };
    const groups = { ...traits.groups, [by]: wordsOfGroup(planGroupId(group)) };
    return [{ op: 'change', entity: 'item', id: itemId, fields: { traits: { ...traits, groups } } }];
  });
}

/** Things on a shelf that is for others, with the place where most of their kind is and nothing speaks against them. */
export function strayHomes(state: HouseholdState, shelfId: string): { lot: LotRow; toNookId: string }[] {
  const shelf = state.get('shelf', shelfId);
  if (!shelf) return [];
  return againstPurpose(state, shelf).flatMap(({ lot }) => {
    const toNookId = homeElsewhere(state, { nookIds: [shelfId] }, lot);
    return toNookId === null || !isMeantThere(state, lot, toNookId) ? [] : [{ lot, toNookId }];
  });
}

/** There it would not be against a shelf's purpose as well: of what lies there already nothing of it is. */
function isMeantThere(state: HouseholdState, lot: LotRow, nookId: string): boolean {
  const nook = state.nook(nookId);
  const shelf = state.get('shelf', nook?.kind === 'bin' ? nook.row.shelfId : nookId);
  return !shelf || !againstPurpose(state, shelf).some(({ item }) => item.id === lot.itemId);
}

/**
 * Takes over what is: the plan has the bin where it stands, without the bin or group that is gone, with the bin that may be empty; things
 * are of the group of their bin; the shelf is for these things too; the label was written anew; what was a set is counted singly. Empty:
 * there is nothing to take over.
 */
export function opsForTakingOver(state: HouseholdState, drift: Drift, context: OpContext): Op[] {
  const { kind, spaceId, nookId, key } = drift;
  const plan = planOf(state, drift);
  switch (kind) {
    case 'moved': {
      const bin = state.get('bin', nookId);
      if (!bin || !plan) return [];
      const placed = plan.placed.map((one) => (one.key === key ? { ...one, shelfId: bin.shelfId } : one));
      return [{ op: 'change', entity: 'plan', id: plan.id, fields: { placed } }];
    }
    case 'gone': {
      const planned = plan?.placed.find((one) => one.key === key);
      if (!plan || !planned || (!planned.binId && planned.group === null)) return [];
      const placed = plan.placed.filter((one) => (planned.binId ? one.key !== key : one.group !== planned.group));
      return [{ op: 'change', entity: 'plan', id: plan.id, fields: { placed } }];
    }
    case 'stray':
      return opsForSameGroup(state, drift);
    case 'empty':
      return opsWithoutBin(state, drift);
    case 'purpose':
      return opsForAlsoFor(state, nookId);
    case 'label': {
      const labelled = labelledIn(state, spaceId).filter((one) => one.nookId === nookId);
      const withContents = state.all('label').some((one) => one.nookId === nookId && one.contents !== null);
      return opsForPrinting(state, labelled, withContents, context.today, context.newId);
    }
    case 'set':
      return drift.itemId === null ? [] : [{ op: 'change', entity: 'item', id: drift.itemId, fields: { set: null } }];
    case 'full':
      return [];
  }
}

const planOf = (state: HouseholdState, { planId }: Drift): PlanRow | undefined =>
  planId === null ? undefined : state.get('plan', planId);

/** The plan no longer says that a bin is one of a group's. */
function opsWithoutBin(state: HouseholdState, drift: Drift): Op[] {
  const plan = planOf(state, drift);
  if (!plan) return [];
  const within = new Set(nooksWithin(state, drift.nookId));
  const groups = plan.groups.map((group) =>
    group.binIds ? { ...group, binIds: group.binIds.filter((id) => !within.has(id)) } : group,
  );
  const placed = plan.placed.map((one) => (one.binId && within.has(one.binId) ? { ...one, binId: null } : one));
  return [{ op: 'change', entity: 'plan', id: plan.id, fields: { groups, placed } }];
}

/** A shelf is for what lies on it as well. Empty: its list of things is full. */
function opsForAlsoFor(state: HouseholdState, shelfId: string): Op[] {
  const shelf = state.get('shelf', shelfId);
  if (!shelf?.purpose) return [];
  const names = againstPurpose(state, shelf).map(({ item }) => item.name.slice(0, MOST_LETTERS).trim());
  const takes = [...new Set([...shelf.purpose.takes, ...names])];
  if (takes.length > MOST_TAKES) return [];
  return [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { purpose: { ...shelf.purpose, takes } } }];
}
