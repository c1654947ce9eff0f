/** As planned against as it is: what stands, lies or says otherwise than it was set up. */
import { innerVolumeMl } from '../containers';
import { againstPurpose } from '../handling';
import type { BinRow, GroupBy, HouseholdState, LotRow, PlannedBin, PlanRow, SpaceRow } from '../household';
import { labelledIn } from '../labels';
import { groupOfPlan } from '../plan';
import { groupId, groupOf } from '../sort';
import { nooksWithin, placePath } from '../spaces';
import { bulkOfNook, setCount } from '../stock';

/**
 * One place that drifted.
 * - `moved`: a bin stands on another shelf than the plan has for its group
 * - `gone`: a bin that was set up, or of a group that is planned every bin, is there no more
 * - `stray`: things lie in a bin of the plan that has them in another one
 * - `purpose`: things lie on a shelf that is for something else
 * - `label`: what its label says is no longer so
 * - `full`: by their known volumes its things are more than it holds
 * - `empty`: a bin of the chosen plan has nothing in it
 * - `set`: a set is begun and not whole, or lacks what belongs to it
 */
export interface Drift {
  kind: 'moved' | 'gone' | 'stray' | 'purpose' | 'label' | 'full' | 'empty' | 'set';
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
    ...strays(state, space),
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

const chosenPlan = (state: HouseholdState, spaceId: string): PlanRow | null =>
  state.plansOf(spaceId).find(({ status }) => status === 'chosen') ?? null;

/** A bin that is there. */
export function livingBin(state: HouseholdState, id: string | null | undefined): BinRow | null {
  const bin = id ? state.get('bin', id) : undefined;
  return bin && !bin.retired ? bin : null;
}

/**
 * Of bins that were set up, that each stands on the shelf that the plan has for it. Of a plan that is older than that is known: groups with
 * one planned bin and one bin.
 */
function againstPlan(state: HouseholdState, spaceId: string): Drift[] {
  const plan = chosenPlan(state, spaceId);
  if (!plan) return [];
  const moved = (bin: BinRow, planned: PlannedBin): Drift => ({
    ...drift('moved', spaceId, bin.id, [bin.name]),
    toShelfId: planned.shelfId,
    planId: plan.id,
    key: planned.key,
  });
  return plan.placed.flatMap((planned): Drift[] => {
    const group = planned.group === null ? null : groupOfPlan(plan, planned.group);
    if (planned.binId) {
      const bin = livingBin(state, planned.binId);
      if (bin) return bin.shelfId === planned.shelfId ? [] : [moved(bin, planned)];
      const name = group?.name ?? state.get('bin', planned.binId)?.name ?? '';
      return [{ ...drift('gone', spaceId, spaceId, [name]), planId: plan.id, key: planned.key }];
    }
    if (!group?.binIds || group.binIds.length === 0) return [];
    const bins = group.binIds.flatMap((id) => livingBin(state, id) ?? []);
    if (bins.length === 0)
      return [{ ...drift('gone', spaceId, spaceId, [group.name]), planId: plan.id, key: planned.key }];
    const places = plan.placed.filter(({ group: id }) => id === planned.group);
    const [bin] = bins;
    if (bins.length > 1 || places.length > 1 || !bin || bin.shelfId === planned.shelfId) return [];
    return [moved(bin, planned)];
  });
}

/** Ways of grouping that say of a thing what it is with, wherever it lies and whenever one looks. */
const STEADY: ReadonlySet<GroupBy> = new Set(['kind', 'season', 'colour', 'person', 'alphabet']);

/** The way in which a space's things are grouped; null: by where they lie, or by how often they are used, which strays by itself. */
export function steadyGrouping(space: Pick<SpaceRow, 'build'>): GroupBy | null {
  const by = space.build?.school ?? null;
  return by !== null && STEADY.has(by) ? by : null;
}

/** A thing in a bin of the plan that has its group in another bin. */
export interface Stray {
  lot: LotRow;
  binId: string;
  /** Where the plan has the group that it falls into. */
  toBinId: string;
}

/** Things of a space that was set up which lie in a bin of another group than theirs, where the plan has a bin for theirs. */
export function straysIn(state: HouseholdState, space: SpaceRow): Stray[] {
  const plan = chosenPlan(state, space.id);
  const by = steadyGrouping(space);
  if (!plan || by === null) return [];
  const bins = plan.placed.flatMap((planned) => {
    const bin = livingBin(state, planned.binId);
    return bin && planned.group !== null ? [{ bin, groups: [planned.group, ...(planned.also ?? [])] }] : [];
  });
  return bins.flatMap(({ bin, groups }) =>
    nooksWithin(state, bin.id)
      .flatMap((id) => state.lotsIn(id))
      .filter(({ quantityThousandths }) => quantityThousandths > 0)
      .flatMap((lot): Stray[] => {
        const item = state.get('item', lot.itemId);
        // How often it is used says nothing here, so that the day does not matter.
        const own = item ? groupId(groupOf(state, item, lot, by, ANY_DAY)) : null;
        // Where it is filled up from its reserve is a place of its own.
        if (own === null || groups.includes(own) || item?.front?.nookId === lot.nookId) return [];
        const to = bins.find((other) => other.groups.includes(own));
        return to ? [{ lot, binId: bin.id, toBinId: to.bin.id }] : [];
      }),
  );
}
const ANY_DAY = '2000-01-01';

function strays(state: HouseholdState, space: SpaceRow): Drift[] {
  const byBin = new Map<string, string[]>();
  for (const { lot, binId } of straysIn(state, space)) {
    const name = state.get('item', lot.itemId)?.name ?? '';
    byBin.set(binId, [...new Set([...(byBin.get(binId) ?? []), name])]);
  }
  return [...byBin].map(([binId, names]) => drift('stray', space.id, binId, names));
}

/** Bins of the chosen plan in which nothing is, nor in the bins in them. */
function emptyBins(state: HouseholdState, spaceId: string): Drift[] {
  const plan = chosenPlan(state, spaceId);
  const ids = new Set(plan ? binsOfPlan(plan) : []);
  return [...ids].flatMap((id): Drift[] => {
    const bin = state.get('bin', id);
    if (!bin || bin.retired || !placeIsIn(state, bin, spaceId)) return [];
    const holds = nooksWithin(state, id).some((nookId) => state.lotsIn(nookId).length > 0);
    return holds ? [] : [{ ...drift('empty', spaceId, id, [bin.name]), planId: plan?.id ?? null }];
  });
}
/** The bins that a plan has for its groups: those it has become, and those that were there before. */
export const binsOfPlan = ({ placed, groups }: Pick<PlanRow, 'placed' | 'groups'>): string[] => [
  ...placed.flatMap(({ binId }) => binId ?? []),
  ...groups.flatMap(({ binIds }) => binIds ?? []),
];

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
