import type { PlannedBin } from './plan.entity';
import { halfShelfOffers } from './halfShelves';
import { problem, shelfAt, type, use } from './planPrice.test-support';

const low = type('low', [4000, 3000, 1000], { free: 2 });
const box = type('box', [3000, 3000, 1500], { free: 2 });
const given = (height: number, more = {}) =>
  problem({
    shelves: [shelfAt('s', 5000, 8000, 4000, height)],
    containers: [low, box],
    groups: [
      { name: 'here', id: 'here', volumeMl: 9000, grams: 1000, binIds: [] },
      { name: 'cups', id: 'cups', volumeMl: 20_000, grams: 4000, binIds: [] },
    ],
    handling: { footMm: 0, groups: { here: use(1), cups: use(1) } },
    ...more,
  });
const stands = (containerId: string, cx: number, key: string): PlannedBin => ({
  key,
  containerId,
  shelfId: 's',
  cxTenthMm: cx,
  cyTenthMm: 1500,
  liftTenthMm: 0,
  degrees: 0,
  group: 'here',
  locked: false,
  buy: false,
});
const plan = {
  placed: [stands('low', 2000, 'a'), stands('low', 6000, 'b')],
  shelves: [{ shelfId: 's', bottomTenthMm: 5000, movedHoles: 0 }],
  left: [{ group: 'cups', volumeMl: 20_000 }],
};

test('over two low bins a board takes two boxes: 60 × 30, 12.5 cm up', () => {
  // 10 cm of bins, 1 to pull them, 1.5 of board; above them 15 of the 28 are needed for the boxes, 10.8 l each.
  expect(halfShelfOffers(given(2800), plan)).toEqual([
    {
      shelfId: 's',
      widthTenthMm: 6000,
      depthTenthMm: 3000,
      heightTenthMm: 1250,
      holds: [{ group: 'cups', containerId: 'box', count: 2, volumeMl: 20_000 }],
    },
  ]);
});

test('no board where there is no height for one, nothing is left, nothing stands below, or no container is free', () => {
  expect(halfShelfOffers(given(2740), plan)).toEqual([]);
  expect(halfShelfOffers(given(2800), { ...plan, left: [] })).toEqual([]);
  expect(halfShelfOffers(given(2800), { ...plan, placed: [] })).toEqual([]);
  const none = given(2800, { containers: [low, { ...box, free: 0 }] });
  expect(halfShelfOffers(none, plan)).toEqual([]);
});

test('where not all finds room it says how much does', () => {
  const one = given(2800, { containers: [low, { ...box, free: 1 }] });
  expect(halfShelfOffers(one, plan)[0]!.holds).toEqual([
    { group: 'cups', containerId: 'box', count: 1, volumeMl: 10_800 },
  ]);
});
