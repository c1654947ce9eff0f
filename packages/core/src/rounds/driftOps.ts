/** What drifted is put right, or taken over as what is meant now. */
import { againstPurpose } from '../handling';
import type { HouseholdState, LotRow, Op, PlanRow } from '../household';
import { labelledIn, opsForPrinting } from '../labels';
import { nooksWithin, opsForMovingBin, opsForRetiringNook } from '../spaces';
import { opsForMoving, type OpContext } from '../stock';
import type { Drift } from './drift';
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
 * Takes over what is: the plan has the bin where it stands, without the group that is gone, with the bin that may be empty; the shelf
 * is for these things too; the label was written anew; what was a set is counted singly. Empty: there is nothing to take over.
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
      const group = plan?.placed.find((one) => one.key === key)?.group;
      if (!plan || group === undefined || group === null) return [];
      const placed = plan.placed.filter((one) => one.group !== group);
      return [{ op: 'change', entity: 'plan', id: plan.id, fields: { placed } }];
    }
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
  return [{ op: 'change', entity: 'plan', id: plan.id, fields: { groups } }];
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
