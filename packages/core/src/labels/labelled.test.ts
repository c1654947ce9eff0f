import { applyCommand, HouseholdState, type Op, type TaggedRow } from '../household';
import {
  AS_ADULT,
  binFields,
  idMaker,
  itemFields,
  lotRow,
  sampleRows,
  shelfFields,
} from '../household/sampleHome.test-support';
import { contentsLine, labelledIn, opsForPrinting } from './labelled';

const newId = idMaker();
const TODAY = '2026-11-27';
const base = (id: string) => ({ id, seq: 1, retired: false });
function home(...more: TaggedRow[]): HouseholdState {
  const state = new HouseholdState();
  for (const row of [...sampleRows(), ...more]) state.put(row);
  return state;
}
const run = (state: HouseholdState, ops: Op[]): void => {
  const occurredAt = `${TODAY}T08:00:00.000Z`;
  const applied = applyCommand(state, { id: newId(), intent: 'test', occurredAt, ops }, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied));
  for (const row of applied.changed) state.put(row);
};
const matches: TaggedRow[] = ['matches', 'glass', 'wax', 'wick'].flatMap((id, at): TaggedRow[] => [
  { entity: 'item', row: { ...base(id), ...itemFields({ name: `Long ${id}` }) } },
  { entity: 'lot', row: lotRow(`lot ${id}`, { itemId: id, nookId: 'bin2', quantityThousandths: 9000 - at * 1000 }) },
]);

describe('what a label says', () => {
  it('bins of the shelves in order with their names as words; a shelf only when it is called something and has no bins', () => {
    const state = home({
      entity: 'bin',
      row: { ...base('kept'), ...binFields({ name: 'spare', look: 'kept_free', sort: 2 }) },
    });
    expect(labelledIn(state, 'rack').map(({ nookId, words, keptFree }) => [nookId, words, keptFree])).toEqual([
      ['bin', 'Paper lanterns', false],
      ['bin2', 'Tea lights', false],
      ['kept', 'Spare', true],
    ]);
    const named = home({ entity: 'shelf', row: { ...base('third'), ...shelfFields({ name: 'sledges', sort: 2 }) } });
    expect(labelledIn(named, 'rack').at(-1)).toMatchObject({ nookId: 'third', words: 'Sledges' });
  });
  it('contents: what most of first, three named and the others counted, not what the words say already', () => {
    const state = home(...matches);
    expect(contentsLine(state, 'bin2', 'Tea lights')).toBe('Long matches, long glass, long wax +1');
    expect(contentsLine(state, 'bin2', 'Long matches')).toBe('Long glass, long wax, long wick');
    expect(contentsLine(state, 'low', '')).toBe('');
  });
});

it('after printing all is as printed; another name or other contents are told, and printed anew by changing the row', () => {
  const state = home(...matches);
  expect(labelledIn(state, 'rack').map(({ since }) => since)).toEqual(['none', 'none']);
  run(state, opsForPrinting(state, labelledIn(state, 'rack'), true, TODAY, newId));
  expect(labelledIn(state, 'rack').map(({ since }) => since)).toEqual(['same', 'same']);
  run(state, [{ op: 'change', entity: 'bin', id: 'bin', fields: { name: 'summer lanterns' } }]);
  state.put({
    entity: 'lot',
    row: lotRow('lot matches', { itemId: 'matches', nookId: 'bin2', quantityThousandths: 0 }),
  });
  expect(labelledIn(state, 'rack').map(({ since }) => since)).toEqual(['words', 'contents']);
  const again = opsForPrinting(state, labelledIn(state, 'rack'), false, TODAY, newId);
  expect(again.map(({ op }) => op)).toEqual(['change', 'change']);
  run(state, again);
  expect(labelledIn(state, 'rack').map(({ since }) => since)).toEqual(['same', 'same']);
  // Printed without a line of contents, it stays true.
  state.put({ entity: 'lot', row: lotRow('lot glass', { itemId: 'glass', nookId: 'bin2', quantityThousandths: 0 }) });
  expect(labelledIn(state, 'rack')[1]).toMatchObject({ since: 'same' });
  expect(state.all('label')).toHaveLength(2);
});
