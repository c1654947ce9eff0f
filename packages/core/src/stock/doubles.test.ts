import { applyCommand } from '../household/applyCommand';
import { invertCommand } from '../household/invertCommand';
import { HouseholdState, type ItemFields, type LoanRow, type MedicineRow, type KitRow, type Op } from '../household';
import { AS_ADULT, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { digestOf } from '../household';
import { bookOf, readDigest, USED } from '../use';
import { opsForUnit } from './changeUnit';
import { likelyDoubles, opsForMerging } from './doubles';
import { opsForSplitting } from './splitThing';
import { eventOp } from './stockOps';
import { eachOf } from './takeOver';

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
  // What was written in grams stays written in grams: the lot of grams went out, one of kilograms came in.
  expect(state.get('lot', 'b')).toMatchObject({ itemId: 'i1', retired: true, quantityThousandths: 0 });
  expect(item(state, 'i0')).toMatchObject({
    before: [{ itemId: 'i1', each: 0.001 }],
    category: 'Dry',
    codes: ['11', '12'],
    synonyms: ['Rice, white'],
    lowAtThousandths: 500,
  });
  expect(item(state, 'i1').retired).toBe(true);
  expect(state.get('kit', 'kit')!.parts[0]).toMatchObject({ itemId: 'i0', thousandths: 200 });
  run(state, back);
  expect(item(state, 'i1').retired).toBe(false);
  expect(state.lotsOf('i1').map(({ quantityThousandths }) => quantityThousandths)).toEqual([750_000]);
  expect(item(state, 'i0')).toMatchObject({ category: '', codes: ['11'], synonyms: [] });
  expect(state.get('kit', 'kit')!.parts[0]!.itemId).toBe('i1');
});

