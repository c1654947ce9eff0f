import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { DriftScreen } from './DriftScreen';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';

jest.mock('expo-router', () => ({
  usePathname: () => '/drift',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const base = (id: string) => ({ id, seq: 1, retired: false });
const labelled: TaggedRow = {
  entity: 'label',
  row: {
    ...base('019ab2f0-0000-7000-8000-0000000000f1'),
    nookId: ID.bin,
    words: 'oars',
    contents: null,
    printedOn: '2026-01-01',
  },
};
const week = (id: string, on: string, inPlace: number): TaggedRow => ({
  entity: 'in_place',
  row: { ...base(id), on, places: 10, inPlace },
});

it('says what drifted and how much is in place, and notes it for the week', async () => {
  await openWith(<DriftScreen />, [
    ...sampleRows(),
    labelled,
    week('019ab2f0-0000-7000-8000-0000000000f2', '2026-01-05', 6),
    week('019ab2f0-0000-7000-8000-0000000000f3', '2026-01-12', 9),
  ]);
  expect(await screen.findByText('Its label says otherwise.')).toBeTruthy();
  await waitFor(async () => expect(await queued()).toHaveLength(1));
  expect(await queued()).toMatchObject([
    { intent: 'in_place_noted', ops: [{ entity: 'in_place', fields: { places: 1, inPlace: 0 } }] },
  ]);
  expect(screen.getByText('0 of 1 place is as set up')).toBeTruthy();
  expect(screen.getByRole('img', { name: /^60 % in the week of 5 Jan/ })).toBeTruthy();
});

it('where nothing can drift nothing is claimed and nothing is noted', async () => {
  await openWith(<DriftScreen />, sampleRows());
  expect(await screen.findByText(/^Nothing can be compared yet/)).toBeTruthy();
  expect(await queued()).toEqual([]);
});

const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });

it('a label written anew by hand is noted so in a tap, and undone', async () => {
  await openWith(<DriftScreen />, [...sampleRows(), labelled]);
  await screen.findByText('Its label says otherwise.');
  expect(screen.getByRole('button', { name: 'Print it anew …' })).toBeTruthy();
  await press('I wrote it anew by hand');
  await waitFor(() => expect(screen.queryByText('Its label says otherwise.')).toBeNull());
  expect(screen.getByText(/^The one place that can be compared is as set up/)).toBeTruthy();
  expect((await queued()).at(-1)).toMatchObject({
    ops: [{ op: 'change', entity: 'label', fields: { contents: null } }],
  });
});

it('a set that is not whole goes onto the list, or is none any more', async () => {
  const rows = sampleRows().map((one) =>
    one.entity === 'item' && one.row.id === ID.item
      ? { ...one, row: { ...one.row, set: { pieces: 1000, withItemId: null } } }
      : one,
  ) as TaggedRow[];
  await openWith(<DriftScreen />, rows);
  await screen.findByText('A set of it is begun and not whole.');
  await press(/^\d+ missing: onto the list$/);
  await waitFor(() => expect(screen.getByText('on the shopping list')).toBeTruthy());
  await press('No set any more');
  await waitFor(() => expect(screen.queryByText('A set of it is begun and not whole.')).toBeNull());
});
