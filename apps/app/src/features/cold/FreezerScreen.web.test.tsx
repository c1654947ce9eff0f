import 'fake-indexeddb/auto';
import { addDays, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';
import { FreezerScreen } from './FreezerScreen';

jest.mock('expo-router', () => ({
  usePathname: () => '/space',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000003' }),
}));

/** The rack as a freezer with four tubs of stew, frozen three weeks ago. */
const freezer = (more: object = {}): TaggedRow[] =>
  sampleRows().map((tagged): TaggedRow => {
    if (tagged.entity === 'space') return { entity: 'space', row: { ...tagged.row, kind: 'chest_freezer' } };
    if (tagged.entity === 'item') return { entity: 'item', row: { ...tagged.row, name: 'Bean stew', unit: 'tub' } };
    return tagged.entity === 'lot'
      ? { entity: 'lot', row: { ...lotRow(4, 1), frozenOn: addDays(today(), -21), ...more } }
      : tagged;
  });
const press = (name: string | RegExp, role = 'button'): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getAllByRole(role, { name })[0]!);
  });

it('shows what is in each layer and for how long, and picks some of it for a day', async () => {
  await openWith(<FreezerScreen />, freezer());
  expect(await screen.findByText(/^frozen 3 weeks, best until/)).toBeTruthy();
  await press(/^Bean stew, 4 tubs/);
  await press('More');
  await press('tomorrow', 'radio');
  expect(await screen.findByText('Picked for the week')).toBeTruthy();
  expect(screen.getByText(/; comes out today$/)).toBeTruthy();
  expect(screen.getByText(/2 tubs picked$/)).toBeTruthy();
  expect((await queued())[0]).toMatchObject({
    intent: 'stock_picked',
    ops: [{ op: 'create', entity: 'pick', fields: { lotId: ID.lot, amountThousandths: 2000, thawedOn: null } }],
  });
  await press('Out to thaw');
  await waitFor(() => expect(screen.queryByText('Picked for the week')).toBeNull());
  const ops = (await queued())[1]!.ops;
  expect(ops).toMatchObject([
    { op: 'event', event: { kind: 'moved_out', quantityThousandths: 2000 } },
    { op: 'create', entity: 'lot', fields: { thawedOn: today() } },
    { op: 'event', event: { kind: 'moved_in' } },
    { op: 'change', entity: 'pick', fields: { thawedOn: today() } },
  ]);
});

it('says what was frozen too late, and what is empty', async () => {
  await openWith(<FreezerScreen />, freezer({ expiresOn: addDays(today(), -30), dateKind: 'use_by' }));
  expect(await screen.findByText(/^frozen 3 weeks, too late: use by/)).toBeTruthy();
});
it('an empty freezer says what to do', async () => {
  await openWith(<FreezerScreen />, freezer({ quantityThousandths: 0, retired: true }));
  expect(await screen.findByText(/^Nothing is recorded in this freezer/)).toBeTruthy();
});
