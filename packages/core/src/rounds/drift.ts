/** As planned against as it is: what stands, lies or says otherwise than it was set up. */
import { innerVolumeMl } from '../containers';
import { againstPurpose } from '../handling';
import type { BinRow, HouseholdState } from '../household';
import { labelledIn } from '../labels';
import { groupOfPlan } from '../plan';
import { nooksWithin, placePath } from '../spaces';
import { bulkOfNook, setCount } from '../stock';

/**
 * One place that drifted.
 * - `moved`: a bin stands on another shelf than the plan has for its group
 * - `gone`: of a group that is planned no bin is there any more
 * - `purpose`: things lie on a shelf that is for something else
 * - `label`: what its label says is no longer so
 * - `full`: by their known volumes its things are more than it holds
 * - `empty`: a bin of the chosen plan has nothing in it
 * - `set`: a set is begun and not whole, or lacks what belongs to it
 */
export interface Drift {
  kind: 'moved' | 'gone' | 'purpose' | 'label' | 'full' | 'empty' | 'set';
  spaceId: string;
  /** The place; of what is gone, the space. */
  nookId: string;
  /** What it is about: a bin, things, or a group, by name. */
  names: string[];
  /** Of what was moved: where the plan has it. */
  toShelfId: string | null;
  planId: string | null;
  /** The planned bin's key. */
  key: string | null;
  /** Of a set: the thing. */
  itemId: string | null;
}

/** Every place of the home that drifted, space by space. */
export function driftOf(state: HouseholdState): Drift[] {
  const labelled = spacesWithLabels(state);
  const sets = brokenSets(state);
  return state.all('space').flatMap((space) => [
    ...againstPlan(state, space.id),
    ...emptyBins(state, space.id),
    ...sets.filter(({ spaceId }) => spaceId === space.id),
    ...state.shelvesOf(space.id).flatMap((shelf): Drift[] => {
      const against = againstPurpose(state, shelf);
      return against.length === 0
        ? []
        : [drift('purpose', space.id, shelf.id, [...new Set(against.map(({ item }) => item.name))])];
    }),
    ...(labelled.has(space.id) ? labelledIn(state, space.id) : []).flatMap(({ nookId, words, since }): Drift[] =>
      since === 'words' || since === 'contents' ? [drift('label', space.id, nookId, [words])] : [],
    ),
    ...tooFull(state, space.id),
  ]);
}

/** Where labels were printed: of the others nothing is looked up. */
const spacesWithLabels = (state: HouseholdState): ReadonlySet<string> =>
  new Set(
    state.all('label').flatMap(({ nookId }): string[] => {
      const shelf = state.get('shelf', state.get('bin', nookId)?.shelfId ?? nookId);
      return shelf ? [shelf.spaceId] : [];
    }),
  );

const drift = (kind: Drift['kind'], spaceId: string, nookId: string, names: string[]): Drift => ({
  kind,
  spaceId,
  nookId,
  names,
  toShelfId: null,
  planId: null,
  key: null,
  itemId: null,
});

/** Groups of the chosen plan that have one planned bin and one bin: that it stands where it was planned. */
function againstPlan(state: HouseholdState, spaceId: string): Drift[] {
  const plan = state.plansOf(spaceId).find(({ status }) => status === 'chosen');
  if (!plan) return [];
  return plan.placed.flatMap((planned): Drift[] => {
    const group = planned.group === null ? null : groupOfPlan(plan, planned.group);
    if (!group?.binIds || group.binIds.length === 0) return [];
    const bins = group.binIds.flatMap((id): BinRow[] => {
      const bin = state.get('bin', id);
      return bin && !bin.retired ? [bin] : [];
    });
    if (bins.length === 0)
      return [{ ...drift('gone', spaceId, spaceId, [group.name]), planId: plan.id, key: planned.key }];
    const places = plan.placed.filter(({ group: id }) => id === planned.group);
    const [bin] = bins;
    if (bins.length > 1 || places.length > 1 || !bin || bin.shelfId === planned.shelfId) return [];
    return [
      {
        ...drift('moved', spaceId, bin.id, [bin.name]),
        toShelfId: planned.shelfId,
        planId: plan.id,
        key: planned.key,
      },
    ];
  });
}

/** Bins of the chosen plan in which nothing is, nor in the bins in them. */
function emptyBins(state: HouseholdState, spaceId: string): Drift[] {
  const plan = state.plansOf(spaceId).find(({ status }) => status === 'chosen');
  const ids = new Set(plan?.groups.flatMap(({ binIds }) => binIds ?? []));
  return [...ids].flatMap((id): Drift[] => {
    const bin = state.get('bin', id);
    if (!bin || bin.retired || !placeIsIn(state, bin, spaceId)) return [];
    const holds = nooksWithin(state, id).some((nookId) => state.lotsIn(nookId).length > 0);
    return holds ? [] : [{ ...drift('empty', spaceId, id, [bin.name]), planId: plan?.id ?? null }];
  });
}
const placeIsIn = (state: HouseholdState, bin: BinRow, spaceId: string): boolean =>
  state.get('shelf', bin.shelfId)?.spaceId === spaceId;

/** Sets that are not whole, at the place where most of their pieces are. */
function brokenSets(state: HouseholdState): Drift[] {
  return state.all('item').flatMap((item): Drift[] => {
    const count = setCount(state, item);
    if (!count || count.there === 0) return [];
    const partnerMissing = count.with !== null && count.with.there < Math.floor(count.there / count.pieces);
    if (count.missing === 0 && !partnerMissing) return [];
    const [most] = [...state.lotsOf(item.id)].sort(
      (a, b) => b.quantityThousandths - a.quantityThousandths || (a.id < b.id ? -1 : 1),
    );
    const spaceId = most ? placePath(state, most.nookId)?.space?.id : undefined;
    return most && spaceId ? [{ ...drift('set', spaceId, most.nookId, [item.name]), itemId: item.id }] : [];
  });
}

function tooFull(state: HouseholdState, spaceId: string): Drift[] {
  return state.shelvesOf(spaceId).flatMap(({ id }) =>
    state.binsIn(id).flatMap((bin): Drift[] => {
      const container = bin.containerId ? state.get('container', bin.containerId) : undefined;
      if (!container) return [];
      const { volumeMl, volumeKnown } = bulkOfNook(state, bin.id);
      return volumeKnown && volumeMl > innerVolumeMl(container) ? [drift('full', spaceId, bin.id, [bin.name])] : [];
    }),
  );
}
