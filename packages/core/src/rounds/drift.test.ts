import { HouseholdState, type ItemRow, type PlanRow, type TaggedRow } from '../household';
import { BARE_SPACE_BUILD } from '../measure';
import {
  AS_ADULT,
  binFields,
  containerFields,
  itemFields,
  lotRow,
  sampleRows,
  shelfFields,
} from '../household/sampleHome.test-support';
import { applyCommand } from '../household/applyCommand';
import { driftOf } from './drift';
import { opsForPuttingRight, opsForTakingOver } from './driftOps';

const base = (id: string) => ({ id, seq: 1, retired: false });

/** The sample home with a second shelf, and a chosen plan that has the bin `rope` on it. */
function home(extra: readonly TaggedRow[] = [], shelfId = 'top'): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  const { spaceId } = state.get('shelf', 'top')!;
  state.put({
    entity: 'shelf',
    row: { ...base('low'), ...shelfFields({ spaceId, name: 'low', code: 'BL2-B4X', sort: 5 }) },
  });
  state.put({ entity: 'bin', row: { ...base('rope'), ...binFields({ name: 'rope', code: 'BL2-A9X', shelfId }) } });
  state.put({ entity: 'lot', row: lotRow('ropes', { nookId: 'rope', quantityThousandths: 1000 }) });
  const plan: PlanRow = {
    ...base('plan'),
    spaceId,
    name: 'Plan A',
    status: 'chosen',
    sort: 0,
    groups: [{ id: 'own:rope', name: 'rope', volumeMl: 5000, grams: 500, binIds: ['rope'] }],
    shelves: [],
    placed: [
      {
        key: 'p0',
        containerId: 'crate',
        shelfId: 'low',
        cxTenthMm: 1000,
        cyTenthMm: 1000,
        liftTenthMm: 0,
        degrees: 0,
        group: 'own:rope',
        locked: false,
        buy: false,
      },
    ],
    budgetMinor: null,
    family: null,
    moveShelves: false,
    seed: 1,
    bought: [],
  };
  state.put({ entity: 'plan', row: plan });
  for (const row of extra) state.put(row);
  return state;
}
const run = (state: HouseholdState, ops: ReturnType<typeof opsForPuttingRight>): void => {
  const command = { id: 'c', intent: 'test', occurredAt: '2026-11-27T10:00:00.000Z', ops };
  const applied = applyCommand(state, command, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied));
  for (const row of applied.changed) state.put(row);
};

let serial = 0;
const context = { newId: () => `n${serial++}`, now: '2026-11-27T10:00:00.000Z', today: '2026-11-27' };
const only = (state: HouseholdState, kind: string) => driftOf(state).filter((one) => one.kind === kind);

it('a bin on another shelf than planned is put right, or the plan follows it', () => {
  for (const way of [opsForPuttingRight, opsForTakingOver]) {
    const state = home();
    const [moved, ...others] = driftOf(state);
    expect(moved).toMatchObject({ kind: 'moved', nookId: 'rope', names: ['rope'], toShelfId: 'low', planId: 'plan' });
    expect(others).toEqual([]);
    run(state, way(state, moved!, context));
    expect(driftOf(state)).toEqual([]);
    expect(state.get('bin', 'rope')!.shelfId).toBe(way === opsForPuttingRight ? 'low' : 'top');
  }
});
it('where it was planned nothing drifted; a plan that was not chosen says nothing', () => {
  expect(driftOf(home([], 'low'))).toEqual([]);
  const state = home();
  state.put({ entity: 'plan', row: { ...state.get('plan', 'plan')!, status: 'draft' } });
  expect(driftOf(state)).toEqual([]);
});
it('a planned group whose bin is gone', () => {
  const state = home();
  state.put({ entity: 'bin', row: { ...state.get('bin', 'rope')!, retired: true } });
  expect(driftOf(state)).toMatchObject([{ kind: 'gone', names: ['rope'] }]);
});
it('a shelf that is for something else, a label that says otherwise, a bin that holds less than lies in it', () => {
  const state = home([], 'low');
  const top = state.get('shelf', 'top')!;
  state.put({ entity: 'shelf', row: { ...top, purpose: { words: 'guests', takes: ['guest'] } } });
  expect(driftOf(state).map(({ kind, nookId }) => [kind, nookId])).toContainEqual(['purpose', 'top']);
  state.put({
    entity: 'label',
    row: { ...base('l'), nookId: 'rope', words: 'Oars', contents: null, printedOn: '2026-01-01' },
  });
  expect(driftOf(state).map(({ kind, nookId }) => [kind, nookId])).toContainEqual(['label', 'rope']);
  const traits = { weightGrams: 100, volumeMl: 90_000, textile: null, groups: {} };
  state.put({ entity: 'lot', row: lotRow('ropes', { nookId: 'rope', quantityThousandths: 0 }) });
  state.put({ entity: 'container', row: { ...base('crate'), ...containerFields({ innerVolumeMl: 20_000 }) } });
  state.put({ entity: 'item', row: { ...base('sail'), ...itemFields({ name: 'Sail', traits }) } });
  state.put({ entity: 'bin', row: { ...state.get('bin', 'rope')!, containerId: 'crate' } });
  state.put({ entity: 'lot', row: lotRow('sail', { itemId: 'sail', nookId: 'rope', quantityThousandths: 1000 }) });
  expect(driftOf(state).map(({ kind, nookId }) => [kind, nookId])).toContainEqual(['full', 'rope']);
});

