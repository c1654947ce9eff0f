import { applyCommand, HouseholdState, type KitRow, type LotRow, type Op } from '../household';
import {
  AS_ADULT,
  binFields,
  idMaker,
  itemFields,
  lotRow,
  runOps,
  sampleRows,
} from '../household/sampleHome.test-support';
import { opsForGoingOut } from '../lending';
import { PUBLISHED_GUIDE } from '../shelflife';
import { kitNow, opsForFilling, opsForSwapping, partsOfKit } from './kits';

const TODAY = '2026-11-27';
const base = (id: string) => ({ id, seq: 1, retired: false });
const kit = (more: Partial<KitRow> = {}): KitRow => ({
  ...base('van'),
  name: 'Van first-aid kit',
  nookId: 'bag',
  parts: [],
  kitIds: [],
  lookedOn: null,
  lookedById: null,
  ...more,
});
const part = (itemId: string, count: number, alsoIds: string[] = []) => ({
  itemId,
  alsoIds,
  thousandths: count * 1000,
  soonDays: null,
});

function home(lots: LotRow[], kits: KitRow[] = [kit()]): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  for (const id of ['bag', 'cupboard'])
    state.put({ entity: 'bin', row: { ...binFields({ name: id, code: `XX${id.length}-1` }), ...base(id) } });
  for (const id of ['dressing', 'plaster', 'roll'])
    state.put({ entity: 'item', row: { ...itemFields({ name: id }), ...base(id) } });
  for (const row of lots) state.put({ entity: 'lot', row });
  for (const row of kits) state.put({ entity: 'kit', row });
  return state;
}
const lot = (id: string, itemId: string, nookId: string, count: number, expiresOn: string | null = null): LotRow =>
  lotRow(id, { itemId, nookId, quantityThousandths: count * 1000, bookThousandths: count * 1000, expiresOn });
const context = { newId: idMaker(), now: '2026-11-27T10:00:00.000Z', today: TODAY };
const run = (state: HouseholdState, ops: Op[]): void => runOps(state, ops, context);
const there = (state: HouseholdState, itemId: string, nookId: string): number =>
  state
    .lotsOf(itemId)
    .filter((one) => one.nookId === nookId)
    .reduce((sum, one) => sum + one.quantityThousandths / 1000, 0);

it('three dressings needed, two there, four spare ones: one is missing and one is taken from there', () => {
  const van = kit({ parts: [part('dressing', 3)] });
  const state = home([lot('a', 'dressing', 'bag', 2), lot('b', 'dressing', 'cupboard', 4)], [van]);
  const now = kitNow(state, van, TODAY, PUBLISHED_GUIDE);
  expect(now).toMatchObject({ missing: 1, complete: 0 });
  expect(now.parts[0]).toMatchObject({ missingThousandths: 1000, goodThousandths: 2000 });
  run(state, opsForFilling(state, now, now.parts, context));
  expect([there(state, 'dressing', 'bag'), there(state, 'dressing', 'cupboard')]).toEqual([3, 3]);
  expect(kitNow(state, van, TODAY, PUBLISHED_GUIDE)).toMatchObject({ missing: 0, complete: 1 });
});

it('what is past its date does not count as there, and does not fill it', () => {
  const van = kit({ parts: [part('dressing', 2)] });
  const state = home(
    [lot('a', 'dressing', 'bag', 2, '2026-11-26'), lot('b', 'dressing', 'cupboard', 4, '2026-11-01')],
    [van],
  );
  const [found] = kitNow(state, van, TODAY, PUBLISHED_GUIDE).parts;
  expect(found).toMatchObject({ missingThousandths: 2000, lateThousandths: 2000, goodThousandths: 0, fillFrom: [] });
});

it('ends soon by the ones that are needed, not by those beyond, and is exchanged for later ones', () => {
  const van = kit({ parts: [part('plaster', 10)] });
  const beyond = home(
    [lot('a', 'plaster', 'bag', 10, '2028-01-01'), lot('b', 'plaster', 'bag', 2, '2026-12-01')],
    [van],
  );
  expect(kitNow(beyond, van, TODAY, PUBLISHED_GUIDE)).toMatchObject({ endsSoon: 0, firstToEnd: '2028-01-01' });
  const state = home(
    [
      lot('a', 'plaster', 'bag', 12, '2026-12-31'),
      lot('b', 'plaster', 'cupboard', 31, '2028-10-31'),
      lot('c', 'plaster', 'cupboard', 40, '2027-01-05'),
    ],
    [van],
  );
  const now = kitNow(state, van, TODAY, PUBLISHED_GUIDE);
  expect(now).toMatchObject({ endsSoon: 1, complete: 0 });
  expect(now.parts[0]!.swap!.into).toMatchObject([{ lot: { id: 'b' }, thousandths: 10_000 }]);
  run(state, opsForSwapping(state, now, now.parts[0]!, context));
  expect([there(state, 'plaster', 'bag'), there(state, 'plaster', 'cupboard')]).toEqual([12, 71]);
  expect(kitNow(state, van, TODAY, PUBLISHED_GUIDE)).toMatchObject({ endsSoon: 0, complete: 1 });
});

it('a kit may name days of its own, and something else that serves', () => {
  const van = kit({ parts: [{ ...part('plaster', 2, ['roll']), soonDays: 400 }] });
  const state = home([lot('a', 'roll', 'bag', 2, '2027-12-01')], [van]);
  expect(kitNow(state, van, TODAY, PUBLISHED_GUIDE)).toMatchObject({ endsSoon: 1, missing: 0 });
});

