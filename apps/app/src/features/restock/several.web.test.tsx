import 'fake-indexeddb/auto';
import { act, fireEvent, screen } from '@testing-library/react';
import { openWith } from '@/shared/planHome.test-support';
import { lineOf, packsOf } from './listLine';
import { SeveralDialog } from './SeveralDialog';

jest.mock('expo-router', () => ({
  usePathname: () => '/restock',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
}));

const added = jest.fn();
const write = (text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText('One line each, or a table with its head'), { target: { value: text } });
  });
beforeEach(async () => {
  added.mockClear();
  await openWith(<SeveralDialog trip={{ day: '2026-11-28', shop: null }} onClose={() => undefined} onAdd={added} />);
  await screen.findByText('Several lines for the list');
});

it('each line is read before it is written, what the home knows is known again', async () => {
  expect(screen.getByRole('button', { name: 'Add them' }).getAttribute('aria-disabled')).toBe('true');
  await write('2 paper lanterns\n\n- 3 chalk');
  expect(await screen.findByText('2 × Paper lantern')).toBeTruthy();
  expect(screen.getByText('known here')).toBeTruthy();
  expect(screen.getByText('3 × chalk')).toBeTruthy();
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Add 2 lines' }));
  });
  const [lines] = added.mock.calls[0] as [{ name: string; packs: number; itemId: string | null }[]];
  expect(lines.map(({ name, packs, itemId }) => [name, packs, itemId !== null])).toEqual([
    ['Paper lantern', 2, true],
    ['chalk', 3, false],
  ]);
});

it('a row that cannot be read says why and is left out', async () => {
  await write('what,packs\nChalk,many\nSoap,2');
  expect(await screen.findByText('not read: “many” is no number of packs from 1 on')).toBeTruthy();
  expect(screen.getByText('1 line is not read and left out.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Add 1 line' })).toBeTruthy();
});

it('an amount by measure is no number of packs', async () => {
  await write('500 g butter\n2 x 250 g butter\n1,5 kg flour, white');
  expect(await screen.findByText('1 × butter, 500 g')).toBeTruthy();
  expect(screen.getByText('2 × butter, 250 g')).toBeTruthy();
  expect(screen.getByText(/^1 × .*, 1\.5 kg$/)).toBeTruthy();
});

it('of a thing kept by measure it is so many packs as make it up', () => {
  const trip = { day: '2026-11-28', shop: null };
  const flour = {
    id: 'f',
    name: 'Flour',
    unit: 'kg',
    packs: [{ shopId: null, amountThousandths: 1000, priceMinor: 120 }],
  };
  const packs = (thousandths: number, unit: string, item: object = flour): number =>
    lineOf('flour', item as never, { packs: 1, measure: { thousandths, unit }, size: null }, trip).packs;
  expect(packs(1500, 'kg')).toBe(2);
  expect(packs(500_000, 'g')).toBe(1);
  // Kept by the tin: nobody said how many grams are in one.
  expect(packs(500_000, 'g', { ...flour, unit: 'tin' })).toBe(1);
  expect(lineOf('flour', flour as never, packsOf(3), trip).packs).toBe(3);
});
