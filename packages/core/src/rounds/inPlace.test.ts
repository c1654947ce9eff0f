import { HouseholdState, type TaggedRow } from '../household';
import { binFields, idMaker, runOps, sampleRows } from '../household/sampleHome.test-support';
import { opsForNotingShare, shareInPlace, sharesByWeek } from './inPlace';

const base = (id: string) => ({ id, seq: 1, retired: false });
function home(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  for (const id of ['a', 'b', 'c'])
    state.put({ entity: 'bin', row: { ...base(id), ...binFields({ name: id, code: `XX${id}` }) } });
  for (const nookId of ['a', 'b'])
    state.put({
      entity: 'label',
      row: { ...base(`l${nookId}`), nookId, words: nookId.toUpperCase(), contents: null, printedOn: '2026-11-01' },
    });
  return state;
}
const noted = (id: string, on: string, inPlace: number): TaggedRow => ({
  entity: 'in_place',
  row: { ...base(id), on, places: 10, inPlace },
});

it('labelled places count, a label that says otherwise is not in place, a bin without any of it does not count', () => {
  const state = home();
  expect(shareInPlace(state)).toEqual({ places: 2, inPlace: 2 });
  state.put({ entity: 'bin', row: { ...state.get('bin', 'a')!, name: 'another name' } });
  expect(shareInPlace(state)).toEqual({ places: 2, inPlace: 1 });
});

it('of each week the last counts, whichever device noted it', () => {
  const state = home();
  // 2026-11-16 and 2026-11-23 are Mondays.
  for (const row of [noted('1', '2026-11-16', 9), noted('3', '2026-11-22', 7), noted('2', '2026-11-22', 8)])
    state.put(row);
  state.put(noted('4', '2026-11-23', 10));
  expect(sharesByWeek(state)).toEqual([
    { week: '2026-11-16', places: 10, inPlace: 7 },
    { week: '2026-11-23', places: 10, inPlace: 10 },
  ]);
});

it('is noted once a week', () => {
  const state = home();
  const context = (today: string) => ({ newId: idMaker(today), now: `${today}T10:00:00.000Z`, today });
  const note = (today: string): void => {
    const ops = opsForNotingShare(state, shareInPlace(state), context(today));
    if (ops.length > 0) runOps(state, ops, context(today));
  };
  for (const day of ['2026-11-23', '2026-11-29', '2026-11-30']) note(day);
  expect(state.all('in_place').map(({ on }) => on)).toEqual(['2026-11-23', '2026-11-30']);
  expect(opsForNotingShare(state, { places: 0, inPlace: 0 }, context('2026-12-20'))).toEqual([]);
});
