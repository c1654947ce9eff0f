import { HouseholdState } from '../household/HouseholdState';
import type { ShelfFields, SpaceFields } from '../household/registry';
import { lot as lotEntity } from '../stock/lot.entity';
import type { ThingShape } from '../stock/item.entity';
import { applyCommand } from '../household/applyCommand';
import {
  AS_ADULT,
  binFields,
  containerFields,
  idMaker,
  itemFields,
  lotFields,
  shelfFields,
  spaceFields,
} from '../household/sampleHome.test-support';
import { groupThings, lotsWithin } from '../sort/grouping';
import { opsForLoose, placeBulky, splitBulky, withLoose } from './looseThings';
import { forbiddenShelves, planProblem } from './planProblem';
import { searchPlan } from './planSpace';

const base = (id: string) => ({ id, seq: 1, retired: false });
const shape = (sides: readonly [number, number, number], more: Partial<ThingShape> = {}): ThingShape => ({
  widthTenthMm: sides[0] * 100,
  depthTenthMm: sides[1] * 100,
  heightTenthMm: sides[2] * 100,
  rigid: true,
  kept: [],
  ...more,
});
/** Three crates of 60 × 40 × 30 cm. */
const crate = containerFields({
  topWidthTenthMm: 6000,
  topDepthTenthMm: 4000,
  heightTenthMm: 3000,
  innerVolumeMl: null,
  owned: 3,
});
/** A rack of 150 × 210 × 50 cm with two shelves of 143 × 50, 40 and 90 cm high inside. */
function rack(
  things: Readonly<Record<string, { shape?: ThingShape; count?: number }>>,
  more: { space?: Partial<SpaceFields>; shelves?: Readonly<Record<string, Partial<ShelfFields>>> } = {},
) {
  const state = new HouseholdState();
  state.put({ entity: 'room', row: { ...base('loft'), name: 'Boat loft', sort: 0 } });
  state.put({
    entity: 'space',
    row: {
      ...base('rack'),
      ...spaceFields({
        kind: 'storage_rack',
        widthTenthMm: 15_000,
        heightTenthMm: 21_000,
        depthTenthMm: 5000,
        postWidthTenthMm: 350,
        ...more.space,
      }),
    },
  });
  const shelves: Record<string, Partial<ShelfFields>> = {
    upper: { bottomTenthMm: 10_000, heightTenthMm: 4000 },
    lower: { bottomTenthMm: 600, heightTenthMm: 9000 },
    ...more.shelves,
  };
  Object.entries(shelves).forEach(([id, fields], sort) =>
    state.put({ entity: 'shelf', row: { ...base(id), ...shelfFields({ code: `BL1-${sort}X`, sort, ...fields }) } }),
  );
  state.put({ entity: 'container', row: { ...base('crate'), ...crate } });
  state.put({
    entity: 'bin',
    row: { ...base('bin'), ...binFields({ shelfId: 'upper', name: 'all sorts', code: 'BL1-Z9' }) },
  });
  for (const [name, { shape: own, count = 1 }] of Object.entries(things)) {
    state.put({
      entity: 'item',
      row: {
        ...base(name),
        ...itemFields({
          name,
          ...(own ? { traits: { weightGrams: 900, volumeMl: null, textile: null, groups: {}, shape: own } } : {}),
        }),
      },
    });
    state.put({
      entity: 'lot',
      row: {
        ...base(`lot ${name}`),
        ...lotFields({ itemId: name, nookId: 'bin' }),
        ...lotEntity.derived!.start,
        quantityThousandths: count * 1000,
      },
    });
  }
  const space = state.get('space', 'rack')!;
  const groups = groupThings(state, lotsWithin(state, 'rack'), 'kind', '2026-11-27');
  const split = splitBulky(state, space, groups, null);
  const wishes = {
    containerIds: [],
    groups: split.groups.map(({ id, volumeMl, grams, binIds }) => ({ id, name: id, volumeMl, grams, binIds })),
    locked: [],
    budgetMinor: null,
    family: null,
    moveShelves: true,
    seed: 1,
  };
  const { problem } = planProblem(state, 'rack', wishes)!;
  return { ...split, state, problem, loose: placeBulky(state, space, problem, split.bulky) };
}

test('paddles of 160 cm: too long by 17 for the shelves between the posts, they lean beside the rack', () => {
  const { groups, bulky, loose } = rack({ Paddle: { shape: shape([160, 20, 8]), count: 4 }, Lamp: {} });
  expect(bulky).toMatchObject([{ itemId: 'Paddle', count: 4, guessed: false }]);
  expect(groups.flatMap(({ lots }) => lots.map(({ itemId }) => itemId))).toEqual(['Lamp']);
  expect(loose).toMatchObject([{ itemId: 'Paddle', count: 4, how: 'beside', shelfId: null }]);
  expect(loose[0]!.short).toEqual({ shelfId: expect.stringMatching(/upper|lower/), overTenthMm: 1700 });
});

