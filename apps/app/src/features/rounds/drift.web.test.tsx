import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { screen, waitFor } from '@testing-library/react';
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

it('where nothing can drift nothing is noted', async () => {
  await openWith(<DriftScreen />, sampleRows());
  expect(await screen.findByText(/^All is as it was set up/)).toBeTruthy();
  expect(await queued()).toEqual([]);
});
