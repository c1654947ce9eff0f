import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ItemScreen } from './ItemScreen';
import { LeavingScreen } from './LeavingScreen';
import { OTHER_BIN, PACKS, usedHome } from './restockHome.test-support';
import { RestockScreen } from './RestockScreen';
import { UseFirstScreen } from './UseFirstScreen';

jest.mock('expo-router', () => ({
  usePathname: () => '/restock',
  useRouter: () => ({ push: jest.fn(), replace: jest.fn(), canGoBack: () => false }),
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000006' }),
}));
jest.mock('tamagui', () => ({ ...jest.requireActual('tamagui'), useMedia: () => ({ gtMd: true }) }));

const press = (name: string | RegExp): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getAllByRole('button', { name })[0]!);
  });
const type = (text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText('What does the offer say?'), { target: { value: text } });
  });

describe('an offer', () => {
  it('is read, priced against the usual price, and put on the list for its own price', async () => {
    await openWith(<RestockScreen />, usedHome(3, { packs: PACKS }));
    // Wide: what can be done with the first line stands beside the list.
    await screen.findByRole('region', { name: 'Of this line' });
    await press('On offer');
    await type('2 for a song');
    expect(screen.getByText(/“a song” is not an amount of money/)).toBeTruthy();
    await type('2 for 4');
    expect(screen.getByText(/^No date limits it that is known/)).toBeTruthy();
    // Two usual ones are €7.00.
    await press('2 more');
    expect(screen.getByText(/^€\d+\.00, €\d+\.00 saved; lasts to about /)).toBeTruthy();
    await press(/^Put \d+ on the list$/);
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    expect((await queued())[0]!.ops).toMatchObject([
      { op: 'create', entity: 'purchase', fields: { itemId: ID.item, priceMinor: 200, state: 'wanted' } },
    ]);
  });
  it('of what keeps a few days at most what is used in them', async () => {
    await openWith(<RestockScreen />, usedHome(3, { packs: PACKS, keepDays: 8 }));
    await screen.findByRole('region', { name: 'Of this line' });
    await press('On offer');
    await type('-50 %');
    expect(screen.getByText(/^At most \d+: more would likely be past their date before they are used\.$/)).toBeTruthy();
    await type('40 for 50');
    expect(screen.getByText(/^The offer is for 40, and at most \d+ pieces?: more would/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Take none' })).toBeTruthy();
  });
});

describe('before one leaves', () => {
  it('says what does not fit in its place, and of how many it does not know', async () => {
    const front = { nookId: ID.bin, leastThousandths: 1000, fullThousandths: 4000 };
    await openWith(<LeavingScreen />, usedHome(3, { packs: PACKS, front }));
    expect(await screen.findByText('more than its place holds, and there is no reserve place')).toBeTruthy();
    expect(screen.getByText('1 does not, or just')).toBeTruthy();
    expect(screen.getByText(/^About €\d+\.$/)).toBeTruthy();
  });
  it('is honest where nothing is known', async () => {
    await openWith(<LeavingScreen />, usedHome(3, { packs: PACKS }));
    expect(await screen.findByText('of 1 it is not known')).toBeTruthy();
    expect(screen.queryByText(/cool bag/)).toBeNull();
  });
});

it('what a thing is used for is a guess until it is said; it stands under that meal', async () => {
  await openWith(<ItemScreen />, usedHome(3, { name: 'Plum jam' }));
  expect(await screen.findByText('a guess from its name and kind')).toBeTruthy();
  await press('Change: for');
  await act(async () => {
    fireEvent.click(screen.getByRole('checkbox', { name: 'baking' }));
  });
  await press('Save');
  await waitFor(async () =>
    expect((await queued())[0]!.ops).toMatchObject([{ fields: { meals: ['breakfast', 'baking'] } }]),
  );
});

it('use first by meal, wide: the first row of the first meal is the one whose deeds are shown', async () => {
  const late = { expiresOn: '2020-01-01', dateKind: 'best_before', nookId: OTHER_BIN };
  await openWith(<UseFirstScreen />, usedHome(3, { name: 'Plum jam', packs: PACKS }, late));
  const byMeal = await screen.findByRole('radio', { name: 'By meal' });
  await act(async () => {
    fireEvent.click(byMeal);
  });
  expect(screen.getByRole('heading', { name: 'For breakfast and bread' })).toBeTruthy();
  expect(screen.getByRole('region', { name: 'Of this lot' }).textContent).toContain('Plum jam');
});
