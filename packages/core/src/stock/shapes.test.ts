import { shapeMl, shapeOf, usualShape } from './shapes';

const bare = { weightGrams: null, volumeMl: null, textile: null, groups: {} };

test.each([
  ['Paddle', 16_000],
  ['Paddles, ash', 16_000],
  ['Boat hook', 18_000],
  ['Spinning rod', 12_000],
  ['Fishing rods', 12_000],
  ['Curtain rod (white)', 16_000],
  ['Snow shovel', 14_000],
  ['Skis', 17_000],
])('%s is usually so long', (name, longest) => {
  const shape = usualShape(name);
  expect(Math.max(shape!.widthTenthMm, shape!.depthTenthMm, shape!.heightTenthMm)).toBe(longest);
});

test.each(['Paddle bag', 'Snow shovel, child', 'Toy paddle', 'Rice', 'Ski wax', ''])(
  'of %s nothing is known',
  (name) => {
    expect(usualShape(name)).toBeNull();
  },
);

test('what was written down comes before what is usual; a volume that is known makes sides needless', () => {
  const shape = { widthTenthMm: 9000, depthTenthMm: 2000, heightTenthMm: 500, rigid: true, kept: [] };
  expect(shapeOf({ name: 'Paddle', traits: { ...bare, shape } })).toEqual({ shape, guessed: false });
  expect(shapeOf({ name: 'Paddle', traits: null })?.guessed).toBe(true);
  expect(shapeOf({ name: 'Paddle', traits: { ...bare, volumeMl: 4000 } })).toBeNull();
  expect(shapeMl(shape)).toBe(9000);
});
