import { HouseholdState } from '../household';
import { binFields, idMaker, runOps, sampleRows, shelfFields } from '../household/sampleHome.test-support';
import { opsForSwappingPlaces, swapProblem } from './swap';

const base = (id: string) => ({ id, seq: 1, retired: false });
const context = { newId: idMaker(), now: '2026-12-01T10:00:00.000Z' };
function home(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  const { spaceId } = state.get('shelf', 'top')!;
  const shelf = (id: string, heightTenthMm: number | null) =>
    state.put({
      entity: 'shelf',
      row: { ...base(id), ...shelfFields({ spaceId, name: id, code: `XX${id}`, heightTenthMm }) },
    });
  shelf('high', 4000);
  shelf('low', 2500);
  const bin = (id: string, shelfId: string, leftTenthMm: number, more = {}) =>
    state.put({
      entity: 'bin',
      row: { ...base(id), ...binFields({ name: id, code: `YY${id}`, shelfId, leftTenthMm, ...more }) },
    });
  bin('hats', 'high', 100, { heightTenthMm: 2400 });
  bin('cushions', 'low', 900, { heightTenthMm: 2000 });
  bin('skis', 'high', 2000, { heightTenthMm: 3900 });
  bin('caps', 'high', 0, { parentBinId: 'hats' });
  return state;
}
const at = (state: HouseholdState, id: string) => {
  const { shelfId, leftTenthMm } = state.get('bin', id)!;
  return [shelfId, leftTenthMm];
};

it('two bins change places, with what stands in them, and back', () => {
  const state = home();
  runOps(state, opsForSwappingPlaces(state, 'hats', 'cushions'), context);
  expect([at(state, 'hats'), at(state, 'cushions'), state.get('bin', 'caps')!.shelfId]).toEqual([
    ['low', 900],
    ['high', 100],
    'low',
  ]);
  runOps(state, opsForSwappingPlaces(state, 'hats', 'cushions'), context);
  expect([at(state, 'hats'), at(state, 'cushions')]).toEqual([
    ['high', 100],
    ['low', 900],
  ]);
});

it('one that is higher than the other’s shelf is clear stays, and it is said why', () => {
  const state = home();
  expect(swapProblem(state, 'cushions', 'skis')).toEqual({
    kind: 'too_high',
    name: 'skis',
    isTenthMm: 3900,
    clearTenthMm: 2500,
  });
  expect(opsForSwappingPlaces(state, 'cushions', 'skis')).toEqual([]);
});

it('a bin and the one it stands in, or one that is gone, do not change places', () => {
  const state = home();
  expect(swapProblem(state, 'caps', 'hats')).toEqual({ kind: 'same' });
  expect(swapProblem(state, 'hats', 'hats')).toEqual({ kind: 'same' });
  expect(swapProblem(state, 'hats', 'nothing')).toEqual({ kind: 'gone' });
});
