import 'fake-indexeddb/auto';
import { addDays, type LoanFields, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { OutScreen } from './OutScreen';
import { overdueWords, waitingWords } from './words';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/out',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));

const base = (id: string) => ({ id, seq: 1, retired: false });
const loan = (more: Partial<LoanFields>): TaggedRow => ({
  entity: 'loan',
  row: {
    ...base('019ab2f0-0000-7000-8000-0000000000c1'),
    whatId: ID.lot,
    thousandths: 4000,
    way: 'lent',
    to: 'the mill',
    what: 'Paper lantern',
    byId: null,
    outOn: addDays(today(), -20),
    dueOn: addDays(today(), -3),
    backOn: null,
    packed: [],
    ...more,
  },
});
const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('several that were lent come back in part: the rest is still out', async () => {
  await openWith(<OutScreen />, [...sampleRows(), loan({})]);
  expect(await screen.findByText('3 days overdue')).toBeTruthy();
  await press('It is back');
  const field = screen.getByLabelText('How many of 4 came back');
  fireEvent.change(field, { target: { value: '9' } });
  await press('They are back');
  expect(screen.getByText('Only 4 went out.')).toBeTruthy();
  fireEvent.change(field, { target: { value: '3' } });
  await press('They are back');
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect((await queued())[0]!.ops.at(-1)).toMatchObject({ entity: 'loan', fields: { thousandths: 1000 } });
});

it('a bin comes back with a tap, and what came back is listed', async () => {
  await openWith(<OutScreen />, [
    ...sampleRows(),
    loan({ whatId: ID.bin, thousandths: null, what: 'paper lanterns', way: 'taken', to: 'on the kitchen table' }),
  ]);
  expect(await screen.findByText(/^on the kitchen table since /)).toBeTruthy();
  await press('It is back');
  expect(await screen.findByText('Not out any more')).toBeTruthy();
  expect(screen.getByText(/^Nothing is out/)).toBeTruthy();
});

it('a place is made one where things wait', async () => {
  await openWith(<OutScreen />, sampleRows());
  await screen.findByText(/^Nothing is out/);
  await press('A waiting place …');
  await press(/^paper lanterns/);
  await act(async () => {
    fireEvent.click(screen.getByRole('radio', { name: 'ironing' }));
  });
  await press('A day less');
  await press('Save');
  expect(await screen.findByText('ironing, usually up to 6 days')).toBeTruthy();
});

it('says how long', () => {
  expect(overdueWords({ dueOn: '2026-11-26' }, '2026-11-27')).toBe('1 day overdue');
  expect(overdueWords({ dueOn: '2026-11-27' }, '2026-11-27')).toBe('');
  const lot = {} as never;
  expect(waitingWords({ lot, days: 26, tooLong: true }, 7)).toBe('26 days here; usual: up to 7');
  expect(waitingWords({ lot, days: 0, tooLong: false }, 7)).toBe('since today');
});
