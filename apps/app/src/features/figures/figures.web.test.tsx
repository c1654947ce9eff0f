import 'fake-indexeddb/auto';
import type { TaggedRow } from '@ours/core';
import { screen, within } from '@testing-library/react';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { openWith } from '@/shared/planHome.test-support';
import { FiguresScreen } from './FiguresScreen';
import { gapWords, monthWords, thrownRemark, unpricedWords } from './words';

jest.mock('expo-router', () => ({
  usePathname: () => '/figures',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const priced = (): TaggedRow[] =>
  sampleRows().map((tagged) =>
    tagged.entity === 'item' && tagged.row.id === ID.item
      ? { ...tagged, row: { ...tagged.row, packs: [{ shopId: null, amountThousandths: 1000, priceMinor: 250 }] } }
      : tagged,
  );

it('what is on the device is worked out here; what needs the history says that it needs a signal', async () => {
  await openWith(<FiguresScreen />, priced());
  const worth = await screen.findByRole('table', { name: 'Worth by room' });
  expect(within(worth).getByText('Boat loft')).toBeTruthy();
  expect(screen.getByText(/to buy again at the prices noted\./)).toBeTruthy();
  expect((await screen.findAllByText(/that needs a signal/)).length).toBe(3);
});

it('words of figures', () => {
  const item = { unit: 'tin' } as never;
  expect(monthWords('2026-02')).toBe('Feb 2026');
  expect(unpricedWords(0)).toBeUndefined();
  expect(unpricedWords(1)).toBe('1 thing without a price is not in it');
  expect(thrownRemark({ month: '2026-02', minor: 0, things: 2, unpriced: 1 })).toBe(
    '2 things, 1 of them without a price',
  );
  expect([2000, -1000, 0].map((gapThousandths) => gapWords({ item, counts: 1, gapThousandths }))).toEqual([
    '+2 tins',
    '−1 tin',
    'as noted',
  ]);
});
