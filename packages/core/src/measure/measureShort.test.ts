import { shelfFields, spaceFields } from '../household/sampleHome.test-support';
import type { ShelfRow, SpaceRow } from '../household';
import { modelSpace } from '../fit';
import { asShelfAbove, neededQuestions, opsForFollowing, opsForHeights, readHeights, surfacesOf } from './measureShort';
import { measureQuestions } from './measureQuestions';

const space = (more: Partial<SpaceRow> = {}): SpaceRow => ({
  ...spaceFields({
    kind: 'closet',
    widthTenthMm: null,
    heightTenthMm: null,
    depthTenthMm: null,
    postWidthTenthMm: null,
  }),
  id: 'closet',
  seq: 1,
  retired: false,
  ...more,
});
const shelf = (id: string, sort: number, more: Partial<ShelfRow> = {}): ShelfRow => ({
  ...shelfFields({ spaceId: 'closet', sort }),
  id,
  seq: 1,
  retired: false,
  ...more,
});
const six = Array.from({ length: 6 }, (_, at) => shelf(`s${at}`, at));

describe('what a plan needs', () => {
  it('of a closet with six shelves: nine figures, four answers; then it can be planned', () => {
    const needed = neededQuestions(measureQuestions(space(), six), space(), six);
    expect(needed.map(({ of, key }) => `${of} ${key}`)).toEqual([
      'space width',
      'space height',
      'space depth',
      ...six.map(() => 'shelf bottom'),
    ]);
    const measured = space({ widthTenthMm: 9000, heightTenthMm: 20_000, depthTenthMm: 4000 });
    expect(modelSpace(measured, six).shelves).toHaveLength(0);
    const surfaces = surfacesOf(measured, six);
    expect(surfaces.map(({ id }) => id)).toEqual(['s5', 's4', 's3', 's2', 's1', 's0']);
    const read = readHeights('2, 44, 76, 108, 140, 172', 'metric', 6, 20_000);
    if (read.kind !== 'read') throw new Error(read.kind);
    const ops = opsForHeights(measured, surfaces, read.heights);
    const rows = six.map((one) => {
      const op = ops.find((other) => other.op === 'change' && other.id === one.id);
      return { ...one, ...(op?.op === 'change' ? op.fields : {}) } as ShelfRow;
    });
    const { shelves, unmeasured } = modelSpace(measured, rows);
    expect(unmeasured).toEqual([]);
    expect(shelves.map(({ bottomTenthMm, room }) => [bottomTenthMm, room.height])).toEqual([
      [17_200, 2800],
      [14_000, 3020],
      [10_800, 3020],
      [7600, 3020],
      [4400, 3020],
      [200, 4020],
    ]);
  });
  it('a basket has sides of its own; a shelf whose clear height is known is not asked for its surface', () => {
    const rows = [shelf('a', 0, { heightTenthMm: 3000 }), shelf('b', 1, { kind: 'drawer' })];
    const needed = neededQuestions(measureQuestions(space(), rows), space(), rows);
    expect(needed.filter(({ of }) => of === 'shelf').map(({ id, key }) => `${id} ${key}`)).toEqual([
      'b width',
      'b depth',
      'b height',
    ]);
    expect(surfacesOf({ kind: 'chest_freezer' }, rows)).toEqual([]);
  });
});

describe('heights off one tape', () => {
  it.each([
    ['2, 44, 76', [200, 4400, 7600]],
    ['2,44,76', [200, 4400, 7600]],
    ['0 44.5 76', [0, 4450, 7600]],
    ['0; 44,5; 76', [0, 4450, 7600]],
    ['0, 44,5, 76', [0, 4450, 7600]],
    ['20 mm, 44 cm and 0.76 m', [200, 4400, 7600]],
    ['2; 44; and 76', [200, 4400, 7600]],
    ['2 cm, 440 mm, 0.76 m', [200, 4400, 7600]],
    ['0 44,5 76', [0, 4450, 7600]],
  ])('“%s”', (text, heights) => {
    expect(readHeights(text, 'metric', 3, 20_000)).toEqual({ kind: 'read', heights });
  });
  it('inches with fractions', () =>
    expect(readHeights('1/2", 17 1/2", 30"', 'inch', 3, null)).toEqual({ kind: 'read', heights: [127, 4445, 7620] }));
  it.each([
    ['2, 44', { kind: 'count', found: 2, wanted: 3 }],
    ['2, 44, many', { kind: 'unreadable', part: 'many' }],
    ['44, 2, 76', { kind: 'order', before: '44', after: '2' }],
    ['2, 44, 240', { kind: 'too_high', part: '240' }],
    ['', { kind: 'count', found: 0, wanted: 3 }],
  ])('“%s” is not taken', (text, why) => expect(readHeights(text, 'metric', 3, 20_000)).toEqual(why));
});

it('as the shelf above: the same figure of the next one up of its kind that is measured', () => {
  const rows = [shelf('a', 0, { heightTenthMm: 3020 }), shelf('b', 1), shelf('d', 2, { kind: 'drawer' })];
  const questions = measureQuestions(space(), rows);
  const of = (id: string, key: string) => questions.find((one) => one.id === id && one.key === key)!;
  expect(asShelfAbove(of('b', 'height'), rows)).toMatchObject({ shelf: { id: 'a' }, tenthMm: 3020 });
  expect(asShelfAbove(of('a', 'height'), rows)).toBeNull();
  expect(asShelfAbove(of('b', 'width'), rows)).toBeNull();
  expect(asShelfAbove(of('b', 'bottom'), rows)).toBeNull();
  expect(asShelfAbove(of('d', 'height'), rows)).toBeNull();
});

it('shelves of a pattern follow the space that was measured; only its width and depth, and only where they have a figure', () => {
  const rows = [shelf('a', 0, { widthTenthMm: 8600 }), shelf('b', 1)];
  const questions = measureQuestions(space(), rows);
  const of = (key: string) => questions.find((one) => one.of === 'space' && one.key === key)!;
  expect(opsForFollowing(of('width'), rows)).toEqual([
    { op: 'change', entity: 'shelf', id: 'a', fields: { widthTenthMm: null } },
  ]);
  expect([opsForFollowing(of('depth'), rows), opsForFollowing(of('height'), rows)]).toEqual([[], []]);
  const ofShelf = questions.find((one) => one.of === 'shelf' && one.key === 'width')!;
  expect(opsForFollowing(ofShelf, rows)).toEqual([]);
});