it('one kit is not filled from another, nor from what is out', () => {
  const van = kit({ parts: [part('dressing', 3)] });
  const party = kit({ id: 'other', nookId: 'cupboard', parts: [part('dressing', 4)] });
  const spare = lot('b', 'dressing', 'cupboard', 4);
  expect(kitNow(home([spare], [van, party]), van, TODAY, PUBLISHED_GUIDE).parts[0]!.fillFrom).toEqual([]);
  // What lies beside it in that place and is none of its things may be taken.
  const rolls = { ...party, parts: [part('roll', 4)] };
  expect(kitNow(home([spare], [van, rolls]), van, TODAY, PUBLISHED_GUIDE).parts[0]!.fillFrom).toHaveLength(1);
  const lent = home([{ ...lot('a', 'dressing', 'bag', 3), inUseOn: '2026-11-20' }], [van]);
  expect(kitNow(lent, van, TODAY, PUBLISHED_GUIDE).parts[0]!.missingThousandths).toBe(3000);
  const out = home([{ ...spare, inUseOn: '2026-11-20' }], [van]);
  expect(kitNow(out, van, TODAY, PUBLISHED_GUIDE).parts[0]!.fillFrom).toEqual([]);
});

it('a kit without a place counts its things wherever they are', () => {
  const party = kit({ nookId: null, parts: [part('dressing', 5)] });
  const state = home([lot('a', 'dressing', 'bag', 2), lot('b', 'dressing', 'cupboard', 3)], [party]);
  expect(kitNow(state, party, TODAY, PUBLISHED_GUIDE)).toMatchObject({ complete: 1, missing: 0 });
});

it('a kit all over the home does not count what lies in another kit for that kit', () => {
  const party = kit({ id: 'party', nookId: null, parts: [part('dressing', 5)] });
  const van = kit({ parts: [part('dressing', 2)] });
  const state = home([lot('a', 'dressing', 'bag', 2), lot('b', 'dressing', 'cupboard', 3)], [party, van]);
  expect(kitNow(state, party, TODAY, PUBLISHED_GUIDE).parts[0]).toMatchObject({ goodThousandths: 3000 });
});

it('a kit in a kit keeps its own place: what lies there counts, is not taken out of it, and what it lacks goes there', () => {
  const inner = kit({ id: 'inner', nookId: 'cupboard', parts: [part('dressing', 3)] });
  const outer = kit({ id: 'camping', nookId: 'bag', parts: [part('plaster', 1)], kitIds: ['inner'] });
  const state = home([lot('a', 'dressing', 'cupboard', 2), lot('b', 'plaster', 'bag', 1)], [inner, outer]);
  state.put({ entity: 'bin', row: { ...binFields({ name: 'reserve', code: 'XX9-1' }), ...base('reserve') } });
  const spare = lot('c', 'dressing', 'reserve', 6);
  state.put({ entity: 'lot', row: spare });
  const now = kitNow(state, outer, TODAY, PUBLISHED_GUIDE);
  expect(now).toMatchObject({ complete: 1, missing: 1 });
  expect(now.parts.find(({ item }) => item.id === 'dressing')!.fillFrom).toMatchObject([{ lot: { id: 'c' } }]);
  run(state, opsForFilling(state, now, now.parts, context));
  expect([there(state, 'dressing', 'cupboard'), there(state, 'dressing', 'bag')]).toEqual([3, 0]);
  // Seen from the inner one the outer one is not another that holds something back.
  expect(kitNow(state, inner, TODAY, PUBLISHED_GUIDE)).toMatchObject({ complete: 1, missing: 0 });
});

it('what lies in a bin that is lent cannot be fetched', () => {
  const van = kit({ parts: [part('dressing', 3)] });
  const state = home([lot('b', 'dressing', 'cupboard', 4)], [van]);
  run(
    state,
    opsForGoingOut('cupboard', { way: 'lent', to: 'a neighbour', what: 'cupboard', dueOn: null, byId: null }, context),
  );
  expect(kitNow(state, van, TODAY, PUBLISHED_GUIDE).parts[0]).toMatchObject({ missingThousandths: 3000, fillFrom: [] });
});

it('what the kits in it need is needed as well; twice needed is needed in both amounts', () => {
  const inner = kit({ id: 'inner', parts: [part('dressing', 2), part('plaster', 1)] });
  const outer = kit({ parts: [part('dressing', 1)], kitIds: ['inner'] });
  const state = home([], [inner, outer]);
  expect(partsOfKit(state, outer).map(({ itemId, thousandths }) => [itemId, thousandths])).toEqual([
    ['dressing', 3000],
    ['plaster', 1000],
  ]);
});

it('a kit that contains itself is refused, also by way of another one', () => {
  const state = home([], [kit({ id: 'a', kitIds: ['b'] }), kit({ id: 'b' })]);
  const put = (id: string, kitIds: string[]) =>
    applyCommand(
      state,
      {
        id: context.newId(),
        intent: 'tested',
        occurredAt: context.now,
        ops: [{ op: 'change', entity: 'kit', id, fields: { kitIds } }],
      },
      AS_ADULT,
    );
  expect(put('a', ['a'])).toMatchObject({ refusal: { kind: 'would_contain_itself', entity: 'kit' } });
  expect(put('b', ['a'])).toMatchObject({ refusal: { kind: 'would_contain_itself' } });
  expect(put('b', [])).not.toHaveProperty('refusal');
});