it('grams and tins are not made one, nor two medicines with what was typed from their packages', () => {
  const state = home(
    { name: 'Rice', unit: 'kg' },
    { name: 'Rices', unit: 'tin' },
    { name: 'Rice.', unit: 'g' },
    { name: 'Rice!', unit: 'pack' },
  );
  // Nobody said how many packs are in a tin.
  expect(opsForMerging(state, item(state, 'i1'), item(state, 'i3'), context)).toMatchObject({ ok: false });
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

describe('another unit', () => {
  const DAY = 86_400_000;
  const rice = (): HouseholdState => {
    const state = home({
      name: 'Rice',
      unit: 'kg',
      lowAtThousandths: 500,
      packs: [{ shopId: null, amountThousandths: 1000, priceMinor: 290 }],
      restock: { how: 'level', fullThousandths: 3000, weeklyThousandths: 400 },
      traits: { weightGrams: 1000, volumeMl: 1250, textile: null, groups: {} },
    });
    put(state, 'a', 'i0', 0);
    const past = { ...context, now: new Date(Date.parse(context.now) - 10 * DAY).toISOString() };
    run(state, [eventOp(past, 'a', 'put_in', 2000)]);
    run(state, [eventOp({ ...context, now: '2026-11-26T10:00:00.000Z' }, 'a', 'taken', 500)]);
    return state;
  };
  const change = (state: HouseholdState, unit: string, each: number) => {
    const changed = opsForUnit(state, item(state, 'i0'), unit, each, context);
    if (!changed.ok) throw new Error(changed.problem.kind);
    return { itemId: changed.itemId, back: run(state, changed.ops) };
  };

  it('the measures say how much one is of another', () => {
    expect(eachOf('kg', 'g')).toBe(1000);
    // NIST Handbook 44, appendix C: 1 lb is 453.59237 g.
    expect(eachOf('lb', 'g')).toBeCloseTo(453.59237, 8);
    expect(eachOf('tin', 'tin')).toBe(1);
    expect(eachOf('tin', 'pack')).toBeNull();
    expect(eachOf('g', 'ml')).toBeNull();
  });

  it('1.5 kg are 1,500 g, with marks, packs, weight of one, and the past', () => {
    const state = rice();
    const loan: LoanRow = {
      ...base('loan'),
      whatId: 'a',
      thousandths: 250,
      way: 'lent',
      to: 'next door',
      what: 'Rice',
      byId: null,
      outOn: '2026-11-20',
      dueOn: null,
      backOn: null,
      packed: [],
    };
    state.put({ entity: 'loan', row: loan });
    const { itemId, back } = change(state, 'g', 1000);
    const now = item(state, itemId);
    expect(now).toMatchObject({
      name: 'Rice',
      unit: 'g',
      lowAtThousandths: 500_000,
      packs: [{ amountThousandths: 1_000_000, priceMinor: 290 }],
      restock: { fullThousandths: 3_000_000, weeklyThousandths: 400_000 },
      traits: { weightGrams: 1, volumeMl: 1 },
    });
    const [lot] = state.lotsOf(itemId);
    expect(lot).toMatchObject({ quantityThousandths: 1_500_000, nookId: 'top' });
    expect(state.get('loan', 'loan')).toMatchObject({ whatId: lot!.id, thousandths: 250_000 });
    // Pace: half a kilogram used is 500 g used; the book is what lies there.
    const digest = readDigest(digestOf(state, now));
    expect([...digest.days.values()].reduce((sum, cell) => sum + cell[USED], 0)).toBe(500_000);
    expect(bookOf(digest)).toBe(1_500_000);
    run(state, back);
    expect(state.lotsOf('i0').map(({ quantityThousandths }) => quantityThousandths)).toEqual([1500]);
    expect(state.get('loan', 'loan')).toMatchObject({ whatId: 'a', thousandths: 250 });
    expect(item(state, itemId).retired).toBe(true);
  });

  it('twice: the past of both is read', () => {
    const state = rice();
    const { itemId } = change(state, 'g', 1000);
    const again = opsForUnit(state, item(state, itemId), 'tin', 1 / 500, context);
    if (!again.ok) throw new Error(again.problem.kind);
    run(state, again.ops);
    const tins = item(state, again.itemId);
    expect(tins.before).toEqual([
      { itemId, each: 1 / 500 },
      { itemId: 'i0', each: 2 },
    ]);
    expect(bookOf(readDigest(digestOf(state, tins)))).toBe(3000);
    expect(state.lotsOf(tins.id)[0]!.quantityThousandths).toBe(3000);
  });

  it('one of the one is one of the other: only the word changes', () => {
    const state = rice();
    expect(change(state, 'bag', 1).itemId).toBe('i0');
    expect(item(state, 'i0')).toMatchObject({ unit: 'bag', lowAtThousandths: 500 });
  });

  it('what is not known, too small, or typed from a plan of doses is not turned into a number', () => {
    const state = rice();
    const refused = (each: number) => {
      const changed = opsForUnit(state, item(state, 'i0'), 'sack', each, context);
      return changed.ok ? null : changed.problem;
    };
    expect(refused(0.0000001)).toMatchObject({ kind: 'no_such_amount', thousandths: 1500 });
    state.put({ entity: 'lot', row: { ...state.get('lot', 'a')!, pleaseCount: true } });
    expect(refused(10)).toEqual({ kind: 'count_first', nookId: 'top' });
    const medicine: MedicineRow = {
      ...base('m'),
      itemId: 'i0',
      ingredient: null,
      forWhat: [],
      personIds: [],
      limits: [],
      pills: [
        {
          personId: 'p',
          morning: 1000,
          noon: 0,
          evening: 0,
          night: 0,
          days: [],
          typedById: null,
          typedOn: '2026-11-01',
        },
      ],
    };
    state.put({ entity: 'medicine', row: medicine });
    expect(refused(10)).toEqual({ kind: 'doses_typed' });
  });
});

it('split: whole lots take their past along, of others a part goes; taken back, all is as before', () => {
  const state = home({ name: 'Batteries', category: 'Power', codes: ['11'], lowAtThousandths: 4000 });
  put(state, 'a', 'i0', 0);
  put(state, 'b', 'i0', 0);
  run(state, [eventOp(context, 'a', 'put_in', 4000), eventOp(context, 'b', 'put_in', 6000)]);
  const { ops, itemId } = opsForSplitting(
    state,
    item(state, 'i0'),
    'Batteries AAA',
    [
      { lotId: 'a', thousandths: 4000 },
      { lotId: 'b', thousandths: 2000 },
    ],
    context,
  );
  const back = run(state, ops);
  const amounts = (id: string) => state.lotsOf(id).map(({ quantityThousandths }) => quantityThousandths);
  expect(amounts('i0')).toEqual([4000]);
  expect(amounts(itemId)).toEqual([4000, 2000]);
  expect(item(state, itemId)).toMatchObject({ name: 'Batteries AAA', category: 'Power', lowAtThousandths: null });
  run(state, back);
  expect(amounts('i0').sort()).toEqual([4000, 6000]);
});
