import 'fake-indexeddb/auto';
import { addDays, type KitFields, type LotRow, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { KitScreen } from './KitScreen';
import { KitsScreen } from './KitsScreen';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';

const mockGo = jest.fn();
const mockKit = '019ab2f0-0000-7000-8000-0000000000b1';
jest.mock('expo-router', () => ({
  usePathname: () => '/kit',
  useLocalSearchParams: () => ({ id: mockKit }),
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
}));
beforeEach(() => mockGo.mockClear());

const SPARE = '019ab2f0-0000-7000-8000-0000000000b2';
const base = (id: string) => ({ id, seq: 1, retired: false });
/** A kit in the sample bin that needs lanterns; the sample bin has some, the shelf has spare ones. */
const home = (
  need: number,
  more: { spare?: number; kit?: Partial<KitFields>; lot?: Partial<LotRow> } = {},
): TaggedRow[] => [
  ...sampleRows().map((one) =>
    one.entity === 'lot' ? ({ ...one, row: { ...one.row, ...more.lot } } as TaggedRow) : one,
  ),
  ...(more.spare
    ? [
        {
          entity: 'lot' as const,
          row: { ...lotRow(more.spare, 1), id: SPARE, nookId: ID.shelf, expiresOn: addDays(today(), 2000) },
        },
      ]
    : []),
  {
    entity: 'kit',
    row: {
      ...base(mockKit),
      name: 'Party',
      nookId: ID.bin,
      parts: [{ itemId: ID.item, alsoIds: [], thousandths: need * 1000, soonDays: null }],
      kitIds: [],
      lookedOn: null,
      lookedById: null,
      ...more.kit,
    },
  },
];
const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name }));
  });
const figures = (): string => screen.getByTestId('kit-figures').textContent ?? '';

it('what is missing is filled from where there are spare ones', async () => {
  await openWith(<KitScreen />, home(30, { spare: 10 }));
  expect(await screen.findByText('6 missing')).toBeTruthy();
  expect(screen.getByText('24 of 30 · spare ones in')).toBeTruthy();
  await press('Fill 6');
  await waitFor(() => expect(figures()).toMatch(/^1complete0missing/));
  const [command] = await queued();
  expect(command!.intent).toBe('kit_filled');
  expect(command!.ops.map((op) => (op as { op: string }).op)).toContain('event');
});

it('what is nowhere else goes on the shopping list', async () => {
  await openWith(<KitScreen />, home(30));
  expect(await screen.findByText('24 of 30 · none elsewhere at home')).toBeTruthy();
  await press('Put Paper lantern on the list');
  expect(await screen.findByText('24 of 30 · on the shopping list')).toBeTruthy();
});

it('what ends soon is exchanged for newer ones', async () => {
  await openWith(
    <KitScreen />,
    home(20, { spare: 30, lot: { expiresOn: addDays(today(), 20), dateKind: 'best_before' } }),
  );
  await screen.findByRole('button', { name: 'Swap' });
  expect(figures()).toMatch(/1ends soon$/);
  await press('Swap');
  await waitFor(() => expect(figures()).toMatch(/^1complete0missing something0/));
});

it('it is taken out, packed, and brought back with what was used', async () => {
  await openWith(<KitScreen />, home(20));
  await screen.findByText('Complete and in date');
  await press('Take it out …');
  await press('Lend it');
  expect(screen.getByText('To whom does it go?')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('To whom'), { target: { value: 'the mill' } });
  await press('Lend it');
  expect(await screen.findByText('lent to the mill since today')).toBeTruthy();
  await act(async () => {
    fireEvent.click(screen.getByRole('checkbox', { name: 'Paper lantern packed' }));
  });
  await waitFor(() => expect(screen.getByTestId('packing').textContent).toContain('1 of 1'));
  await press('It is back …');
  await press('One more used, Paper lantern');
  await press('It is back');
  await waitFor(() => expect(screen.queryByText('lent to the mill since today')).toBeNull());
  const last = (await queued()).at(-1)!;
  expect(last.ops).toMatchObject([
    { op: 'event', event: { kind: 'taken', quantityThousandths: 1000 } },
    { op: 'change', entity: 'loan', fields: { backOn: today() } },
  ]);
});

it('an empty list says what a kit is for, and makes one', async () => {
  await openWith(<KitsScreen />, sampleRows());
  await screen.findByText(/^No kit yet/);
  await press('Make a kit');
  await press('Save');
  expect(screen.getByText('A kit needs a name.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('What is it called?'), { target: { value: 'Guests' } });
  await press('Save');
  await waitFor(async () => expect(await queued()).toHaveLength(1));
});

it('what serves as well, and from when a thing counts as ending soon, is said in the kit', async () => {
  await openWith(<KitScreen />, home(20, { lot: { expiresOn: addDays(today(), 65), dateKind: 'best_before' } }));
  await screen.findByText('Complete and in date');
  await press('Change the kit …');
  await press('…');
  await press('Ten days more');
  await press('Save');
  await waitFor(() => expect(figures()).toMatch(/1ends soon$/));
  expect((await queued())[0]!.ops).toMatchObject([
    { entity: 'kit', fields: { parts: [{ itemId: ID.item, soonDays: 70 }] } },
  ]);
});
