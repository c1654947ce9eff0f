import { HouseholdState } from '../household/HouseholdState';
import type { ItemFields, ShelfPurpose, SpaceFields } from '../household/registry';
import { binFields, itemFields, lotFields, shelfFields, spaceFields } from '../household/sampleHome.test-support';
import { lot as lotEntity } from '../stock/lot.entity';
import { handlingHome } from './handlingHome';
import { againstPurpose, takesItem } from './shelfPurpose';
import { Belongings, type NewThing } from './whereBelongs';

const base = (id: string) => ({ id, seq: 1, retired: false });
const thing = (name: string, more: Partial<NewThing> = {}): NewThing => ({
  itemId: null,
  name,
  category: '',
  tags: [],
  unit: 'piece',
  frozen: false,
  ...more,
});

/** Bins by name, each with its things; a space of its own for each `space`. */
function home(
  bins: Readonly<Record<string, { things: readonly Partial<ItemFields>[]; space?: string; look?: 'kept_free' }>>,
  spaces: Readonly<Record<string, Partial<SpaceFields>>> = {},
  purposes: Readonly<Record<string, ShelfPurpose>> = {},
): HouseholdState {
  const state = new HouseholdState();
  state.put({ entity: 'room', row: { ...base('loft'), name: 'Loft', sort: 0 } });
  const names = new Set(Object.values(bins).map(({ space = 'closet' }) => space));
  for (const id of names) {
    const measures = { widthTenthMm: 9000, heightTenthMm: 20_000, depthTenthMm: 4000, postWidthTenthMm: 0 };
    state.put({
      entity: 'space',
      row: { ...base(id), ...spaceFields({ kind: 'closet', ...measures, ...spaces[id] }) },
    });
    state.put({
      entity: 'shelf',
      row: {
        ...base(`shelf ${id}`),
        ...shelfFields({
          spaceId: id,
          name: '',
          code: `${id}-A`,
          bottomTenthMm: 9000,
          heightTenthMm: 4000,
          purpose: purposes[id] ?? null,
        }),
      },
    });
  }
  for (const [name, { things, space = 'closet', look }] of Object.entries(bins)) {
    state.put({
      entity: 'bin',
      row: {
        ...base(name),
        ...binFields({
          shelfId: `shelf ${space}`,
          name,
          code: `${space}-${name}`,
          widthTenthMm: 3000,
          depthTenthMm: 3000,
          heightTenthMm: 2000,
          ...(look ? { look } : {}),
        }),
      },
    });
    for (const fields of things) {
      const id = `${fields.name} in ${name}`;
      state.put({ entity: 'item', row: { ...base(id), ...itemFields(fields) } });
      state.put({
        entity: 'lot',
        row: {
          ...base(`lot ${id}`),
          ...lotFields({ itemId: id, nookId: name }),
          ...lotEntity.derived!.start,
          quantityThousandths: 2000,
        },
      });
    }
  }
  return state;
}
const HATS = {
  things: [
    { name: 'Wool hat', tags: ['winter'] },
    { name: 'Mittens', tags: ['winter'] },
  ],
};
const ROPES = {
  things: [
    { name: 'Mooring rope', tags: ['boat'] },
    { name: 'Fender', tags: ['boat'] },
  ],
};
const TINS = {
  things: [
    { name: 'Tomatoes, chopped', category: 'Tins' },
    { name: 'Sweetcorn', category: 'Tins' },
  ],
};
const many = (count: number) => ({
  things: Array.from({ length: count }, (_, at) => ({
    name: `Nail ${String.fromCharCode(97 + at)}xy`,
    tags: ['workshop'],
  })),
});

test('a new thing goes to what it is like: by its name, its tag, what a bin is called', () => {
  const places = new Belongings(home({ hats: HATS, ropes: ROPES, tins: TINS, 'candle box': many(6) }));
  expect(places.of(thing('Wool mittens'), null)).toMatchObject({
    nookId: 'hats',
    why: { kind: 'like', by: 'name', word: 'mitten', count: 1, of: 2 },
  });
  expect(places.of(thing('Tinned tomatoes'), null)?.nookId).toBe('tins');
  expect(places.of(thing('Buoy', { tags: ['boat'] }), null)).toMatchObject({
    nookId: 'ropes',
    why: { by: 'tag', count: 2 },
  });
  expect(places.of(thing('Candle'), null)).toMatchObject({
    nookId: 'candle box',
    why: { kind: 'called', word: 'candle' },
  });
  expect(places.of(thing('Zither'), null)).toBeNull();
  // Where it is put already, nothing is said.
  expect(places.of(thing('Wool mittens'), 'hats')).toBeNull();
});

