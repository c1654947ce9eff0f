import { HouseholdState, type TaggedRow } from '../household';
import { itemFields, lotRow, sampleRows, shelfFields } from '../household/sampleHome.test-support';
import { scheduleOf } from './schedule';

const base = (id: string) => ({ id, seq: 1, retired: false });
const front = (nookId: string, refillOn: number | null) => ({
  nookId,
  leastThousandths: 500,
  fullThousandths: 2000,
  refillOn,
});
const item = (id: string, more: Parameters<typeof itemFields>[0] = {}): TaggedRow => ({
  entity: 'item',
  row: { ...base(id), ...itemFields({ name: id, unit: 'kg', ...more }) },
});

test('what the shelves are for, refill days in the order of the week, and what is to be used first', () => {
  const state = new HouseholdState();
  for (const row of [
    ...sampleRows(),
    item('Oats', { front: front('bin2', 3) }),
    item('Flour', { front: front('bin2', 0) }),
    item('Sugar', { front: front('bin', null) }),
    item('Elsewhere', { front: front('no such bin', 1) }),
    {
      entity: 'lot',
      row: lotRow('late', { itemId: 'Oats', nookId: 'bin2', quantityThousandths: 1000, expiresOn: '2027-03-31' }),
    },
    {
      entity: 'lot',
      row: lotRow('soon', { itemId: 'Flour', nookId: 'bin2', quantityThousandths: 1000, expiresOn: '2026-12-05' }),
    },
    {
      entity: 'lot',
      row: lotRow('second', { itemId: 'Flour', nookId: 'bin2', quantityThousandths: 1000, expiresOn: '2026-12-09' }),
    },
    {
      entity: 'lot',
      row: lotRow('none', { itemId: 'Sugar', nookId: 'bin', quantityThousandths: 0, expiresOn: '2026-12-01' }),
    },
  ] as TaggedRow[])
    state.put(row);
  const shelf = state.shelvesOf('rack')[0]!;
  state.put({
    entity: 'shelf',
    row: { ...shelf, ...shelfFields({ ...shelf, purpose: { words: 'guests', takes: [] } }) },
  });
  const lines = scheduleOf(state, 'rack');
  expect(lines.map((line) => [line.kind, 'itemName' in line ? line.itemName : line.words])).toEqual([
    ['purpose', 'guests'],
    ['refill', 'Flour'],
    ['refill', 'Oats'],
    ['refill', 'Sugar'],
    ['use_first', 'Flour'],
    ['use_first', 'Oats'],
  ]);
  expect(lines.find(({ kind }) => kind === 'use_first')).toMatchObject({ on: '2026-12-05' });
  expect(scheduleOf(new HouseholdState(), 'rack')).toEqual([]);
});
