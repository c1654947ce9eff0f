import { HouseholdState, type ItemFields, type LotFields } from '../household';
import { idMaker, itemFields, lotFields, runOps, sampleRows } from '../household/sampleHome.test-support';
import { eventOp, opsForUnit } from '../stock';
import { countsAgainst, thrownByMonth, unitPrices, worthBy } from './figures';
import { insuranceList } from './insurance';

const base = (id: string) => ({ id, seq: 1, retired: false });
const context = { newId: idMaker(), now: '2026-11-20T10:00:00.000Z', today: '2026-11-20' };
const price = (amountThousandths: number, priceMinor: number | null) => ({
  shopId: null,
  amountThousandths,
  priceMinor,
});

/** The loft's rack with oats (priced), string (not), and lamps in a room of their own. */
function home(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) if (row.entity !== 'item' && row.entity !== 'lot') state.put(row);
  state.put({ entity: 'room', row: { ...base('porch'), name: 'Porch', sort: -1 } });
  const rack = state.get('space', 'rack')!;
  state.put({ entity: 'space', row: { ...rack, ...base('case'), roomId: 'porch', code: 'PC-0' } });
  const thing = (id: string, more: Partial<ItemFields>): void =>
    state.put({ entity: 'item', row: { ...base(id), ...itemFields({ name: id, ...more }) } });
  thing('oats', { unit: 'kg', category: 'Dry', packs: [price(500, 145)] });
  thing('string', { category: '' });
  thing('lamp', { category: 'Light', packs: [price(1000, 4900), price(1000, 3900)] });
  const lot = (id: string, amount: number, more: Partial<LotFields>): void =>
    runOps(
      state,
      [
        { op: 'create', entity: 'lot', id, fields: lotFields({ nookId: 'top', ...more }) },
        eventOp(context, id, 'put_in', amount),
      ],
      context,
    );
  lot('l1', 2000, { itemId: 'oats' });
  lot('l2', 3000, { itemId: 'string' });
  lot('l3', 1000, { itemId: 'lamp', nookId: 'case', madeOn: '2024-05-02', madeKind: 'bought' });
  lot('l4', 1000, { itemId: 'lamp' });
  return state;
}

it('worth is what it costs to buy again, and what has no price is counted, not guessed', () => {
  expect(worthBy(home(), 'room')).toEqual([
    { name: 'Boat loft', minor: 2 * 290 + 3900, unpriced: 1 },
    { name: 'Porch', minor: 3900, unpriced: 0 },
  ]);
  expect(worthBy(home(), 'category')).toEqual([
    { name: 'Light', minor: 7800, unpriced: 0 },
    { name: 'Dry', minor: 580, unpriced: 0 },
    { name: '', minor: 0, unpriced: 1 },
  ]);
});

it('what was thrown away by month, also of before the thing was kept in another unit', () => {
  const state = home();
  const changed = opsForUnit(state, state.get('item', 'oats')!, 'g', 1000, context);
  if (!changed.ok) throw new Error(changed.problem.kind);
  runOps(state, changed.ops, context);
  const prices = unitPrices(state);
  // 2.90 a kilogram, whichever way it is kept.
  expect(prices.get('oats')).toBeCloseTo(290);
  expect(prices.get(changed.itemId)).toBeCloseTo(0.29);
  const months = thrownByMonth(
    [
      { month: '2026-11', itemId: changed.itemId, quantityThousandths: 250_000 },
      { month: '2026-11', itemId: 'string', quantityThousandths: 1000 },
      { month: '2026-01', itemId: 'oats', quantityThousandths: 500 },
      { month: '2025-11', itemId: 'oats', quantityThousandths: 500 },
    ],
    prices,
    '2026-11-20',
  );
  expect(months.map(({ month }) => month)).toEqual([
    '2025-12',
    ...Array.from({ length: 11 }, (_, at) => `2026-${String(at + 1).padStart(2, '0')}`),
  ]);
  expect(months.at(-1)).toEqual({ month: '2026-11', minor: 73, things: 2, unpriced: 1 });
  expect(months[1]).toEqual({ month: '2026-01', minor: 145, things: 1, unpriced: 0 });
});

it('counts against what was noted, the largest difference first', () => {
  const state = home();
  const later = { ...context, now: '2026-11-21T10:00:00.000Z' };
  runOps(state, [eventOp(later, 'l2', 'counted', 1000), eventOp(later, 'l4', 'counted', 1000)], later);
  const found = countsAgainst(state, '2026-11-22');
  expect(found.map(({ item, counts, gapThousandths }) => [item.id, counts, gapThousandths])).toEqual([
    ['string', 1, -2000],
    ['lamp', 1, 0],
  ]);
  expect(countsAgainst(state, '2027-09-01')).toEqual([]);
});

it('a list for the insurer: by room, worth most first, with day and picture', () => {
  const state = home();
  const photo = (id: string, takenAt: string): void =>
    state.put({
      entity: 'photo',
      row: {
        ...base(id),
        ...{ ofId: 'string', hash: id, width: 10, height: 10, bytes: 10, takenAt, moment: 'now' as const, byId: null },
      },
    });
  const short = insuranceList(state, false);
  expect(short.map(({ item, roomName, worthMinor }) => [item.id, roomName, worthMinor])).toEqual([
    ['lamp', 'Porch', 3900],
    ['lamp', 'Boat loft', 3900],
    ['oats', 'Boat loft', 580],
  ]);
  expect(short[0]).toMatchObject({ since: '2024-05-02', bought: true, photoHash: null, codes: ['PC-0'] });
  photo('old', '2026-01-01T00:00:00.000Z');
  photo('new', '2026-02-01T00:00:00.000Z');
  expect(insuranceList(state, false).at(-1)).toMatchObject({ worthMinor: null, photoHash: 'new' });
  expect(insuranceList(state, true)).toHaveLength(4);
});
