import 'fake-indexeddb/auto';
import { addDays, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { NookScreen } from './NookScreen';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockBin = ID.bin;
jest.mock('expo-router', () => ({
  usePathname: () => '/nook',
  useLocalSearchParams: () => ({ id: mockBin }),
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
const openLantern = async (rows: TaggedRow[] = sampleRows()): Promise<void> => {
  await openWith(<NookScreen />, rows);
  await screen.findByText('In it');
  await press(/^Paper lantern/);
};

it('two of them are lent until a day; a day that has passed is not taken', async () => {
  await openLantern();
  await act(async () => {
    fireEvent.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'More' }));
  });
  await press('Lend 2 …');
  fireEvent.change(screen.getByLabelText('To whom'), { target: { value: 'the mill' } });
  fireEvent.change(screen.getByLabelText('Due back, if it was said'), { target: { value: addDays(today(), -2) } });
  await press('Lend it');
  expect(screen.getByText('That day has passed; due back is today or later.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Due back, if it was said'), { target: { value: addDays(today(), 9) } });
  await press('Lend it');
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect((await queued())[0]!.ops.at(-1)).toMatchObject({
    entity: 'loan',
    fields: { thousandths: 2000, to: 'the mill', dueOn: addDays(today(), 9), way: 'lent' },
  });
  expect(screen.getByText(/^lent to the mill since today, due back /)).toBeTruthy();
});

it('what is wrong with one of them is said, and it stays', async () => {
  await openLantern();
  await press('Its condition …');
  await act(async () => {
    fireEvent.click(screen.getByRole('radio', { name: 'to mend' }));
  });
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect(screen.getByText('to mend')).toBeTruthy();
  expect(screen.getAllByText(/^Paper lantern/).length).toBeGreaterThan(1);
});
