import { applyCommand } from '../household/applyCommand';
import { invertCommand } from '../household/invertCommand';
import { HouseholdState, type ItemFields, type KitRow, type Op } from '../household';
import { AS_ADULT, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { likelyDoubles, opsForMerging } from './doubles';

const base = (id: string) => ({ id, seq: 1, retired: false });
function home(...names: (Partial<ItemFields> & { name: string })[]): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) if (row.entity !== 'item' && row.entity !== 'lot') state.put(row);
  names.forEach((fields, at) => state.put({ entity: 'item', row: { ...itemFields(fields), ...base(`i${at}`) } }));
  return state;
}
const pairs = (state: HouseholdState) =>
  likelyDoubles(state).map(({ keep, other, why }) => [keep.name, other.name, why]);
const put = (state: HouseholdState, id: string, itemId: string, count: number): void =>
  state.put({ entity: 'lot', row: lotRow(id, { itemId, nookId: 'top', quantityThousandths: count * 1000 }) });
let serial = 0;
const context = { newId: () => `n${serial++}`, now: '2026-11-27T10:00:00.000Z', today: '2026-11-27' };
function run(state: HouseholdState, ops: Op[]): Op[] {
  const command = { id: `c${serial++}`, intent: 'things_merged', occurredAt: context.now, ops };
  const back = invertCommand(state, command, { newId: context.newId, now: context.now });
  const applied = applyCommand(state, command, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  for (const row of applied.changed) state.put(row);
  return back.ops;
}
const item = (state: HouseholdState, id: string) => state.get('item', id)!;

it.each<[string, string, string]>([
  ['Candles, tea', 'Tea candle', 'same_words'],
  ['Spagetti', 'Spaghetti', 'spelling'],
  ['Öl, Oliven', 'oliven ol', 'same_words'],
  ['Wound dresing', 'Wound dressing', 'spelling'],
])('%s and %s are likely one', (a, b, why) => expect(pairs(home({ name: a }, { name: b }))).toEqual([[a, b, why]]));

it.each([
  ['Screw 4 mm', 'Screw 5 mm'],
  ['Tea', 'Pea'],
  ['Guest towel', 'Bath towel'],
  ['Battery AA', 'Battery AAA 1'],
])('%s and %s are two', (a, b) => expect(pairs(home({ name: a }, { name: b }))).toEqual([]));

it('one trade number for both, and a name that the other is also called by', () => {
  expect(pairs(home({ name: 'Oats', codes: ['1'] }, { name: 'Porridge', codes: ['1'] }))).toEqual([
    ['Oats', 'Porridge', 'same_code'],
  ]);
  expect(pairs(home({ name: 'Oats' }, { name: 'Porridge', synonyms: ['oat'] }))).toEqual([
    ['Oats', 'Porridge', 'also_called'],
  ]);
});

it('the one of which there is more is kept', () => {
  const state = home({ name: 'Spagetti' }, { name: 'Spaghetti' });
  put(state, 'a', 'i0', 1);
  put(state, 'b', 'i1', 3);
  expect(pairs(state)).toEqual([['Spaghetti', 'Spagetti', 'spelling']]);
});

it('merged, all that lies there and speaks of it is of the one; taken back, all is as before', () => {
  const state = home(
    { name: 'Rice', unit: 'kg', category: '', codes: ['11'] },
    { name: 'Rice, white', unit: 'g', category: 'Dry', codes: ['12'], lowAtThousandths: 500_000 },
  );
  put(state, 'a', 'i0', 2);
  put(state, 'b', 'i1', 750);
  const kit: KitRow = {
    ...base('kit'),
    name: 'Camp',
    nookId: null,
    parts: [{ itemId: 'i1', alsoIds: [], thousandths: 200_000, soonDays: null }],
    kitIds: [],
    lookedOn: null,
    lookedById: null,
  };
  state.put({ entity: 'kit', row: kit });
  const merged = opsForMerging(state, item(state, 'i0'), item(state, 'i1'), context);
  if (!merged.ok) throw new Error(merged.problem.kind);
  const back = run(state, merged.ops);
  expect(state.lotsOf('i0').map(({ quantityThousandths }) => quantityThousandths)).toEqual([2000, 750]);
  expect(item(state, 'i0')).toMatchObject({
    category: 'Dry',
    codes: ['11', '12'],
    synonyms: ['Rice, white'],
    lowAtThousandths: 500,
  });
  expect(item(state, 'i1').retired).toBe(true);
  expect(state.get('kit', 'kit')!.parts[0]!.itemId).toBe('i0');
  run(state, back);
  expect(item(state, 'i1').retired).toBe(false);
  expect(state.lotsOf('i1').map(({ quantityThousandths }) => quantityThousandths)).toEqual([750_000]);
  expect(item(state, 'i0')).toMatchObject({ category: '', codes: ['11'], synonyms: [] });
  expect(state.get('kit', 'kit')!.parts[0]!.itemId).toBe('i1');
});

it('grams and tins are not made one, nor two medicines with what was typed from their packages', () => {
  const state = home({ name: 'Rice', unit: 'kg' }, { name: 'Rices', unit: 'tin' }, { name: 'Rice.', unit: 'g' });
  expect(opsForMerging(state, item(state, 'i0'), item(state, 'i1'), context)).toEqual({
    ok: false,
    problem: { kind: 'other_unit', unit: 'kg', other: 'tin' },
  });
  for (const id of ['i0', 'i2'])
    state.put({
      entity: 'medicine',
      row: { ...base(`m${id}`), itemId: id, ingredient: null, forWhat: [], personIds: [], limits: [], pills: null },
    });
  expect(opsForMerging(state, item(state, 'i0'), item(state, 'i2'), context)).toMatchObject({
    problem: { kind: 'both_medicines' },
  });
});