it('a bin of the plan that has nothing in it, and a set that is begun and not whole', () => {
  const state = home([], 'low');
  state.put({ entity: 'lot', row: lotRow('ropes', { nookId: 'rope', quantityThousandths: 0 }) });
  expect(driftOf(state).map(({ kind, nookId }) => [kind, nookId])).toEqual([['empty', 'rope']]);
  state.put({
    entity: 'item',
    row: { ...base('napkin'), ...itemFields({ name: 'Napkin', set: { pieces: 12, withItemId: null } }) },
  });
  const napkins = (count: number): void =>
    state.put({
      entity: 'lot',
      row: lotRow('n', { itemId: 'napkin', nookId: 'rope', quantityThousandths: count * 1000 }),
    });
  napkins(23);
  expect(driftOf(state).map(({ kind, names }) => [kind, names])).toEqual([['set', ['Napkin']]]);
  napkins(24);
  expect(driftOf(state)).toEqual([]);
});

it('a group whose bin is gone is taken out of the plan', () => {
  const state = home();
  state.put({ entity: 'bin', row: { ...state.get('bin', 'rope')!, retired: true } });
  expect(opsForPuttingRight(state, driftOf(state)[0]!, context)).toEqual([]);
  run(state, opsForTakingOver(state, driftOf(state)[0]!, context));
  expect(driftOf(state)).toEqual([]);
});

it('an empty bin is put away, or may be empty; either way the plan says so', () => {
  for (const way of [opsForPuttingRight, opsForTakingOver]) {
    const state = home([], 'low');
    state.put({ entity: 'lot', row: lotRow('ropes', { nookId: 'rope', quantityThousandths: 0 }) });
    run(state, way(state, driftOf(state)[0]!, context));
    expect(driftOf(state)).toEqual([]);
    expect(state.get('bin', 'rope')!.retired).toBe(way === opsForPuttingRight);
  }
});

it('things on a shelf that is for others go to where most of their kind is, or the shelf is for them too', () => {
  for (const way of [opsForPuttingRight, opsForTakingOver]) {
    const state = home([], 'low');
    state.put({ entity: 'item', row: { ...base('sail'), ...itemFields({ name: 'Sail' }) } });
    const sails = (id: string, nookId: string, count: number): void =>
      state.put({ entity: 'lot', row: lotRow(id, { itemId: 'sail', nookId, quantityThousandths: count * 1000 }) });
    sails('here', 'low', 1);
    sails('there', 'top', 3);
    const low = state.get('shelf', 'low')!;
    state.put({ entity: 'shelf', row: { ...low, purpose: { words: 'ropes', takes: ['rope', 'drill'] } } });
    const [found] = only(state, 'purpose');
    expect(found).toMatchObject({ nookId: 'low' });
    expect(found!.names).toContain('Sail');
    run(state, way(state, found!, context));
    expect(only(state, 'purpose').flatMap(({ names }) => names)).not.toContain('Sail');
    const amount = (id: string) => state.get('lot', id)!.quantityThousandths;
    expect([amount('here'), amount('there')]).toEqual(way === opsForPuttingRight ? [0, 4000] : [1000, 3000]);
  }
});

it('a label written anew by hand says what is so now; a set that is none any more is counted singly', () => {
  const state = home([], 'low');
  state.put({
    entity: 'label',
    row: { ...base('l'), nookId: 'rope', words: 'Oars', contents: null, printedOn: '2026-01-01' },
  });
  run(state, opsForTakingOver(state, only(state, 'label')[0]!, context));
  expect(only(state, 'label')).toEqual([]);
  expect(state.get('label', 'l')).toMatchObject({ words: 'Rope', contents: null, printedOn: '2026-11-27' });
  state.put({
    entity: 'item',
    row: { ...base('napkin'), ...itemFields({ name: 'Napkin', set: { pieces: 12, withItemId: null } }) },
  });
  state.put({ entity: 'lot', row: lotRow('n', { itemId: 'napkin', nookId: 'rope', quantityThousandths: 5000 }) });
  run(state, opsForTakingOver(state, only(state, 'set')[0]!, context));
  expect(only(state, 'set')).toEqual([]);
});

