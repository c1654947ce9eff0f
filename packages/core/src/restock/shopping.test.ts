import { PUBLISHED_GUIDE } from '../shelflife';
import { applyCommand, HouseholdState, type ItemFields, type Op, type PurchaseRow } from '../household';
import { AS_ADULT, idMaker, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { amountIn, partsToPutAway, opsForRefill, placeFor, refillsOf } from './places';
import { dismissedItems, keepDaysOf, linesOfTrip, listedItem, thingsOnList } from './restockItems';
import { restockOf } from './restockList';
import {
  isListed,
  opsForListing,
  opsForPrice,
  opsForPuttingAway,
  opsForStartingTrip,
  opsForTicking,
  opsForWanting,
} from './shoppingOps';
import { plan, thing } from './restockHome.test-support';
import { tripAfter, tripsAhead, type Trip } from './trips';

const NOW = '2026-11-28T09:00:00.000Z';
const newId = idMaker();
const context = { newId, now: NOW, today: '2026-11-28' };
const trip: Trip = { day: '2026-11-28', shop: null };

function home(item: Partial<ItemFields> = {}): HouseholdState {
  const state = new HouseholdState();
  for (const tagged of sampleRows())
    state.put(tagged.entity === 'item' ? { entity: 'item', row: { ...tagged.row, ...itemFields(item) } } : tagged);
  return state;
}
const run = (state: HouseholdState, ops: Op[]) => {
  const applied = applyCommand(state, { id: newId(), intent: 'test', occurredAt: NOW, ops }, AS_ADULT);
  if (applied.ok) for (const row of applied.changed) state.put(row);
  return applied;
};
const entry = restockOf(
  thing({ itemId: 'lanterns', name: 'Lanterns', lowAtThousandths: 9000, lots: [] }),
  undefined,
  plan(),
);

describe('a list that several people hold', () => {
  it('is written when shopping begins, and each line can be ticked and unticked', () => {
    const state = home();
    expect(run(state, opsForStartingTrip(trip, [entry], context)).ok).toBe(true);
    expect(linesOfTrip(state, trip)).toMatchObject([
      { itemId: 'lanterns', packs: 1, state: 'wanted', forDay: '2026-11-28' },
    ]);
    run(state, opsForTicking(linesOfTrip(state, trip), 'basket', 'runa', context));
    expect(thingsOnList(linesOfTrip(state, trip))).toMatchObject([
      { state: 'basket', line: { byPersonId: 'runa', atInstant: NOW } },
    ]);
    run(state, opsForTicking(linesOfTrip(state, trip), 'wanted', 'runa', context));
    expect(linesOfTrip(state, trip)).toMatchObject([{ state: 'wanted', byPersonId: null, atInstant: null }]);
  });
  it('begun on two phones at once shows each thing once, and one tick ticks both lines', () => {
    const state = home();
    run(state, opsForStartingTrip(trip, [entry], context));
    run(state, opsForStartingTrip(trip, [{ ...entry, packs: 3 }], context));
    const [first, ...others] = thingsOnList(linesOfTrip(state, trip));
    expect(others).toEqual([]);
    expect(first).toMatchObject({ packs: 3, state: 'wanted', lines: [{}, {}] });
    run(state, opsForTicking(first!.lines, 'basket', null, context));
    expect(linesOfTrip(state, trip).map((line) => line.state)).toEqual(['basket', 'basket']);
  });
  it('is put away once: a second person’s command is refused as a whole, and the stock is right', () => {
    const state = home();
    run(state, opsForStartingTrip(trip, [entry], context));
    const lines = linesOfTrip(state, trip);
    const item = state.get('item', 'lanterns')!;
    const put = [{ nookId: 'bin', amountThousandths: 6000, expiresOn: null, dateKind: null, packSize: null }];
    const [mine, theirs] = [1, 2].map(() => opsForPuttingAway(lines, item, put, state.lotsOf('lanterns'), context));
    expect(run(state, mine!).ok).toBe(true);
    expect(run(state, theirs!)).toMatchObject({ ok: false, refusal: { kind: 'already_put_away' } });
    expect(amountIn(state, 'lanterns', 'bin')).toBe(30_000);
    // A price can still be noted.
    expect(run(state, opsForPrice(linesOfTrip(state, trip)[0]!, null, 240)).ok).toBe(true);
    expect(linesOfTrip(state, trip)).toMatchObject([{ state: 'put_away', priceMinor: 240 }]);
  });
  it('another number, and not this week', () => {
    const state = home();
    run(state, opsForWanting(trip, entry, [], 4, context));
    expect(linesOfTrip(state, trip)).toMatchObject([{ packs: 4, state: 'wanted' }]);
    run(state, opsForWanting(trip, entry, linesOfTrip(state, trip), 0, context));
    expect(thingsOnList(linesOfTrip(state, trip))).toEqual([]);
    expect([...dismissedItems(state, '2026-12-04')]).toEqual(['lanterns']);
    expect(dismissedItems(state, '2026-12-05').size).toBe(0);
  });
  it('what was written by hand and not bought comes along to the next trip', () => {
    const state = home();
    run(state, opsForListing(trip, { name: 'Stamps' }, context));
    const next: Trip = { day: '2026-12-05', shop: null };
    expect(linesOfTrip(state, next)).toMatchObject([{ name: 'Stamps', state: 'wanted' }]);
    run(state, opsForTicking(linesOfTrip(state, next), 'basket', null, context));
    expect(linesOfTrip(state, next)).toEqual([]);
  });
  it('a price that was paid is known the next time', () => {
    const state = home();
    run(state, opsForStartingTrip(trip, [entry], context));
    const [line] = linesOfTrip(state, trip) as [PurchaseRow];
    for (const price of [250, 230]) run(state, opsForPrice(line, state.get('item', 'lanterns')!, price));
    expect(state.get('item', 'lanterns')!.packs).toEqual([{ shopId: null, amountThousandths: 1000, priceMinor: 230 }]);
    expect(opsForPrice(line, null, 230)).toHaveLength(1);
  });
});

it('a thing is listed until it is bought or its day is over; words that were not bought come along', () => {
  const state = home();
  const [thingLine, words] = [
    { itemId: 'lanterns', name: 'Lanterns' },
    { itemId: null, name: 'Dividers' },
  ];
  expect([isListed(state, thingLine, context.today), isListed(state, words, context.today)]).toEqual([false, false]);
  for (const line of [thingLine, words]) run(state, opsForListing(trip, line, context));
  expect([isListed(state, thingLine, context.today), isListed(state, words, context.today)]).toEqual([true, true]);
  expect([isListed(state, thingLine, '2026-11-29'), isListed(state, words, '2026-11-29')]).toEqual([false, true]);
  run(
    state,
    state
      .all('purchase')
      .map(({ id }): Op => ({ op: 'change', entity: 'purchase', id, fields: { state: 'put_away' } })),
  );
  expect([isListed(state, thingLine, context.today), isListed(state, words, context.today)]).toEqual([false, false]);
});

describe('where it goes', () => {
  it('to its own place, to where most of it is, to where it was, to its kind, or nowhere known', () => {
    const state = home();
    const item = state.get('item', 'lanterns')!;
    expect(placeFor(state, item)).toEqual({ nookId: 'bin', reason: 'same_thing' });
    expect(placeFor(state, { ...item, front: { nookId: 'bin2', leastThousandths: 1, fullThousandths: 2 } })).toEqual({
      nookId: 'bin2',
      reason: 'front',
    });
    expect(placeFor(state, null, 'decoration')).toEqual({ nookId: 'bin', reason: 'same_kind' });
    expect([placeFor(state, null, 'food'), placeFor(state, null)]).toEqual([null, null]);
    state.put({ entity: 'lot', row: lotRow('lot', { quantityThousandths: 0 }) });
    expect(placeFor(state, item)).toEqual({ nookId: 'bin', reason: 'was_here' });
  });
  it('what its place does not hold goes to the reserve, in whole units', () => {
    const state = home({ front: { nookId: 'bin2', leastThousandths: 1000, fullThousandths: 4000 } });
    const item = state.get('item', 'lanterns')!;
    expect(partsToPutAway(state, item, 'bin2', 6000)).toEqual([
      { nookId: 'bin2', amountThousandths: 4000, reserve: false },
      { nookId: 'bin', amountThousandths: 2000, reserve: true },
    ]);
    expect(partsToPutAway(state, item, 'bin2', 3000)).toHaveLength(1);
    expect(partsToPutAway(state, item, 'bin', 6000)).toEqual([
      { nookId: 'bin', amountThousandths: 6000, reserve: false },
    ]);
  });
});

describe('the refill round', () => {
  it('carries from the reserve up to full, and says what stays', () => {
    const state = home({ front: { nookId: 'bin2', leastThousandths: 1000, fullThousandths: 4000 } });
    const [refill, ...none] = refillsOf(state);
    expect(none).toEqual([]);
    expect(refill).toMatchObject({
      fromNookId: 'bin',
      toNookId: 'bin2',
      amountThousandths: 4000,
      leftThousandths: 20_000,
    });
    run(state, opsForRefill(state, refill!, context));
    expect([amountIn(state, 'lanterns', 'bin'), amountIn(state, 'lanterns', 'bin2')]).toEqual([20_000, 4000]);
    expect(refillsOf(state)).toEqual([]);
  });
  it('takes no more than there is', () => {
    const state = home({ front: { nookId: 'bin2', leastThousandths: 0, fullThousandths: 90_000 } });
    expect(refillsOf(state)).toMatchObject([{ amountThousandths: 24_000, leftThousandths: 0 }]);
  });
  it('says nothing where nothing is in reserve, or the place is gone', () => {
    expect(refillsOf(home({ front: { nookId: 'bin', leastThousandths: 99_000, fullThousandths: 100_000 } }))).toEqual(
      [],
    );
    expect(refillsOf(home({ front: { nookId: 'gone', leastThousandths: 1, fullThousandths: 2 } }))).toEqual([]);
  });
});

describe('the day of the refill round', () => {
  const day = (today: string, toLast: number | null) => ({ today, toLast: () => toLast });
  // Four are in front, 20 in the reserve; refilled on Sundays.
  const filled = (): HouseholdState => {
    const state = home({ front: { nookId: 'bin2', leastThousandths: 1000, fullThousandths: 6000, refillOn: 0 } });
    run(state, opsForRefill(state, { ...refillsOf(state)[0]!, amountThousandths: 4000 }, context));
    return state;
  };
  it('fills up what may not last to the next one, on that day only', () => {
    const state = filled();
    expect(refillsOf(state, day('2026-11-29', 5000))).toMatchObject([{ amountThousandths: 2000, why: 'refill_day' }]);
    expect(refillsOf(state, day('2026-11-29', 4000))).toEqual([]);
    expect(refillsOf(state, day('2026-11-28', 5000))).toEqual([]);
  });
  it('says nothing where the pace is not known, and of what is full', () => {
    const state = filled();
    expect(refillsOf(state, day('2026-11-29', null))).toEqual([]);
    run(state, opsForRefill(state, refillsOf(state, day('2026-11-29', 9000))[0]!, context));
    expect(refillsOf(state, day('2026-11-29', 9000))).toEqual([]);
  });
});

describe('refilling a jar', () => {
  it('pours the packets in the order of their dates, and no more than they hold', () => {
    const state = home({
      front: { nookId: 'bin2', leastThousandths: 1000, fullThousandths: 100_000, decanted: true },
    });
    const [refill] = refillsOf(state);
    expect(refill).toBeDefined();
    const there = state.lotsOf(refill!.item.id).filter(({ nookId }) => nookId === refill!.fromNookId);
    expect(refill!.amountThousandths).toBe(there.reduce((sum, lot) => sum + lot.quantityThousandths, 0));
    const ops = opsForRefill(state, refill!, {
      newId: idMaker(),
      now: '2026-11-26T08:00:00.000Z',
      today: '2026-11-26',
    });
    expect(ops.find((op) => op.op === 'create')).toMatchObject({
      fields: { nookId: 'bin2', decantedOn: '2026-11-26', openedOn: '2026-11-26' },
    });
  });
});

describe('trips', () => {
  const shop = (id: string, rule: string, sort: number) => ({
    id,
    seq: 1,
    retired: false,
    name: id,
    rule,
    startsOn: '2026-01-01',
    budgetMinor: null,
    aisles: [],
    sort,
  });
  it('Saturdays are assumed where no day is known', () => {
    const trips = tripsAhead([shop('pharmacy', '', 0)], '2026-11-26');
    expect(trips.slice(0, 2)).toEqual([
      { day: '2026-11-28', shop: null },
      { day: '2026-12-05', shop: null },
    ]);
    expect(tripAfter(trips, trips[0]!)).toBe('2026-12-05');
  });
  it('of several shops in the order of their days; the one after is of the same shop', () => {
    const trips = tripsAhead(
      [shop('big', 'FREQ=WEEKLY;BYDAY=SA', 1), shop('near', 'FREQ=WEEKLY;BYDAY=SA,WE', 0)],
      '2026-11-26',
    );
    expect(trips.slice(0, 3).map(({ day, shop: of }) => `${day} ${of!.id}`)).toEqual([
      '2026-11-28 near',
      '2026-11-28 big',
      '2026-12-02 near',
    ]);
    expect([tripAfter(trips, trips[0]!), tripAfter(trips, trips[1]!)]).toEqual(['2026-12-02', '2026-12-05']);
  });
  it('how long it keeps is learned from its dates; what was split off later makes it no shorter', () => {
    const item = home().get('item', 'lanterns')!;
    // Made on 22 February 2022 by its id (RFC 9562, appendix A.6), good for ten days; the others split off eight days later.
    const bought = lotRow('017f22e2-79b0-7cc3-98c4-dc0c0c07398f', { expiresOn: '2022-03-04' });
    const split = lotRow('017f4c16-0000-7cc3-98c4-dc0c0c07398f', { expiresOn: '2022-03-04' });
    expect([
      keepDaysOf(item, [bought], PUBLISHED_GUIDE),
      keepDaysOf(item, [split, bought, split], PUBLISHED_GUIDE),
      keepDaysOf(item, [], PUBLISHED_GUIDE),
    ]).toEqual([10, 10, null]);
    expect(keepDaysOf(item, [{ ...bought, openedOn: '2022-02-23' }], PUBLISHED_GUIDE)).toBeNull();
  });
  it('an item is listed with its dates and how long it keeps', () => {
    const state = home({ keepDays: 9, restock: { how: 'full', fullThousandths: 5000, weeklyThousandths: 2000 } });
    expect(listedItem(state, state.get('item', 'lanterns')!)).toMatchObject({
      how: 'full',
      fullThousandths: 5000,
      weeklyThousandths: 2000,
      keepDays: 9,
      digest: '',
      lots: [{ lotId: 'lot', thousandths: 24_000, dueOn: null }],
    });
  });
});
