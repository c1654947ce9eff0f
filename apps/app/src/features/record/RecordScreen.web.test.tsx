import 'fake-indexeddb/auto';
import { writeCode } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { forgetDeviceDb, openDeviceDb, readStored } from '@/data/deviceDb';
import { ID, sampleRows } from '@/data/sampleRows.test-support';
import { openWith } from '../planHome.test-support';
import { RecordScreen } from './RecordScreen';

jest.mock('expo-router', () => ({
  useLocalSearchParams: () => ({ nook: '019ab2f0-0000-7000-8000-000000000005' }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

/** The screen over a real device store, with no line to any server. */
async function openRecord() {
  await openWith(<RecordScreen />, sampleRows());
  return screen.findByTestId('record-line');
}
const write = (field: HTMLElement, text: string): void => {
  fireEvent.change(field, { target: { value: text } });
};
const click = async (name: string | RegExp): Promise<void> => {
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
};
async function stored() {
  const db = await openDeviceDb(ID.home);
  const { queue } = await readStored(db);
  db.close();
  return queue.map(({ command }) => [command.intent, command.ops.map((op) => op.op).join(' ')]);
}

describe('recording a line', () => {
  it('a scanned label changes the place and records nothing', async () => {
    const field = await openRecord();
    write(field, writeCode('BL1', 'A'));
    await act(async () => {
      fireEvent.keyDown(field, { key: 'Enter', code: 'Enter', keyCode: 13 });
    });
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    expect(screen.queryByText('paper lanterns')).toBeNull();
    expect(screen.getByLabelText(`code ${writeCode('BL1', 'A')}`)).toBeTruthy();
    expect(await stored()).toEqual([]);
  });
  it('reads back, knows the thing, saves into the queue and goes on', async () => {
    const field = await openRecord();
    expect(screen.getByText('paper lanterns')).toBeTruthy();
    write(field, '6 paper lanterns exp 3/28');
    expect(screen.getByTestId('card-amount').textContent).toBe('6 pieces');
    expect(screen.getByTestId('card-name').textContent).toBe('Paper lantern');
    expect(screen.getByText('known here · 24 in this place')).toBeTruthy();
    expect(screen.getByTestId('card-expiresOn').textContent).toBe('31 Mar 2028');
    await click('One more');
    expect(screen.getByTestId('card-amount').textContent).toBe('7 pieces');
    await click('Save and go on');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe(''));
    expect(screen.getByText('Paper lantern, 7')).toBeTruthy();
    expect(await stored()).toEqual([['stock_put_in', 'create event']]);
    await waitFor(() => expect(screen.getByTestId('sync-state').textContent).toBe('1 waiting'));
  });

  it('takes a saved line back', async () => {
    const field = await openRecord();
    write(field, '-4 paper lanterns');
    await click('Save and go on');
    await waitFor(() => expect(screen.getByText('Paper lantern, 4')).toBeTruthy());
    await click('Take back Paper lantern, 4');
    await waitFor(() => expect(screen.queryByText('Paper lantern, 4')).toBeNull());
    expect((await stored()).map(([intent]) => intent)).toEqual(['stock_taken', 'undone']);
  });

  it('proposes known things while typing', async () => {
    const field = await openRecord();
    write(field, '2 papr lant');
    await click('Paper lantern');
    expect(screen.getByTestId('card-name').textContent).toBe('Paper lantern');
  });

  it('asks when a date has two readings, and keeps what it cannot read word for word', async () => {
    const field = await openRecord();
    write(field, 'oat flakes exp mar 27');
    expect(screen.getByText(/“mar 27” can be read in more than one way/)).toBeTruthy();
    await click(/^31 Mar/);
    expect(screen.queryByText(/more than one way/)).toBeNull();
    expect(screen.getByTestId('card-expiresOn').textContent).toMatch(/^31 Mar/);
    write(field, '??? 12');
    await click('Keep as typed');
    await waitFor(() => expect(screen.getByText('“??? 12”')).toBeTruthy());
    await click('fix');
    await waitFor(() => expect((field as HTMLInputElement).value).toBe('??? 12'));
  });

  it('will not mix pieces and grams', async () => {
    const field = await openRecord();
    write(field, '200 g paper lanterns');
    expect(screen.getByText(/is kept in piece; an amount in g cannot be added/)).toBeTruthy();
  });

  it('a line that this device cannot keep stays in the field, and is said to be not saved', async () => {
    const field = await openRecord();
    write(field, '6 paper lanterns');
    await forgetDeviceDb(ID.home);
    await click('Save and go on');
    await waitFor(() => expect(screen.getByText(/could not keep the change, so it was not made/)).toBeTruthy());
    expect((field as HTMLInputElement).value).toBe('6 paper lanterns');
    expect(screen.queryByText('Paper lantern, 6')).toBeNull();
    expect(screen.getByTestId('sync-state').textContent).toBe('Storage full or lost');
  });
});
