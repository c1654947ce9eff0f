import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { PACKS, usedHome } from '@/features/restock/restockHome.test-support';
import { StockTableScreen } from './StockTableScreen';
import { isShown, worthOf, type StockRow } from './stockRows';
import { worthWords } from './words';

jest.mock('expo-router', () => ({
  usePathname: () => '/stock',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({}),
}));
jest.mock('tamagui', () => ({ ...jest.requireActual('tamagui'), useMedia: () => ({ gtMd: true }) }));
const other = '019ab2f0-0000-7000-8000-0000000000e1';
const rows = () => {
  const all = usedHome(24, { packs: PACKS });
  const item = all.find(({ entity }) => entity === 'item')!;
  return [...all, { entity: 'item', row: { ...item.row, id: other, name: 'Zither strings', packs: null } } as never];
};
const key = (name: string): Promise<void> =>
  act(async () => {
    fireEvent.keyDown(screen.getByRole('grid'), { key: name });
  });

it('sorts, selects with the keys, counts in place and puts on the list', async () => {
  await openWith(<StockTableScreen />, rows());
  expect(await screen.findByText('2 of 2, worth €42.00')).toBeTruthy();
  const names = (): (string | null)[] =>
    screen
      .getAllByRole('row')
      .slice(1)
      .map(({ id }) => id);
  // What is gone comes first.
  expect(names()).toEqual([`row-${other}`, `row-${ID.item}`]);
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Sort by What' }));
  });
  expect(names()).toEqual([`row-${ID.item}`, `row-${other}`]);
  await key('ArrowDown');
  await key(' ');
  expect(screen.getByText('1 selected, worth €42.00')).toBeTruthy();
  await key('Enter');
  const field = screen.getByLabelText('How many Paper lantern are there?');
  await act(async () => {
    fireEvent.change(field, { target: { value: '20' } });
  });
  await act(async () => {
    fireEvent.keyDown(field, { key: 'Enter', code: 'Enter', keyCode: 13 });
  });
  await waitFor(async () =>
    expect(await queued()).toMatchObject([
      { intent: 'stock_counted', ops: [{ op: 'event', event: { kind: 'counted', quantityThousandths: 20_000 } }] },
    ]),
  );
  await waitFor(() => expect(screen.getByText('2 of 2, worth €35.00')).toBeTruthy());
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Put on the list' }).getAttribute('aria-disabled')).not.toBe('true'),
  );
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Put on the list' }));
  });
  await waitFor(async () => expect((await queued())[1]).toMatchObject({ intent: 'list_changed' }));
});

it('filters by words of the thing and its place, and by what is gone', async () => {
  await openWith(<StockTableScreen />, rows());
  await screen.findByText('2 of 2, worth €42.00');
  const filter = screen.getByLabelText('with these words, also of its place');
  const write = (text: string): Promise<void> =>
    act(async () => {
      fireEvent.change(filter, { target: { value: text } });
    });
  await write('loft lant');
  expect(screen.getAllByRole('row')).toHaveLength(2);
  await write('harpsichord');
  expect(screen.getByText('Nothing of this is here.')).toBeTruthy();
  await write('');
  await act(async () => {
    fireEvent.click(screen.getByRole('radio', { name: 'gone' }));
  });
  expect(
    screen
      .getAllByRole('row')
      .slice(1)
      .map(({ id }) => id),
  ).toEqual([`row-${other}`]);
});

describe('rows', () => {
  const row = (more: object): StockRow =>
    ({ item: { lowAtThousandths: 2000 }, there: 3000, due: null, entry: null, worthMinor: null, ...more }) as StockRow;
  it.each([
    ['low', { there: 2000 }, true],
    ['low', { there: 3000 }, false],
    ['none', { there: 0 }, true],
    ['ends', { due: { on: '2026-12-01', reason: 'use_by' } }, true],
    ['ends', { due: { on: '2027-12-01', reason: 'use_by' } }, false],
    ['runs_out', { entry: { out: { early: 3 } } }, true],
    ['runs_out', { entry: { out: { early: 9 } } }, false],
    ['runs_out', { entry: { out: { early: null } } }, false],
  ] as const)('%s %j: %s', (shown, more, want) => expect(isShown(row(more), shown, 9, '2026-12-08')).toBe(want));
  it('what they are worth, where prices are known', () => {
    const rowsOf = [row({ worthMinor: 250 }), row({}), row({ there: 0 })];
    expect(worthWords(worthOf(rowsOf), 'EUR')).toBe('worth €2.50 (1 without a price)');
    expect(worthWords({ minor: 0, unpriced: 2 }, 'EUR')).toBe('no prices known');
  });
});
