import { HouseholdState, type ItemFields, type LotRow, type SpaceFields, type TaggedRow } from '../household';
import { binFields, itemFields, lotRow, shelfFields, spaceFields } from '../household/sampleHome.test-support';
import { footOf, handlingHome } from './handlingHome';

const TODAY = '2026-11-26';
const base = (id: string) => ({ id, seq: 1, retired: false });
const space = (id: string, more: Partial<SpaceFields> = {}): TaggedRow[] => [
  {
    entity: 'space',
    row: {
      ...base(id),
      ...spaceFields({ name: id, widthTenthMm: 10_000, depthTenthMm: 4000, postWidthTenthMm: 0, ...more }),
    },
  },
  {
    entity: 'shelf',
    row: {
      ...base(`${id} shelf`),
      ...shelfFields({
        spaceId: id,
        leftTenthMm: 0,
        bottomTenthMm: 9000,
        widthTenthMm: 10_000,
        heightTenthMm: 4000,
        depthTenthMm: 4000,
      }),
    },
  },
];
const bin = (id: string, spaceId: string, more: object = {}): TaggedRow => ({
  entity: 'bin',
  row: {
    ...base(id),
    ...binFields({
      shelfId: `${spaceId} shelf`,
      name: id,
      widthTenthMm: 3000,
      heightTenthMm: 2000,
      depthTenthMm: 3000,
    }),
    ...more,
  },
});
const item = (id: string, more: Partial<ItemFields> = {}): TaggedRow => ({
  entity: 'item',
  row: { ...base(id), ...itemFields({ name: id, category: '', ...more }) },
});
const lot = (id: string, itemId: string, nookId: string, more: Partial<LotRow> = {}): TaggedRow => ({
  entity: 'lot',
  row: lotRow(id, { itemId, nookId, quantityThousandths: 1000, ...more }),
});
const person = (id: string, role: 'adult' | 'child', ageYears: number): TaggedRow => ({
  entity: 'person',
  row: { ...base(id), name: id, role, ageYears, reachTenthMm: null, note: '' },
});
function homeOf(rows: readonly TaggedRow[]) {
  const state = new HouseholdState();
  state.put({ entity: 'room', row: { ...base('loft'), name: 'loft', sort: 0 } });
  for (const row of rows) state.put(row);
  const home = handlingHome(state, TODAY);
  const unit = (id: string) => home.units.find(({ binId }) => binId === id)!;
  const mayGo = (id: string): string[] => unit(id).allowed.map((at) => home.shelves[at]!.spaceId);
  return { home, unit, mayGo };
}
const ADULT = person('Runa', 'adult', 38);
const CHILD = person('Pim', 'child', 4);

describe('what may stand where', () => {
  const spaces = [
    ...space('rack'),
    ...space('medicines', { kind: 'medicine_cupboard', locked: true }),
    ...space('van', { kind: 'vehicle' }),
    ...space('fridge', { kind: 'refrigerator' }),
    ...space('pantry'),
  ];
  it('not in a medicine cupboard, a vehicle or the cold, also when they are empty', () => {
    const { mayGo } = homeOf([...spaces, ADULT, bin('hats', 'rack'), item('hat'), lot('1', 'hat', 'hats')]);
    expect(mayGo('hats')).toEqual(['rack', 'pantry']);
  });
  it('medicines only where it is locked; what is locked away is not unlocked', () => {
    const medicine = item('pills', { category: 'Medicines' });
    const { mayGo, unit } = homeOf([...spaces, ADULT, bin('a', 'rack'), medicine, lot('1', 'pills', 'a')]);
    expect(unit('a')).toMatchObject({ purpose: 'medicine', medicine: true, guarded: true });
    expect(mayGo('a')).toEqual(['rack', 'medicines']);
    const locked = homeOf([...spaces, ADULT, bin('a', 'medicines'), item('bleach'), lot('1', 'bleach', 'a')]);
    expect(locked.mayGo('a')).toEqual(['medicines']);
  });
  it('chemicals and food never newly in one space', () => {
    const rows = [
      ...spaces,
      ADULT,
      bin('cleaners', 'rack'),
      bin('tins', 'pantry', { name: 'tins' }),
      item('drain cleaner'),
      item('milk', { category: 'Cold' }),
      lot('1', 'drain cleaner', 'cleaners'),
      lot('2', 'milk', 'tins'),
    ];
    const { mayGo } = homeOf(rows);
    expect(mayGo('cleaners')).toEqual(['rack']);
    expect(mayGo('tins')).toEqual(['pantry']);
  });
  it('what is not measured, cold, in a vehicle or kept free stays, and is counted', () => {
    const { home, unit } = homeOf([
      ...spaces,
      ADULT,
      bin('no depth', 'rack', { depthTenthMm: null }),
      bin('cold', 'fridge'),
      bin('kit', 'van'),
      bin('free', 'rack', { look: 'kept_free' }),
    ]);
    expect(['no depth', 'cold', 'kit', 'free'].map((id) => unit(id).stays)).toEqual([
      'unmeasured',
      'cold',
      'vehicle',
      'kept_free',
    ]);
    expect(home.unmeasured.bins).toBe(1);
  });
});

