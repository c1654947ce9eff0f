import 'fake-indexeddb/auto';
import { opsForTaking, stockOf, type TaggedRow } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { forgetDeviceDb } from './deviceDb';
import { HouseholdStore } from './HouseholdStore';
import { feedPage, ID, lotRow, sampleRows } from './sampleRows.test-support';

const SECOND_ITEM = uuidv7();
const LATER_LOT = uuidv7();
const amounts = async (store: HouseholdStore, query: string): Promise<number[]> => {
  const found = await store.findEarly(query, 10);
  return found.flatMap((one) =>
    one.kind === 'item' ? [one.lots.reduce((sum, lot) => sum + lot.quantityThousandths / 1000, 0)] : [],
  );
};

let home = '';
let store: HouseholdStore;
/** A home with 24 lanterns in one lot and 3 in another, and 600 lots of something else. */
beforeEach(async () => {
  home = uuidv7();
  store = await HouseholdStore.open(home);
  const candle = sampleRows().find(({ entity }) => entity === 'item')!.row;
  const candles = Array.from({ length: 600 }, () => ({ ...lotRow(1, 1), id: uuidv7(), itemId: SECOND_ITEM }));
  await store.receive(
    feedPage(1, [
      ...sampleRows(),
      { entity: 'item', row: { ...candle, id: SECOND_ITEM, name: 'Candle', synonyms: [], tags: [] } } as TaggedRow,
      ...candles.map((row): TaggedRow => ({ entity: 'lot', row })),
      { entity: 'lot', row: { ...lotRow(3, 1), id: LATER_LOT } },
    ]),
  );
});
afterEach(async () => {
  store.close();
  await forgetDeviceDb(home);
});
const reopen = async (): Promise<void> => {
  store.close();
  store = await HouseholdStore.open(home, undefined, { lotsAtOnce: 100 });
};

it('a home with few lots is whole at once', async () => {
  store.close();
  store = await HouseholdStore.open(home, undefined, { lotsAtOnce: 602 });
  expect(store.isWhole).toBe(true);
  expect(store.state.all('lot')).toHaveLength(602);
});

it('a large one is open before its lots are read; what is found has all its lots', async () => {
  await reopen();
  expect([store.isWhole, store.state.all('lot').length]).toEqual([false, 0]);
  expect(await amounts(store, 'lampion')).toEqual([27]);
  expect(await amounts(store, 'cand')).toEqual([600]);
  expect(await amounts(store, 'nothing of the kind')).toEqual([]);
});

it('counts what waits to be sent, and tells when all is there', async () => {
  await store.run('stock_taken', opsForTaking([store.state.get('lot', ID.lot)!], 4000, context()));
  await reopen();
  let told = 0;
  store.subscribe(() => told++);
  expect(await amounts(store, 'lantern')).toEqual([23]);
  while (!store.isWhole) await new Promise((done) => setTimeout(done, 5));
  expect(told).toBeGreaterThan(0);
  expect(store.state.all('lot')).toHaveLength(602);
  expect([stockOf(store.state).onHand(ID.item), stockOf(store.state).onHand(SECOND_ITEM)]).toEqual([23_000, 600_000]);
});

it('a command waits for the rest, and a page of the feed is not overwritten by older rows', async () => {
  await reopen();
  const receiving = store.receive(feedPage(2, [{ entity: 'lot', row: { ...lotRow(9, 2), id: LATER_LOT } }]));
  const outcome = await store.run('stock_taken', [
    { op: 'event', event: { ...takeOf(LATER_LOT), quantityThousandths: 1000 } },
  ]);
  await receiving;
  expect([outcome.ok, store.isWhole]).toEqual([true, true]);
  expect(store.state.get('lot', LATER_LOT)!.quantityThousandths).toBe(8000);
});

function context() {
  return { newId: () => uuidv7(), now: new Date().toISOString(), today: '2026-11-24' };
}
function takeOf(lotId: string) {
  const [op] = opsForTaking([{ ...lotRow(9, 1), id: lotId }], 1000, context());
  if (op?.op !== 'event') throw new Error('taking makes an event');
  return op.event;
}