test('a thing the home has goes where most of it is; what is used from a front goes to its reserve', () => {
  const state = home({ hats: HATS, ropes: ROPES });
  const places = new Belongings(state);
  expect(places.of(thing('Fender', { itemId: 'Fender in ropes' }), 'hats')).toEqual({
    nookId: 'ropes',
    why: { kind: 'itself', lots: 1 },
    locked: false,
  });
});

test('read in steps it answers as read at once', () => {
  const state = home({ hats: HATS, ropes: ROPES, tins: TINS, 'candle box': many(6) });
  const inSteps = new Belongings(state);
  let steps = 1;
  while (inSteps.readSome(2)) steps += 1;
  expect(steps).toBeGreaterThan(2);
  for (const name of ['Wool mittens', 'Tinned tomatoes', 'Candle', 'Zither'])
    expect(inSteps.of(thing(name), null)).toEqual(new Belongings(state).of(thing(name), null));
});

test('frozen things go into a freezer, others do not', () => {
  const state = home(
    {
      greens: { things: [{ name: 'Peas', unit: 'bag' }], space: 'freezer' },
      dry: { things: [{ name: 'Peas, dried' }] },
    },
    { freezer: { kind: 'chest_freezer' } },
  );
  const places = new Belongings(state);
  expect(places.of(thing('Peas', { frozen: true }), null)?.nookId).toBe('greens');
  expect(places.of(thing('Peas'), null)?.nookId).toBe('dry');
});

test('with a child at home medicines go only where it is locked; food never to chemicals', () => {
  const pills = { things: [{ name: 'Paracetamol', category: 'Medicines', unit: 'tablet' }], space: 'press' };
  const open = home({ pills });
  open.put({
    entity: 'person',
    row: { ...base('child'), name: 'Tove', role: 'child', ageYears: 5, reachTenthMm: null, note: '' },
  });
  expect(new Belongings(open).of(thing('Ibuprofen'), null)).toBeNull();
  const locked = home({ pills }, { press: { locked: true } });
  locked.put({
    entity: 'person',
    row: { ...base('child'), name: 'Tove', role: 'child', ageYears: 5, reachTenthMm: null, note: '' },
  });
  expect(new Belongings(locked).of(thing('Ibuprofen'), null)).toMatchObject({ nookId: 'pills', locked: true });
  const mixed = home({
    'under the sink': { things: [{ name: 'Bleach' }, { name: 'Vinegar spirit', tags: ['sour'] }] },
  });
  expect(new Belongings(mixed).of(thing('Cider', { tags: ['sour'], category: 'Drinks' }), null)?.nookId).not.toBe(
    'under the sink',
  );
});

test('what a shelf is for: what it takes, what breaks it, and nothing is proposed onto it that would', () => {
  const guests: ShelfPurpose = { words: 'guests', takes: ['towels', 'guest'] };
  const state = home(
    { towels: { things: [{ name: 'Guest towel, linen' }, { name: 'Drill' }] } },
    {},
    { closet: guests },
  );
  const item = state.get('item', 'Guest towel, linen in towels')!;
  expect(takesItem(guests, item)).toBe(true);
  expect(takesItem({ words: 'anything', takes: [] }, item)).toBe(true);
  expect(againstPurpose(state, state.get('shelf', 'shelf closet')!).map(({ item: { name } }) => name)).toEqual([
    'Drill',
  ]);
  expect(new Belongings(state).of(thing('Towel, blue'), null)).toMatchObject({ nookId: 'towels' });
  expect(new Belongings(state).of(thing('Drill bits'), null)).toBeNull();
  // Ropes do not go onto a shelf for guests, whatever it would save.
  const both = home(
    { ropes: { ...ROPES, space: 'rack' }, towels: { things: [{ name: 'Guest towel' }] } },
    {},
    { closet: guests },
  );
  const placed = handlingHome(both, '2026-11-27');
  const ropes = placed.units.find(({ binId }) => binId === 'ropes')!;
  expect(ropes.allowed.map((at) => placed.shelves[at]!.shelfId)).toEqual(['shelf rack']);
  const towels = placed.units.find(({ binId }) => binId === 'towels')!;
  expect(towels.allowed).toHaveLength(2);
});