describe('bins that a plan has become', () => {
  const placed = (key: string, group: string, shelfId: string, binId: string) => ({
    ...home().get('plan', 'plan')!.placed[0]!,
    key,
    group,
    shelfId,
    binId,
  });
  /** Ropes in two bins, sails in one; grouped by kind. */
  const setUp = (): HouseholdState => {
    const state = home([], 'low');
    for (const id of ['rope2', 'sails'])
      state.put({
        entity: 'bin',
        row: { ...base(id), ...binFields({ name: id, code: `BL2-A${id.length}X`, shelfId: 'low' }) },
      });
    const plan = state.get('plan', 'plan')!;
    const group = (name: string) => ({ id: `own:${name}`, name, volumeMl: 5000, grams: 500, binIds: [] });
    state.put({
      entity: 'plan',
      row: {
        ...plan,
        groups: [group('rope'), group('sail')],
        placed: [
          placed('p0', 'own:rope', 'low', 'rope'),
          placed('p1', 'own:rope', 'low', 'rope2'),
          placed('p2', 'own:sail', 'low', 'sails'),
        ],
      },
    });
    const space = state.get('space', plan.spaceId)!;
    state.put({ entity: 'space', row: { ...space, build: { ...BARE_SPACE_BUILD, school: 'kind' } } });
    for (const kind of ['rope', 'sail'])
      state.put({ entity: 'item', row: { ...base(kind), ...itemFields({ name: kind, category: kind }) } });
    const put = (id: string, itemId: string, nookId: string): void =>
      state.put({ entity: 'lot', row: lotRow(id, { itemId, nookId, quantityThousandths: 2000 }) });
    put('ropes', 'rope', 'rope');
    put('more ropes', 'rope', 'rope2');
    put('sails lot', 'sail', 'sails');
    return state;
  };
  it('of several bins of one group the one that was moved is named, and the one that is gone', () => {
    const state = setUp();
    expect(driftOf(state)).toEqual([]);
    state.put({ entity: 'bin', row: { ...state.get('bin', 'rope2')!, shelfId: 'top' } });
    expect(driftOf(state)).toMatchObject([{ kind: 'moved', nookId: 'rope2', toShelfId: 'low', key: 'p1' }]);
    state.put({ entity: 'bin', row: { ...state.get('bin', 'rope2')!, retired: true } });
    const [gone] = driftOf(state);
    expect(gone).toMatchObject({ kind: 'gone', key: 'p1', names: ['rope'] });
    run(state, opsForTakingOver(state, gone!, context));
    expect(state.get('plan', 'plan')!.placed.map(({ key }) => key)).toEqual(['p0', 'p2']);
    expect(driftOf(state)).toEqual([]);
  });
  it('what lies in the bin of another group goes to the bin of its own', () => {
    const state = setUp();
    state.put({ entity: 'lot', row: lotRow('strayed', { itemId: 'sail', nookId: 'rope', quantityThousandths: 1000 }) });
    const [stray, ...others] = driftOf(state);
    expect(stray).toMatchObject({ kind: 'stray', nookId: 'rope', names: ['sail'] });
    expect(others).toEqual([]);
    // Others of it lie where their group is: it cannot be of both.
    expect(opsForTakingOver(state, stray!, context)).toEqual([]);
    run(state, opsForPuttingRight(state, stray!, context));
    expect(state.lotsIn('sails').reduce((sum, lot) => sum + lot.quantityThousandths, 0)).toBe(3000);
    expect(driftOf(state)).toEqual([]);
  });
  it('or all of it belongs there from now on; where it is filled up from its reserve it has not strayed', () => {
    const state = setUp();
    state.put({ entity: 'item', row: { ...base('hook'), ...itemFields({ name: 'Sail hook', category: 'sail' }) } });
    state.put({ entity: 'lot', row: lotRow('hooks', { itemId: 'hook', nookId: 'rope', quantityThousandths: 1000 }) });
    const [stray] = driftOf(state);
    expect(stray).toMatchObject({ kind: 'stray', names: ['Sail hook'] });
    run(state, opsForTakingOver(state, stray!, context));
    expect(state.get('item', 'hook')!.traits!.groups.kind).toBe('rope');
    expect(driftOf(state)).toEqual([]);
    const front = { nookId: 'rope', fullThousandths: 2000, leastThousandths: 0, refill: null, decanted: false };
    state.put({ entity: 'item', row: { ...state.get('item', 'hook')!, traits: null, front } as ItemRow });
    expect(driftOf(state)).toEqual([]);
  });
  it('things that are used more seldom than before have not strayed by that', () => {
    const state = setUp();
    const space = state.get('space', state.get('plan', 'plan')!.spaceId)!;
    state.put({ entity: 'space', row: { ...space, build: { ...space.build!, school: 'frequency' } } });
    expect(driftOf(state)).toEqual([]);
  });
});
