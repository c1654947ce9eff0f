import 'fake-indexeddb/auto';
import { opsForTaking, type Refusal } from '@ours/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { v7 as uuidv7 } from 'uuid';
import type { QueuedCommand } from '@/data/store/deviceDb';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { keptQueue, openWith } from '@/shared/planHome.test-support';
import { WaitingScreen } from './WaitingScreen';

jest.mock('expo-router', () => ({
  usePathname: () => '/waiting',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

let at = 1;
/** Some lanterns were taken on this device; the server said nothing yet, or would not take it. */
function taking(pieces: number, refusal: Refusal | null = null): QueuedCommand {
  const now = '2026-11-24T10:15:00.000Z';
  const ops = opsForTaking([lotRow(24, 1)], pieces * 1000, { newId: () => uuidv7(), now, today: '2026-11-24' });
  return { at: at++, command: { id: uuidv7(), intent: 'stock_taken', occurredAt: now, ops }, seq: null, refusal };
}
const GONE: Refusal = { kind: 'retired', entity: 'bin', id: ID.bin };
const press = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('with nothing to send says so, and that there is no line', async () => {
  await openWith(<WaitingScreen />, sampleRows());
  expect(await screen.findByText('Nothing waits.')).toBeTruthy();
  await waitFor(() => expect(screen.getByText(/^There is no line to the server\./)).toBeTruthy());
  expect(screen.getByRole('button', { name: 'Try now' })).toBeTruthy();
});

it('lists what waits as what it was, the first first', async () => {
  await openWith(<WaitingScreen />, sampleRows(), [taking(4), taking(2)]);
  await screen.findByText('Waiting to be sent');
  const lines = screen.getAllByText(/Paper lantern out of BL1-A1/).map(({ textContent }) => textContent);
  expect(lines).toEqual([expect.stringMatching(/^4 Paper lantern/), expect.stringMatching(/^2 Paper lantern/)]);
  expect(screen.queryByText('Needs you')).toBeNull();
});

it('what was refused is tried again as another command', async () => {
  const refused = taking(4, { kind: 'not_accepted', detail: 'The server was in a bad mood.' });
  await openWith(<WaitingScreen />, sampleRows(), [refused]);
  await screen.findByText('Needs you');
  expect(within(screen.getByTestId('needs-you')).getByText(/bad mood/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Choose another place' })).toBeNull();
  await press('Try again');
  await screen.findByText('Waiting to be sent');
  const [again] = await keptQueue();
  expect(again).toMatchObject({ refusal: null, command: { intent: 'stock_taken', ops: refused.command.ops } });
  // The server remembers its answer by id.
  expect(again!.command.id).not.toBe(refused.command.id);
});

it('or dropped, and then nothing is left of it', async () => {
  await openWith(<WaitingScreen />, sampleRows(), [taking(4, { kind: 'not_accepted', detail: 'No.' }), taking(2)]);
  await screen.findByText('Needs you');
  await press('Drop it');
  await waitFor(() => expect(screen.queryByText('Needs you')).toBeNull());
  expect(await keptQueue()).toHaveLength(1);
  expect(screen.getByText(/^2 Paper lantern/)).toBeTruthy();
});

it('for a place that is gone another one is offered', async () => {
  await openWith(<WaitingScreen />, sampleRows(), [taking(4, GONE)]);
  await screen.findByText('Needs you');
  await press('Choose another place');
  expect(await screen.findByText('Another place')).toBeTruthy();
  expect(screen.getAllByText(/^4 Paper lantern/).length).toBeGreaterThan(1);
});
