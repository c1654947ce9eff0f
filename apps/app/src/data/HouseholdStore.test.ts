import 'fake-indexeddb/auto';
import { planTake, type Op } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { forgetDeviceDb } from './deviceDb';
import { HouseholdStore } from './HouseholdStore';
import { ID, lotRow, sampleRows } from './sampleRows.test-support';

const context = () => ({ newId: () => uuidv7(), now: new Date().toISOString(), today: '2026-11-24' });
const take = (store: HouseholdStore, amount: number): Op[] =>
  planTake([store.state.get('lot', ID.lot)!], amount * 1000, context());
const left = (store: HouseholdStore): number => store.state.get('lot', ID.lot)!.quantityThousandths / 1000;

const CELLAR = uuidv7();
let home = '';
let store: HouseholdStore;
beforeEach(async () => {
  home = uuidv7();
  store = await HouseholdStore.open(home);
  await store.receive({ seq: 1, more: false, rows: sampleRows() });
});
afterEach(async () => {
  store.close();
  await forgetDeviceDb(home);
});

describe('a household on the device', () => {
  it('is there again after closing, with what waits', async () => {
    await store.run('stock_taken', take(store, 4));
    store.close();
    store = await HouseholdStore.open(home);
    expect(left(store)).toBe(20);
    expect(store.waiting).toHaveLength(1);
    expect(store.seq).toBe(1);
    expect(store.finder.find('lampion')[0]).toMatchObject({ kind: 'item', item: { id: ID.item } });
  });

  it('shows a change at once and keeps it while the server has not numbered it', async () => {
    await store.run('stock_taken', take(store, 4));
    expect(left(store)).toBe(20);
    await store.receive({ seq: 2, more: false, rows: [{ entity: 'lot', row: lotRow(30, 2) }] });
    expect(left(store)).toBe(26);
    const [queued] = store.waiting;
    await store.answer(queued!.at, { seq: 3, refusal: null });
    expect(left(store)).toBe(26);
    await store.receive({ seq: 3, more: false, rows: [{ entity: 'lot', row: lotRow(26, 3) }] });
    expect(left(store)).toBe(26);
    expect(store.waiting).toHaveLength(0);
  });

  it('puts back what the server refuses and keeps the command until it is dealt with', async () => {
    await store.run('stock_taken', take(store, 4));
    const { at } = store.waiting[0]!;
    await store.answer(at, { seq: null, refusal: { kind: 'unknown_id', entity: 'lot', id: ID.lot } });
    expect(left(store)).toBe(24);
    expect(store.refused).toHaveLength(1);
    const first = store.refused[0]!.command.id;
    await store.settle(at, 'retry');
    expect(left(store)).toBe(20);
    expect(store.waiting[0]!.command.id).not.toBe(first);
    await store.answer(at, { seq: null, refusal: { kind: 'unknown_id', entity: 'lot', id: ID.lot } });
    await store.settle(at, 'drop');
    expect(store.refused).toHaveLength(0);
    expect(left(store)).toBe(24);
  });

  it('answers why a command cannot be done, and queues nothing', async () => {
    expect(await store.run('bin_retired', [{ op: 'retire', entity: 'bin', id: ID.bin }])).toMatchObject({
      ok: false,
      refusal: { kind: 'holds_stock' },
    });
    expect(store.waiting).toHaveLength(0);
  });

  it('takes back with the inverse command', async () => {
    const done = await store.run('stock_taken', take(store, 4));
    if (!done.ok) throw new Error('refused');
    await store.run('undone', done.undo.ops, done.undo.undoes);
    expect(left(store)).toBe(24);
    expect(store.waiting).toHaveLength(2);
  });

  it('forgets a new row when its command is dropped', async () => {
    await store.run('room_added', [{ op: 'create', entity: 'room', id: CELLAR, fields: { name: 'Cellar', sort: 1 } }]);
    expect(store.state.get('room', CELLAR)).toBeDefined();
    await store.answer(store.waiting[0]!.at, {
      seq: null,
      refusal: { kind: 'id_taken', entity: 'room', id: CELLAR },
    });
    expect(store.state.get('room', CELLAR)).toBeUndefined();
  });

  it('two tabs share one queue', async () => {
    const other = await HouseholdStore.open(home);
    await store.run('stock_taken', take(store, 4));
    await other.rereadQueue();
    expect(left(other)).toBe(20);
    expect(other.waiting.map(({ command }) => command.id)).toEqual(store.waiting.map(({ command }) => command.id));
    other.close();
  });

  it('tells its listeners, and stops when asked', async () => {
    let heard = 0;
    const stop = store.subscribe(() => heard++);
    await store.run('stock_taken', take(store, 1));
    stop();
    await store.run('stock_taken', take(store, 1));
    expect(heard).toBe(1);
  });
});
