import 'fake-indexeddb/auto';
import type { ItemRow, TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { DoublesScreen } from './DoublesScreen';

jest.mock('expo-router', () => ({
  usePathname: () => '/doubles',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));
beforeEach(() => localStorage.clear());

const rows = sampleRows();
const item = rows.find(({ row }) => row.id === ID.item)!.row as ItemRow;
const OTHER = '019ab2f0-0000-7000-8000-0000000000d1';
const withOther = (more: Partial<ItemRow> = {}): TaggedRow[] => [
  ...rows,
  { entity: 'item', row: { ...item, id: OTHER, name: `${item.name}s`, ...more } },
];
const press = (words: string): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByText(words));
  });

it('a pair is made one in one command', async () => {
  await openWith(<DoublesScreen />, withOther());
  expect(await screen.findByText('1 pair')).toBeTruthy();
  await press(`One: ${item.name}`);
  await waitFor(() => expect(screen.getByText('no pair')).toBeTruthy());
  expect((await queued())[0]!.ops).toContainEqual({ op: 'retire', entity: 'item', id: OTHER });
});

it('two things stay two, and are not asked about again on this device', async () => {
  await openWith(<DoublesScreen />, withOther());
  await screen.findByText('1 pair');
  await press('Two things');
  expect(await screen.findByText('no pair')).toBeTruthy();
  expect(await queued()).toEqual([]);
});

it('what cannot be added up says so, and nothing is changed', async () => {
  await openWith(<DoublesScreen />, withOther({ unit: 'kg' }));
  await screen.findByText('1 pair');
  await press(`One: ${item.name}`);
  expect(await screen.findByText(/they cannot be added up/)).toBeTruthy();
  expect(await queued()).toEqual([]);
});
