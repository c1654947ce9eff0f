import { sampleHome } from '../household/sampleHome.test-support';
import type { PurchaseRow } from '../household';
import { listView } from './listView';
import type { RestockEntry } from './restockList';
import type { Trip } from './trips';

const trip: Trip = { day: '2026-11-28', shop: null } as Trip;
const entry = { itemId: 'lanterns', verdict: 'buy', packs: 2, packThousandths: 1000, priceMinor: 150 } as RestockEntry;
const line = (state: PurchaseRow['state'], more: Partial<PurchaseRow> = {}): PurchaseRow =>
  ({
    id: `line-${state}`,
    seq: 1,
    retired: false,
    itemId: 'lanterns',
    name: 'Paper lanterns, midsummer',
    shopId: null,
    forDay: trip.day,
    packs: 3,
    packThousandths: 1000,
    priceMinor: 150,
    state,
    ...more,
  }) as PurchaseRow;
const viewOf = (...lines: PurchaseRow[]) => {
  const home = sampleHome();
  for (const row of lines) home.put({ entity: 'purchase', row });
  return listView(home, { answer: { entries: [entry] }, trip });
};

it('a line that only the outlook proposes is not ticked', () => {
  const { lines, costMinor, begun } = viewOf();
  expect(lines.map(({ packs, ticked }) => [packs, ticked])).toEqual([[2, null]]);
  expect(costMinor).toBe(300);
  expect(begun).toBe(false);
});

it.each([
  ['basket', 'basket'],
  ['not_there', 'not_there'],
  ['wanted', null],
] as const)('%s in the shop is said on the list as %s', (state, ticked) => {
  expect(viewOf(line(state)).lines.map((one) => one.ticked)).toEqual([ticked]);
});

it('of two phones that wrote a line each, the basket counts', () => {
  const { lines } = viewOf(line('not_there'), line('basket'));
  expect(lines.map(({ ticked, written }) => [ticked, written.length])).toEqual([['basket', 2]]);
});

it('what is put away is stock and what is not bought this time is off; a line written by hand is told as well', () => {
  expect(viewOf(line('put_away'), line('basket', { id: 'own', itemId: null, name: 'chalk' })).lines).toMatchObject([
    { name: 'Paper lanterns, midsummer', ticked: null },
    { name: 'chalk', ticked: 'basket' },
  ]);
  expect(viewOf(line('dismissed')).lines).toEqual([]);
});
