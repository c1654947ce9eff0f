import {
  AS_ADULT,
  binFields,
  containerFields,
  idMaker,
  lotRow,
  sampleRows,
} from '../household/sampleHome.test-support';
import { applyCommand, HouseholdState, type PlanRow } from '../household';
import { bareContainer, rowsOfStanding } from './bareShelf';
import { opsForWholeSetUp } from './setUp';

const base = (id: string) => ({ id, seq: 1, retired: false });
const planned = (key: string, containerId: string, group: string, also: string[] | null = null) => ({
  key,
  containerId,
  shelfId: 'top',
  cxTenthMm: 3000,
  cyTenthMm: 1500,
  liftTenthMm: 0,
  degrees: 0,
  group,
  also,
  locked: false,
  buy: false,
});

/** Three bins of one thing each. */
function home(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  state.put({ entity: 'container', row: { ...base('crate'), ...containerFields() } });
  for (const [at, id] of ['rope', 'cleats', 'sails'].entries()) {
    state.put({
      entity: 'bin',
      row: { ...base(`${id} bin`), ...binFields({ name: id, code: `BL2-A${at + 2}X`, containerId: 'crate' }) },
    });
    state.put({ entity: 'lot', row: lotRow(id, { nookId: `${id} bin` }) });
  }
  return state;
}
const groups = ['rope', 'cleats', 'sails'].map((id) => ({
  id,
  name: id,
  volumeMl: 5000,
  grams: 500,
  binIds: [`${id} bin`],
}));
const planOf = (state: HouseholdState, bins: ReturnType<typeof planned>[]): PlanRow => ({
  ...base('plan'),
  spaceId: state.get('shelf', 'top')!.spaceId,
  name: 'Plan A',
  status: 'chosen',
  sort: 0,
  groups,
  shelves: [],
  ...rowsOfStanding(bins),
  loose: null,
  budgetMinor: null,
  family: null,
  moveShelves: false,
  seed: 1,
  bought: [],
});

function setUp(state: HouseholdState, bins: ReturnType<typeof planned>[]): void {
  const context = { now: '2026-11-27T10:00:00.000Z', today: '2026-11-27', newId: idMaker() };
  const lotsOf = new Map(groups.map(({ id }) => [id, state.lotsIn(`${id} bin`)]));
  const plan = state.get('plan', 'plan') ?? planOf(state, bins);
  state.put({ entity: 'plan', row: plan });
  const ops = opsForWholeSetUp(state, plan, lotsOf, context);
  const applied = applyCommand(state, { id: context.newId(), intent: 'test', occurredAt: context.now, ops }, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied));
  for (const row of applied.changed) state.put(row);
}
const names = (state: HouseholdState): string[] =>
  state
    .binsIn('top')
    .map(({ name }) => name)
    .sort();

test('groups that share a bin come into it; the bin of the other is put away', () => {
  const state = home();
  setUp(state, [planned('p0', 'crate', 'rope', ['cleats']), planned('p1', 'crate', 'sails')]);
  // Alike things become one.
  expect(state.lotsIn('rope bin').map(({ quantityThousandths }) => quantityThousandths)).toEqual([48_000]);
  expect(state.get('bin', 'cleats bin')!.retired).toBe(true);
  expect(names(state)).toEqual(expect.arrayContaining(['rope + cleats', 'sails']));
  expect(names(state)).not.toContain('cleats');
});

test('a group that stands on the shelf itself is recorded on it, and its bin is free', () => {
  const state = home();
  const { containerId } = bareContainer(3000, 4000, 2500);
  setUp(state, [planned('p0', containerId, 'sails'), planned('p1', 'crate', 'rope'), planned('p2', 'crate', 'cleats')]);
  expect(state.lotsIn('top').map(({ quantityThousandths }) => quantityThousandths)).toEqual([24_000]);
  expect(state.get('bin', 'sails bin')!.retired).toBe(true);
  expect(state.get('bin', 'rope bin')!.retired).toBe(false);
});

test('of a group in a bin and on the shelf, what lies in the bin stays in it', () => {
  const state = home();
  const { containerId } = bareContainer(3000, 4000, 2500);
  state.put({ entity: 'bin', row: { ...base('old'), ...binFields({ name: 'old', code: 'BL2-A9X' }) } });
  const lots = [lotRow('in bin', { nookId: 'sails bin' }), lotRow('in old', { nookId: 'old' })];
  const context = { now: '2026-11-27T10:00:00.000Z', today: '2026-11-27', newId: idMaker() };
  const ops = opsForWholeSetUp(
    state,
    planOf(state, [planned('p0', 'crate', 'sails'), planned('p1', containerId, 'sails')]),
    new Map([['sails', lots]]),
    context,
  );
  expect(JSON.stringify(ops)).not.toContain('in bin');
  expect(JSON.stringify(ops)).toContain('in old');
});

test('the plan notes which bin each has become; set up again, no bin is made twice', () => {
  const state = home();
  setUp(state, [planned('p0', 'crate', 'rope'), planned('p1', 'crate', 'rope'), planned('p2', 'crate', 'sails')]);
  const bins = () => state.get('plan', 'plan')!.placed.map(({ key, binId }) => [key, binId]);
  const [first, second, third] = bins();
  expect([first, third]).toEqual([
    ['p0', 'rope bin'],
    ['p2', 'sails bin'],
  ]);
  expect(state.get('bin', String(second![1]))).toMatchObject({ name: 'rope', retired: false });
  const before = names(state);
  const noted = bins();
  setUp(state, []);
  expect([names(state), bins()]).toEqual([before, noted]);
});

test('a bin with something else in it stays', () => {
  const state = home();
  state.put({ entity: 'lot', row: lotRow('other', { nookId: 'cleats bin' }) });
  const lots = state.lotsIn('cleats bin');
  const context = { now: '2026-11-27T10:00:00.000Z', today: '2026-11-27', newId: idMaker() };
  const ops = opsForWholeSetUp(
    state,
    planOf(state, [planned('p0', 'crate', 'rope', ['cleats'])]),
    new Map([['cleats', lots.filter(({ id }) => id === 'cleats')]]),
    context,
  );
  expect(ops.filter(({ op }) => op === 'retire')).toEqual([]);
});