describe('things away from their kind', () => {
  const rows = [...space('rack'), ...space('press'), ADULT, bin('main', 'rack'), bin('other', 'press'), item('torch')];
  const strays = (...lots: TaggedRow[]) => homeOf([...rows, ...lots]).home.strays;
  it('go where most of them are; of two alike where they were first', () => {
    expect(strays(lot('1', 'torch', 'main', { quantityThousandths: 5000 }), lot('2', 'torch', 'other'))).toMatchObject([
      { lotId: '2', toNookId: 'main', safety: false },
    ]);
    expect(strays(lot('2', 'torch', 'main'), lot('1', 'torch', 'other'))).toMatchObject([
      { lotId: '2', toNookId: 'other' },
    ]);
  });
  it('what is open or in use is where it is used', () => {
    const most = lot('1', 'torch', 'main', { quantityThousandths: 5000 });
    expect(strays(most, lot('2', 'torch', 'other', { openedOn: TODAY }))).toEqual([]);
    expect(strays(most, lot('2', 'torch', 'other', { decantedOn: TODAY }))).toEqual([]);
  });
  it('a medicine where a child gets at it goes to the locked place, however little is there, open or not', () => {
    const all = [
      ...space('rack'),
      ...space('medicines', { kind: 'medicine_cupboard', locked: true }),
      ADULT,
      CHILD,
      bin('lunch', 'rack'),
      bin('wounds', 'medicines'),
      item('plasters', { category: 'Medicines' }),
      lot('1', 'plasters', 'wounds'),
      lot('2', 'plasters', 'lunch', { quantityThousandths: 9000, openedOn: TODAY }),
    ];
    const { home, unit } = homeOf(all);
    expect(home.strays).toMatchObject([{ lotId: '2', toNookId: 'wounds', safety: true }]);
    // It says nothing of what the lunch boxes are for.
    expect(unit('lunch').medicine).toBe(false);
  });
});

it('how often: the home’s word, else a guess that is one; who: everybody grown alike', () => {
  const said = { handling: { often: 'daily', personIds: [], roomId: null } };
  const { home, unit } = homeOf([...space('rack'), ADULT, CHILD, bin('a', 'rack', said), bin('b', 'rack')]);
  expect(unit('a')).toMatchObject({ uses: 30, usesFrom: 'said', who: [{ at: 0, share: 1 }], roomId: 'loft' });
  expect(unit('b')).toMatchObject({ uses: 1, usesFrom: 'guess' });
  expect(home.reachers.map(({ reachMm }) => reachMm)).toEqual([1900, 1000]);
});

it('what lies loose on a shelf takes the rest of its width', () => {
  const { home } = homeOf([...space('rack'), ADULT, bin('a', 'rack'), item('pan'), lot('1', 'pan', 'rack shelf')]);
  expect(home.shelves[0]).toMatchObject({ capMm: 300, footMm: 900 });
});

it('the foot of what hangs is a default until it is measured', () => {
  expect(footOf({ kind: 'medicine_cupboard' })).toBe(1200);
  expect(footOf({ kind: 'medicine_cupboard', footTenthMm: 9000 })).toBe(900);
  expect(footOf({ kind: 'closet', footTenthMm: null })).toBe(0);
});
