import { HouseholdState, type ItemRow } from '../household';
import { itemFields, lotRow } from '../household/sampleHome.test-support';
import { fittingBySize, setCount } from './sets';

const item = (id: string, more: Partial<ItemRow>): ItemRow => ({
  ...itemFields(),
  id,
  seq: 1,
  retired: false,
  ...more,
});

function home(napkins: number, inUse: number, set: ItemRow['set']): { state: HouseholdState; napkin: ItemRow } {
  const state = new HouseholdState();
  const napkin = item('n', { set });
  state.put({ entity: 'item', row: napkin });
  state.put({ entity: 'item', row: item('lid', {}) });
  state.put({ entity: 'lot', row: lotRow('a', { itemId: 'n', quantityThousandths: (napkins - inUse) * 1000 }) });
  state.put({
    entity: 'lot',
    row: lotRow('b', { itemId: 'n', quantityThousandths: inUse * 1000, inUseOn: '2026-11-20' }),
  });
  return { state, napkin };
}

it.each([
  [27, 0, { whole: 2, over: 3, missing: 9 }],
  [24, 12, { whole: 2, over: 0, missing: 0, inUse: 12 }],
  [11, 4, { whole: 0, over: 11, missing: 1, inUse: 4 }],
  [0, 0, { whole: 0, over: 0, missing: 0 }],
])('%d napkins, %d in use, in sets of 12', (there, inUse, want) => {
  const { state, napkin } = home(there, inUse, { pieces: 12, withItemId: null });
  expect(setCount(state, napkin)).toMatchObject({ there, ...want });
});

it('a jar without its lid is no whole set', () => {
  const { state, napkin } = home(5, 0, { pieces: 1, withItemId: 'lid' });
  expect(setCount(state, napkin)).toMatchObject({ whole: 0, with: { there: 0 } });
  state.put({ entity: 'lot', row: lotRow('l', { itemId: 'lid', quantityThousandths: 3000 }) });
  expect(setCount(state, napkin)).toMatchObject({ whole: 3, with: { there: 3 } });
});

it('what is in no set has none', () => expect(setCount(new HouseholdState(), item('x', {}))).toBeNull());

it('a lid goes with the box of its size, whichever way it is turned; what nobody measured with none', () => {
  const state = new HouseholdState();
  const sized = (id: string, widthCm: number, depthCm: number, heightCm: number): ItemRow =>
    item(id, {
      name: id,
      traits: {
        weightGrams: null,
        volumeMl: null,
        textile: null,
        groups: {},
        shape: {
          widthTenthMm: widthCm * 100,
          depthTenthMm: depthCm * 100,
          heightTenthMm: heightCm * 100,
          rigid: true,
          kept: [],
        },
      },
    });
  const lid = sized('lid', 18, 13, 1);
  for (const row of [
    lid,
    sized('box', 13.2, 18, 8),
    sized('near', 18.5, 13, 8),
    sized('other', 20, 13, 8),
    item('unknown', {}),
  ])
    state.put({ entity: 'item', row });
  expect(fittingBySize(state, lid).map(({ id }) => id)).toEqual(['box', 'near']);
  expect(fittingBySize(state, state.get('item', 'box')!).map(({ id }) => id)).toEqual(['lid']);
  expect(fittingBySize(state, state.get('item', 'unknown')!)).toEqual([]);
});