test('on a shelf that is for something only groups stand of which all is for it', () => {
  const takes = (one: string) => ({ purpose: { words: one, takes: [one] } });
  const { state, groups } = rack(
    { Lamp: {}, Sand: {} },
    {
      shelves: {
        upper: { bottomTenthMm: 10_000, heightTenthMm: 4000, ...takes('lamp') },
        lower: { bottomTenthMm: 600, heightTenthMm: 9000 },
      },
    },
  );
  // Both lie in one bin, so that they are one group, and sand is no lamp.
  expect(forbiddenShelves(state, 'rack', groups)).toEqual({ [groups[0]!.id]: ['upper'] });
  const apart = groups[0]!.lots.map((lot) => ({ id: lot.itemId, lots: [lot] }));
  expect(forbiddenShelves(state, 'rack', apart)).toEqual({ Sand: ['upper'] });
});

test('longer than the rack is high: nowhere here, with the shelf that nearly takes it', () => {
  const { loose } = rack({ Mast: { shape: shape([300, 8, 8]) } });
  expect(loose).toMatchObject([{ how: 'nowhere', short: { overTenthMm: 15_700 } }]);
});

test('what is too large for any crate stands on a shelf where it takes the least room, and takes it from the plan', () => {
  // 70 × 48 × 28: into no crate of 59.5 × 39.5 inside.
  const { loose, problem } = rack({ Suitcase: { shape: shape([70, 48, 28]), count: 2 } });
  expect(loose).toHaveLength(2);
  expect(loose.every(({ how }) => how === 'stands' || how === 'leans')).toBe(true);
  const held = withLoose(problem, loose);
  const obstacles = held.shelves.flatMap(({ room }) => room.obstacles.filter(({ kind }) => kind === 'thing'));
  expect(obstacles).toHaveLength(2);
  // Neither their shelf nor the one above moves: the room over them stays as high as they are.
  expect(held.shelves.filter(({ adjustable }) => adjustable)).toEqual([]);
});

test('the plan leaves their room free', () => {
  const things = { Case: { shape: shape([130, 45, 35]) }, Sand: { shape: shape([38, 38, 25]), count: 3 } };
  const { loose, problem, groups } = rack(things, { shelves: { lower: { bottomTenthMm: 600, heightTenthMm: 4000 } } });
  expect(groups).toHaveLength(1);
  expect(loose).toMatchObject([{ itemId: 'Case', how: 'stands' }]);
  const free = searchPlan(problem).best();
  const held = searchPlan(withLoose(problem, loose)).best();
  const on = (answer: typeof free) => answer.placed.filter(({ shelfId }) => shelfId === loose[0]!.shelfId).length;
  // 143 cm less 130 leaves no room for a crate of 60 beside it.
  expect(on(held)).toBe(0);
  expect(held.placed.length).toBeGreaterThan(0);
  expect(free.placed.length).toBeGreaterThanOrEqual(held.placed.length);
});

test('set up, they are recorded where they stand; what leans beside the space stays where it was recorded', () => {
  const { state, loose } = rack({ Paddle: { shape: shape([160, 20, 8]) }, Case: { shape: shape([130, 45, 35]) } });
  const plan = { spaceId: 'rack', loose };
  const context = { now: '2026-11-27T10:00:00.000Z', today: '2026-11-27', newId: idMaker() };
  const ops = opsForLoose(state, plan, context);
  const on = loose.find(({ itemId }) => itemId === 'Case')!.shelfId!;
  expect(on).not.toBeNull();
  const command = { id: context.newId(), intent: 'test', occurredAt: context.now, ops };
  const applied = applyCommand(state, command, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied));
  for (const row of applied.changed) state.put(row);
  const there = (itemId: string): string[] =>
    state.lotsOf(itemId).flatMap(({ nookId, quantityThousandths }) => (quantityThousandths > 0 ? [nookId] : []));
  expect(there('Case')).toEqual([on]);
  expect(there('Paddle')).toEqual(['bin']);
  expect(opsForLoose(state, { spaceId: 'rack', loose: null }, context)).toEqual([]);
});

test('a rail takes what is long and light; a guess is named one; what is kept in its own box is in no crate', () => {
  const { loose } = rack(
    { 'Fishing rod': {}, Camera: { shape: shape([30, 20, 20], { kept: ['own_box'] }) } },
    { shelves: { rail: { kind: 'hook_rail', bottomTenthMm: 18_000 } } },
  );
  expect(loose.find(({ itemId }) => itemId === 'Fishing rod')).toMatchObject({
    how: 'hangs',
    shelfId: 'rail',
    guessed: true,
  });
  expect(loose.find(({ itemId }) => itemId === 'Camera')).toMatchObject({ how: 'stands', ownBox: true, short: null });
});

test('high and narrow on a shelf it leans; only upright it does not lie', () => {
  const closet = {
    space: { kind: 'closet' as const },
    shelves: { lower: { bottomTenthMm: 0, heightTenthMm: 19_000 } },
  };
  const { loose } = rack(
    { Broom: { shape: shape([140, 40, 7]) }, Vase: { shape: shape([20, 20, 75], { kept: ['upright', 'own_box'] }) } },
    {
      ...closet,
      shelves: { upper: { bottomTenthMm: 19_500, heightTenthMm: 1000, widthTenthMm: 8000 }, ...closet.shelves },
    },
  );
  expect(loose.find(({ itemId }) => itemId === 'Broom')).toMatchObject({
    how: 'leans',
    shelfId: 'lower',
    heightTenthMm: 14_000,
  });
  expect(loose.find(({ itemId }) => itemId === 'Vase')).toMatchObject({ shelfId: 'lower', heightTenthMm: 7500 });
});
