import 'fake-indexeddb/auto';
import { addDays, tripsAhead, withCheckDigit, type TaggedRow } from '@ours/core';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { ID } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';
import { openWith, queued } from '@/shared/planHome.test-support';
import { ScanProvider, useEmitScan } from '@/shared/ScanProvider';
import { ItemScreen } from './ItemScreen';
import { PutAwayScreen } from './PutAwayScreen';
import { RefillScreen } from './RefillScreen';
import { OTHER_BIN, PACKS, usedHome } from './restockHome.test-support';
import { RestockScreen } from './RestockScreen';
import { ShopScreen } from './ShopScreen';
import { UseFirstScreen } from './UseFirstScreen';

const mockGo = jest.fn();
jest.mock('expo-router', () => ({
  usePathname: () => '/restock',
  useRouter: () => ({ push: mockGo, replace: mockGo, canGoBack: () => false }),
  useLocalSearchParams: () => ({ id: '019ab2f0-0000-7000-8000-000000000006' }),
}));
const mockShared: string[] = [];
jest.mock('@/kit/files', () => ({
  shareText: (_: string, text: string) => {
    mockShared.push(text);
    return Promise.resolve('copied');
  },
}));
beforeEach(() => mockGo.mockClear());

const press = (name: string | RegExp, at = 0): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getAllByRole('button', { name })[at]!);
  });
const type = (label: string | RegExp, text: string): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } });
  });
const trip = tripsAhead([], today())[0]!;
/** A line of the next trip's list. */
const line = (more: object = {}, id = '019ab2f0-0000-7000-8000-0000000000a1'): TaggedRow => ({
  entity: 'purchase',
  row: {
    id,
    seq: 1,
    retired: false,
    itemId: ID.item,
    name: 'Paper lantern',
    shopId: null,
    forDay: trip.day,
    packs: 3,
    packThousandths: 2000,
    priceMinor: 350,
    state: 'wanted',
    instead: '',
    note: '',
    byPersonId: null,
    atInstant: null,
    ...more,
  } as never,
});

