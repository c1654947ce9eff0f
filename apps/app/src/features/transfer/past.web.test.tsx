import 'fake-indexeddb/auto';
import type { Op } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { PastDialog } from './PastDialog';

let mockFile = '';
let mockHome: () => Promise<Uint8Array> = () => Promise.reject(new Error('The server cannot be reached.'));
jest.mock('@/kit/files', () => ({
  pickFile: () => Promise.resolve({ name: 'x.csv', size: 1, bytes: new TextEncoder().encode(mockFile) }),
}));
jest.mock('@/data/api/homeFile', () => ({ fetchHome: () => mockHome() }));
const closed = jest.fn();

const LOT = sampleRows().find(({ entity }) => entity === 'lot')!.row as { id: string; itemId: string };
const NAME = (sampleRows().find(({ row }) => row.id === LOT.itemId)!.row as { name: string }).name;
const event = (id: string, day: string, voids: string | null = null) => ({
  id,
  lotId: LOT.id,
  kind: voids === null ? 'taken' : 'voided',
  quantityThousandths: 2000,
  occurredAt: `${day}T09:00:00.000Z`,
  voids,
});
const read = async (text: string): Promise<void> => {
  mockFile = text;
  await openWith(<PastDialog onClose={closed} />, sampleRows());
  const choose = await screen.findByRole('button', { name: 'Choose a file …' });
  await act(async () => {
    fireEvent.click(choose);
  });
};

it('what is new, known already, left out and not read is said; written, the stock of today stays', async () => {
  const events = [event('a', '2026-05-03'), event('b', '2026-05-10'), event('c', '2026-05-10', 'b')];
  mockHome = () => Promise.resolve(new TextEncoder().encode(JSON.stringify({ rows: sampleRows(), events })));
  const rows = [
    `3.5.2026;verbraucht;${NAME};2`,
    `10.5.2026;verbraucht;${NAME};2`,
    `17.5.2026;gekauft;${NAME};2,0`,
    `18.5.2026;Inventur;${NAME};5`,
    `19.5.2026;verbraucht;Sanduhr;1`,
  ];
  await read(`Datum;Vorgang;Artikel;Menge\n${rows.join('\n')}\n`);
  expect(
    await screen.findByText(
      '2 rows are new, 1 is known already, 1 is left out, 1 was not read. Nothing is written yet.',
    ),
  ).toBeTruthy();
  expect(
    screen.getByText(/A column says what happened\. Numbers as 1,5 \(shown by “2,0”\); dates day first/),
  ).toBeTruthy();
  expect(screen.getByText('not read: no thing of this home is called so')).toBeTruthy();
  expect(await queued()).toEqual([]);
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Add 2 rows' }));
  });
  await waitFor(() => expect(closed).toHaveBeenCalled());
  const [command] = await queued();
  expect(command!.intent).toBe('past_read');
  const ops = command!.ops as Op[];
  const written = ops.flatMap((op) => (op.op === 'event' ? [[op.event.kind, op.event.quantityThousandths]] : []));
  expect(written).toEqual([
    ['moved_in', 2000],
    ['taken', 2000],
    ['put_in', 2000],
    ['moved_out', 2000],
  ]);
  expect(ops[0]).toMatchObject({ op: 'create', entity: 'lot', fields: { itemId: LOT.itemId } });
});

it('without a signal nothing is read, and it is said why one is needed', async () => {
  mockHome = () => Promise.reject(new Error('The server cannot be reached.'));
  await read(`date,item\n3.5.2026,${NAME}\n`);
  expect(
    await screen.findByText(/^Nothing was read: The server cannot be reached\. The table is compared with the history/),
  ).toBeTruthy();
  expect(await queued()).toEqual([]);
});

it('a table without days says what it has to have', async () => {
  mockHome = () => Promise.resolve(new TextEncoder().encode(JSON.stringify({ rows: [], events: [] })));
  await read('item,quantity\nrice,2\n');
  expect(await screen.findByText(/^This is no table of the past: its first row has to name the columns/)).toBeTruthy();
});
