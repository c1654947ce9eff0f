import type { BinRow, ShelfRow, SpaceRow } from '../household';
import { HouseholdState } from '../household';
import { lotRow, sampleRows } from '../household/sampleHome.test-support';
import { roomFor } from './roomFor';

/** One shelf, clear 100 cm wide, 40 deep, 50 high, with bins of given widths (cm) on it, 35 deep and 30 high. */
function shelfWith(widths: readonly (number | null)[], height = 30): { state: HouseholdState; space: SpaceRow } {
  const state = new HouseholdState();
  const rows = sampleRows();
  const space = {
    ...(rows.find(({ entity }) => entity === 'space')!.row as SpaceRow),
    widthTenthMm: 10_000,
    heightTenthMm: 5000,
    depthTenthMm: 4000,
    postWidthTenthMm: null,
    build: null,
  };
  const shelf = {
    ...(rows.find(({ entity }) => entity === 'shelf')!.row as ShelfRow),
    bottomTenthMm: 0,
    leftTenthMm: null,
    widthTenthMm: 10_000,
    heightTenthMm: 5000,
    depthTenthMm: 4000,
    build: null,
  };
  const bin = rows.find(({ entity }) => entity === 'bin')!.row as BinRow;
  state.put({ entity: 'space', row: space });
  state.put({ entity: 'shelf', row: shelf });
  widths.forEach((width, at) =>
    state.put({
      entity: 'bin',
      row: {
        ...bin,
        id: `bin${at}`,
        shelfId: shelf.id,
        parentBinId: null,
        code: `BL1-Z${at}`,
        widthTenthMm: width === null ? null : width * 100,
        depthTenthMm: 3500,
        heightTenthMm: height * 100,
      },
    }),
  );
  return { state, space };
}
const size = (w: number, d: number, h: number) => ({
  widthTenthMm: w * 100,
  depthTenthMm: d * 100,
  heightTenthMm: h * 100,
});

it.each([
  ['beside two bins of 30: 40 are left', [30, 30], size(38, 30, 20), { insteadOf: null, laid: false }],
  ['turned by a quarter, as it is too wide', [30, 30], size(42, 38, 20), { insteadOf: null }],
  [
    'laid on its side, as it is too high, where a bin goes',
    [30, 30],
    size(30, 20, 60),
    { laid: true, insteadOf: { id: 'bin0' } },
  ],
  ['in the place of the smallest bin that makes room', [45, 30, 20], size(20, 30, 20), { insteadOf: { id: 'bin2' } }],
])('%s', (_, widths, thing, want) => {
  const { state, space } = shelfWith(widths);
  const answer = roomFor(state, thing, [space], false);
  expect(answer.places[0]).toMatchObject(want);
  expect(answer).toMatchObject({ tried: 1, unknown: 0 });
});

it('upright means upright', () => {
  const { state, space } = shelfWith([30]);
  const tall = size(20, 20, 60);
  expect(roomFor(state, tall, [space], false).places[0]).toMatchObject({ laid: true, insteadOf: null });
  expect(roomFor(state, tall, [space], true).places).toEqual([]);
});

it('a shelf with a bin that is not measured, or with bins that do not fit, is not judged', () => {
  for (const widths of [
    [30, null],
    [60, 60],
  ]) {
    const { state, space } = shelfWith(widths);
    expect(roomFor(state, size(5, 5, 5), [space], false)).toEqual({ places: [], tried: 0, unknown: 1 });
  }
});

it('says when things without a bin stand there as well', () => {
  const { state, space } = shelfWith([30]);
  const shelfId = state.shelvesOf(space.id)[0]!.id;
  state.put({ entity: 'lot', row: lotRow('x', { nookId: shelfId, quantityThousandths: 1000 }) });
  expect(roomFor(state, size(20, 20, 20), [space], false).places[0]!.loose).toBe(1);
});

it('says how many stand there, and where what has to go finds room', () => {
  const { state, space } = shelfWith([30]);
  // 70 cm are left: three of 20.
  expect(roomFor(state, size(20, 38, 20), [space], true).places[0]).toMatchObject({ count: 3, goesTo: null });
  const full = shelfWith([50, 50]);
  const other = {
    ...full.state.shelvesOf(space.id)[0]!,
    id: 'other',
    code: 'BL1-Y1',
    bottomTenthMm: 6000,
    heightTenthMm: 3200,
  };
  full.state.put({ entity: 'shelf', row: other });
  // Too high for the other shelf itself; one of the bins of 30 cm is not.
  const [place] = roomFor(full.state, size(45, 35, 45), [full.space], true).places;
  expect(place).toMatchObject({ insteadOf: { id: 'bin0' }, goesTo: { id: 'other' } });
});

it('a place that is kept free is not taken without saying so', () => {
  const { state, space } = shelfWith([60, 40]);
  const kept = { ...state.get('bin', 'bin1')!, look: 'kept_free' as const, name: 'oars' };
  state.put({ entity: 'bin', row: kept });
  const [place] = roomFor(state, size(30, 30, 30), [space], true).places;
  expect(place).toMatchObject({ insteadOf: { id: 'bin1', look: 'kept_free' }, goesTo: null });
});