describe('the list', () => {
  it('says how many packs, why and for how much; what is not bought is folded', async () => {
    await openWith(<RestockScreen />, usedHome(3, { packs: PACKS }));
    const row = await screen.findByRole('button', { name: /^\d+ pieces? Paper lantern: / });
    expect(row.getAttribute('aria-label')).toMatch(/lasts to|none/);
    expect(screen.getByText(/^about €\d+$/)).toBeTruthy();
    expect(screen.getByText(/Saturdays are assumed · 1 thing/)).toBeTruthy();
    await press('Share');
    expect(mockShared.at(-1)).toMatch(/^Shopping, Saturday .*\n\nOther\n- \d+ × Paper lantern, 2$/);
  });
  it('is empty in a home that has enough, and says how long that lasts', async () => {
    await openWith(<RestockScreen />, usedHome(60));
    expect(await screen.findByText(/^Nothing has to be bought on this trip\./)).toBeTruthy();
    await press(/^Not bought this time/);
    expect(await screen.findByText(/^60 left; lasts to /)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Start shopping' }).getAttribute('aria-disabled')).toBe('true');
  });
  it('another number is written on it, and what is not wanted this week is gone from it', async () => {
    await openWith(<RestockScreen />, usedHome(3, { packs: PACKS }));
    await screen.findByRole('button', { name: /pieces? Paper lantern/ });
    await press(/pieces? Paper lantern/);
    await press('One more Paper lantern');
    expect(await screen.findByText(/^On the list: \d+ × Paper lantern\.$/)).toBeTruthy();
    await press('Not this week');
    expect(await screen.findByText(/^Nothing has to be bought/)).toBeTruthy();
    const done = await queued();
    expect(done.map(({ intent }) => intent)).toEqual(['list_changed', 'list_changed']);
    expect(done[0]!.ops).toMatchObject([
      { op: 'create', entity: 'purchase', fields: { itemId: ID.item, state: 'wanted' } },
    ]);
    expect(done[1]!.ops).toMatchObject([{ op: 'change', entity: 'purchase', fields: { state: 'dismissed' } }]);
  });
  it('a line is added as it is said: what is known here, and what is not', async () => {
    await openWith(<RestockScreen />, usedHome(60));
    await screen.findByText(/^Nothing has to be bought/);
    await press('Add');
    await type('What, and how many', '2 lanterns');
    expect(await screen.findByText('2 × Paper lantern')).toBeTruthy();
    await press('Add', 1);
    await type('What, and how many', 'lamp glass');
    expect(await screen.findByText(/^1 × lamp glass \(new here/)).toBeTruthy();
    await press('Add', 1);
    await waitFor(async () => expect(await queued()).toHaveLength(2));
    expect((await queued()).flatMap(({ ops }) => ops)).toMatchObject([
      { fields: { itemId: ID.item, packs: 2, forDay: trip.day } },
      { fields: { itemId: null, name: 'lamp glass', packs: 1 } },
    ]);
  });
  it('what is put away is no line of the list any more', async () => {
    await openWith(<RestockScreen />, [...usedHome(60), line({ state: 'put_away' })]);
    expect(await screen.findByText(/^Nothing has to be bought/)).toBeTruthy();
  });
  it('shopping begins with every line written, and goes to the shop', async () => {
    await openWith(<RestockScreen />, usedHome(3));
    await screen.findByRole('button', { name: /pieces? Paper lantern/ });
    await press('Start shopping');
    await waitFor(() => expect(mockGo).toHaveBeenCalledWith('/restock/shop'));
    expect((await queued()).map(({ intent }) => intent)).toEqual(['trip_begun']);
  });
});

describe('the shop', () => {
  it('a list that nobody began leads to the list', async () => {
    await openWith(<ShopScreen />, usedHome(3));
    expect(await screen.findByText(/^There is no list for this trip yet\./)).toBeTruthy();
    await press('To the list');
    expect(mockGo).toHaveBeenCalledWith('/restock');
  });
  it('ticks, prices, takes something instead, and says what is not there', async () => {
    await openWith(<ShopScreen />, [...usedHome(3), line()]);
    const box = await screen.findByRole('checkbox', { name: 'Paper lantern in the basket' });
    await act(async () => fireEvent.click(box));
    expect(await screen.findByText('1 of 1 in the basket, €10.50')).toBeTruthy();
    await press(/^3 × Paper lantern/);
    await type('Price of one (EUR)', '4');
    await act(async () => fireEvent.blur(screen.getByLabelText('Price of one (EUR)')));
    expect(await screen.findByText('1 of 1 in the basket, €12.00')).toBeTruthy();
    await press('Instead …');
    await type('Taken instead', 'Cloth lantern');
    await press('Save');
    expect(await screen.findByText(/^instead: Cloth lantern/)).toBeTruthy();
    await press('Not there');
    expect(await screen.findByText('not there · comes back on the next list')).toBeTruthy();
    expect((await queued()).map(({ intent }) => intent)).toEqual([
      'list_ticked',
      'price_noted',
      'list_changed',
      'list_ticked',
    ]);
  });
  it('what is scanned is ticked once; what is no list’s says so', async () => {
    let emit: ReturnType<typeof useEmitScan> = () => undefined;
    function Scanner() {
      emit = useEmitScan();
      return null;
    }
    const [wanted, other] = ['200000000777', '200000000888'].map((figures) =>
      withCheckDigit(figures).padStart(14, '0'),
    );
    const home = [...usedHome(3), line()].map((one) =>
      one.entity === 'item' ? { ...one, row: { ...one.row, codes: [one.row.id === ID.item ? wanted! : other!] } } : one,
    );
    await openWith(
      <ScanProvider>
        <Scanner />
        <ShopScreen />
      </ScanProvider>,
      home,
    );
    await screen.findByRole('checkbox', { name: 'Paper lantern in the basket' });
    await act(async () => emit(wanted!, 'scanner'));
    expect(await screen.findByText('1 of 1 in the basket, €10.50')).toBeTruthy();
    await act(async () => emit(wanted!, 'typed'));
    expect(await screen.findByText('Paper lantern is in the basket already.')).toBeTruthy();
    expect((await queued()).map(({ intent }) => intent)).toEqual(['list_ticked']);
  });
  it('answers “do we have …?” from this device', async () => {
    await openWith(<ShopScreen />, [...usedHome(9), line()]);
    await screen.findByRole('checkbox', { name: 'Paper lantern in the basket' });
    await type('Do we have …?', 'lantern');
    expect(await screen.findByText(/^(Some|Enough): 9, lasts to /)).toBeTruthy();
    await type('Do we have …?', 'zeppelin');
    expect(await screen.findByText('Nothing like “zeppelin” is recorded at home.')).toBeTruthy();
  });
});

describe('putting away', () => {
  const basket = (more: object = {}) => line({ state: 'basket', ...more });
  it('puts it where most of it is, with a date by key, in one command', async () => {
    await openWith(<PutAwayScreen />, [...usedHome(3), basket()]);
    expect(await screen.findByRole('heading', { name: 'Paper lantern, 6' })).toBeTruthy();
    expect(screen.getByText('where most of it is')).toBeTruthy();
    const done = screen.getByRole('button', { name: 'Done' });
    expect(done.getAttribute('aria-disabled')).toBe('true');
    await press(/^1 week/);
    await press('Done');
    expect(await screen.findByText(/^Nothing waits to be put away\./)).toBeTruthy();
    const [command] = await queued();
    expect(command).toMatchObject({
      intent: 'stock_put_away',
      ops: [
        { op: 'change', entity: 'purchase', fields: { state: 'put_away' } },
        {
          op: 'create',
          entity: 'lot',
          fields: { nookId: ID.bin, expiresOn: addDays(today(), 7), dateKind: 'best_before' },
        },
        { op: 'event', event: { kind: 'put_in', quantityThousandths: 6000 } },
      ],
    });
  });
  it('a date typed after a key stays in its field and counts', async () => {
    await openWith(<PutAwayScreen />, [...usedHome(3), basket()]);
    await screen.findByRole('heading', { name: 'Paper lantern, 6' });
    await press(/^1 week/);
    for (const text of ['3', '31/1', '31/12/28']) await type('or as it is printed', text);
    expect((screen.getByLabelText('or as it is printed') as HTMLInputElement).value).toBe('31/12/28');
    await press('Done');
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    expect((await queued())[0]!.ops).toContainEqual(
      expect.objectContaining({ op: 'create', fields: expect.objectContaining({ expiresOn: '2028-12-31' }) }),
    );
  });
  it('sends to the reserve what its place does not hold, or all here', async () => {
    const front = { nookId: ID.bin, leastThousandths: 1000, fullThousandths: 5000 };
    const rows = usedHome(3, { front });
    const lot = rows.find(({ entity }) => entity === 'lot')!;
    const reserve = {
      entity: 'lot',
      row: { ...lot.row, id: '019ab2f0-0000-7000-8000-0000000000b1', nookId: OTHER_BIN },
    } as TaggedRow;
    await openWith(<PutAwayScreen />, [...rows, reserve, basket()]);
    expect(await screen.findByText('4 do not fit: to the reserve')).toBeTruthy();
    expect(screen.getByText('2 go here')).toBeTruthy();
    await press('All here');
    expect(await screen.findByText('6 go here')).toBeTruthy();
  });
  it('what is not known here is asked for its place', async () => {
    await openWith(<PutAwayScreen />, [
      ...usedHome(3),
      basket({ itemId: null, name: 'Lamp glass', packThousandths: null }),
    ]);
    expect(await screen.findByText('It has no place yet, and nothing of its kind says one.')).toBeTruthy();
    await press('Choose its place');
    const [place] = await screen.findAllByText('paper lanterns');
    await act(async () => fireEvent.click(place!));
    expect(await screen.findByText('3 go here')).toBeTruthy();
    await press(/^no date/);
    await press('Done');
    await waitFor(async () => expect(await queued()).toHaveLength(1));
    expect((await queued())[0]!.ops[0]).toMatchObject({ op: 'create', entity: 'item', fields: { name: 'Lamp glass' } });
  });
});

describe('the refill round', () => {
  it('carries up to full with one tap', async () => {
    const front = { nookId: OTHER_BIN, leastThousandths: 0, fullThousandths: 4000 };
    await openWith(<RefillScreen />, usedHome(9, { front }));
    const box = await screen.findByRole('checkbox', { name: '4 Paper lantern carried' });
    expect(screen.getByText('to 4; 5 left there')).toBeTruthy();
    await act(async () => fireEvent.click(box));
    await waitFor(() => expect(box.getAttribute('aria-checked')).toBe('true'));
    await waitFor(async () => expect((await queued())[0]).toMatchObject({ intent: 'stock_refilled' }));
    await press('Undo');
    await waitFor(() => expect(box.getAttribute('aria-checked')).toBe('false'));
  });
  it('says how to begin where nothing has a place of its own', async () => {
    await openWith(<RefillScreen />, usedHome(9));
    expect(await screen.findByText(/^Nothing has to be carried\./)).toBeTruthy();
  });
});

describe('use first', () => {
  it('says what is lost, and throws out what is past a date of safety', async () => {
    const late = { expiresOn: addDays(today(), -2), dateKind: 'use_by' };
    await openWith(<UseFirstScreen />, usedHome(4, { packs: PACKS }, late));
    expect(await screen.findByText('About €7 lost at the present pace')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Freeze …' })).toBeNull();
    expect(screen.queryByRole('button', { name: 'Given away' })).toBeNull();
    await press('Throw out');
    expect(await screen.findByText(/^At the present pace everything with a date is used in time\./)).toBeTruthy();
    expect((await queued())[0]!.ops).toMatchObject([
      { event: { kind: 'discarded', reason: 'expired', quantityThousandths: 4000 } },
    ]);
  });
  it('of what is still good more can be done', async () => {
    await openWith(<UseFirstScreen />, usedHome(40, {}, { expiresOn: addDays(today(), 5), dateKind: 'best_before' }));
    expect(await screen.findByText('Some is lost at the present pace')).toBeTruthy();
    await press('Used one');
    await waitFor(async () => expect((await queued())[0]).toMatchObject({ intent: 'stock_taken' }));
    expect(screen.getByRole('button', { name: 'Freeze …' })).toBeTruthy();
    await press('Given away');
    await waitFor(async () => expect((await queued())[1]!.ops).toMatchObject([{ event: { reason: 'given_away' } }]));
  });
});

describe('the page of a thing', () => {
  it('says how long it lasts and what to do, and keeps how it is bought', async () => {
    await openWith(<ItemScreen />, usedHome(40, { packs: PACKS, lowAtThousandths: 5000 }));
    expect(await screen.findByText(/^About (1|0\.9) a (day|week)|About [67](\.\d)? a week, from 84 uses/)).toBeTruthy();
    expect(screen.getByText('worth €70.00')).toBeTruthy();
    await press('Change: mark');
    await type(/^Mark/, '8');
    await press('Save');
    expect(await screen.findByText('at 8')).toBeTruthy();
    await press('Change: keep');
    expect(await screen.findByText('no place yet')).toBeTruthy();
    await press('Cancel');
    await press('Take one');
    expect((await queued()).map(({ intent }) => intent)).toEqual(['item_changed', 'stock_taken']);
  });
  it('of which no use is known says so', async () => {
    const rows = usedHome(4).filter(({ entity }) => entity !== 'use');
    await openWith(<ItemScreen />, rows);
    expect(await screen.findByText('No use seen yet.', { exact: false })).toBeTruthy();
    expect(screen.getByText(/^Take some out with a tap/)).toBeTruthy();
  });
});
