import 'fake-indexeddb/auto';
import type { BinRow, ItemRow, LotRow } from '@ours/core';
import { act, fireEvent, screen } from '@testing-library/react';
import Papa from 'papaparse';
import { HouseholdState } from '@ours/core';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ImportScreen } from './ImportScreen';
import { listTable, placesTable, stockTable, tableToCsv, thingsTable } from './tables';

jest.mock('expo-router', () => ({
  usePathname: () => '/data/table',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const rows = sampleRows();
const find = <T,>(entity: string, id: string): T =>
  rows.find((one) => one.entity === entity && one.row.id === id)!.row as T;
const item = find<ItemRow>('item', ID.item);
const { code, name: binName } = find<BinRow>('bin', ID.bin);
const lot = rows.find(({ entity, row }) => entity === 'lot' && (row as LotRow).itemId === ID.item)!.row as LotRow;
// By their words: asking for roles in so large a page takes seconds here.
const press = (words: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByText(words));
  });
async function paste(text: string): Promise<void> {
  await openWith(<ImportScreen />, rows);
  fireEvent.change(await screen.findByLabelText('Or paste rows from a spreadsheet'), { target: { value: text } });
  await press('Read what is pasted');
}

it('each row says what it would do; nothing is written before, and all of it is taken back at once', async () => {
  await paste(`what\thow many\twhere\n${item.name}\t7\t${code}\nHemp seed\t1,5 kg\t${code}\nPoppy\tmany\t${code}`);
  expect(await screen.findByText('not read 1')).toBeTruthy();
  expect(screen.getByText('“many” is no amount; a number from 0 is taken.')).toBeTruthy();
  expect(await queued()).toEqual([]);
  await press('Write 2 rows');
  await screen.findByText('2 rows were written.', undefined, { timeout: 5000 });
  expect((await queued())[0]!.ops).toMatchObject([
    { op: 'event', event: { kind: 'counted', lotId: lot.id, quantityThousandths: 7000 } },
    { op: 'create', entity: 'item', fields: { name: 'Hemp seed', unit: 'kg' } },
    { op: 'create', entity: 'lot' },
    { op: 'event', event: { kind: 'put_in', quantityThousandths: 1500 } },
  ]);
  await press('Take all of it back');
  await screen.findByText('All of it was taken back.', undefined, { timeout: 5000 });
  expect(await queued()).toHaveLength(2);
});

it('what a column means can be said, and where rows without a place go', async () => {
  await paste('Hemp seed\t2\nPoppy seed\t3');
  expect(await screen.findByText(/^No column names the things yet/)).toBeTruthy();
  await press('column 1: left out');
  await press('what');
  await press('column 2: left out');
  await press('how many');
  await screen.findByText('not read 2');
  await press('nowhere: choose …');
  fireEvent.change(screen.getByLabelText('Their place'), { target: { value: code } });
  const [place] = await screen.findAllByText(binName);
  await act(async () => {
    fireEvent.click(place!);
  });
  expect(await screen.findByText('new 2')).toBeTruthy();
});

describe('tables out', () => {
  const state = new HouseholdState();
  for (const row of rows) state.put(row);
  it.each(['comma', 'semicolon'] as const)('%s: read back by another reader they are the same cells', async (style) => {
    for (const table of [
      stockTable(state, style),
      thingsTable(state, style),
      placesTable(state),
      listTable(state, style),
    ]) {
      const csv = await tableToCsv(table, style);
      expect(csv.startsWith('\uFEFF')).toBe(true);
      const { data } = Papa.parse<string[]>(csv.slice(1), {
        delimiter: style === 'comma' ? ',' : ';',
        skipEmptyLines: true,
      });
      expect(data).toEqual([[...table.head], ...table.rows]);
    }
  });
  it('what a spreadsheet would take for a formula is marked as text; lots that look alike are one row', async () => {
    expect(await tableToCsv({ head: ['a'], rows: [['=1+1'], ['@x']] }, 'comma')).toContain(`"'=1+1"\r\n"'@x"\r\n`);
    const twice = new HouseholdState();
    for (const row of rows) twice.put(row);
    const before = stockTable(twice, 'comma').rows.length;
    twice.put({ entity: 'lot', row: { ...lot, id: '019ab2f0-0000-7000-8000-0000000000e9' } });
    expect(stockTable(twice, 'comma').rows).toHaveLength(before);
  });
});
