import 'fake-indexeddb/auto';
import type { CommandAnswer } from '@ours/contracts';
import {
  foldLedger,
  opsForCounting,
  opsForPuttingIn,
  opsForTaking,
  seededRandom,
  type Command,
  type LedgerEvent,
  type Op,
  type Refusal,
  type TaggedRow,
} from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { forgetDeviceDb, openDeviceDb } from './deviceDb';
import { HouseholdStore } from './HouseholdStore';
import { placeThatIsGone } from './placeThatIsGone';
import { feedPage, ID, lotRow, sampleRows } from './sampleRows.test-support';

const context = () => ({ newId: () => uuidv7(), now: new Date().toISOString(), today: '2026-11-24' });
const take = (store: HouseholdStore, amount: number): Op[] =>
  opsForTaking([store.state.get('lot', ID.lot)!], amount * 1000, context());
const left = (store: HouseholdStore): number => store.state.get('lot', ID.lot)!.quantityThousandths / 1000;

const CELLAR = uuidv7();
const applied = (store: HouseholdStore, seq: number): CommandAnswer => ({
  id: store.waiting[0]!.command.id,
  status: 'applied',
  seq,
});
const refusedWith = (id: string, refusal: Refusal): CommandAnswer => ({ id, status: 'refused', refusal });
let home = '';
let store: HouseholdStore;
beforeEach(async () => {
  home = uuidv7();
  store = await HouseholdStore.open(home);
  await store.receive(feedPage(1, sampleRows()));
});
afterEach(async () => {
  store.close();
  await forgetDeviceDb(home);
});

describe('a household on the device', () => {
  it('reads retired lots after the home is shown, and a waiting command that brings one back then works', async () => {
    await store.receive(feedPage(2, [{ entity: 'lot', row: { ...lotRow(24, 2), retired: true } }]));
    store.close();
    store = await HouseholdStore.open(home);
    expect(store.state.get('lot', ID.lot)).toBeUndefined();
    await store.loadAside();
    expect(store.state.get('lot', ID.lot)).toMatchObject({ seq: 2, retired: true });
    expect(await store.run('undone', [{ op: 'restore', entity: 'lot', id: ID.lot }])).toMatchObject({ ok: true });
    store.close();
    store = await HouseholdStore.open(home);
    expect(store.state.get('lot', ID.lot)).toBeUndefined();
    await store.loadAside();
    expect(store.state.get('lot', ID.lot)).toMatchObject({ retired: false });
    // Brought back by the server it is among the living again, at once.
    await store.receive(feedPage(3, [{ entity: 'lot', row: { ...lotRow(24, 3) } }]));
    store.close();
    store = await HouseholdStore.open(home);
    expect(left(store)).toBe(24);
  });

  it('what was set aside never overwrites what the feed said since', async () => {
    await store.receive(feedPage(2, [{ entity: 'lot', row: { ...lotRow(24, 2), retired: true } }]));
    store.close();
    store = await HouseholdStore.open(home);
    const reading = store.loadAside();
    await store.receive(feedPage(3, [{ entity: 'lot', row: { ...lotRow(24, 3) } }]));
    await reading;
    expect(store.state.get('lot', ID.lot)).toMatchObject({ seq: 3, retired: false });
  });

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
    await store.receive(feedPage(2, [{ entity: 'lot', row: lotRow(30, 2) }]));
    expect(left(store)).toBe(26);
    await store.answer([applied(store, 3)]);
    expect(left(store)).toBe(26);
    await store.receive(feedPage(3, [{ entity: 'lot', row: lotRow(26, 3) }]));
    expect(left(store)).toBe(26);
    expect(store.waiting).toHaveLength(0);
  });

  it('puts back what the server refuses and keeps the command until it is dealt with', async () => {
    await store.run('stock_taken', take(store, 4));
    const { at } = store.waiting[0]!;
    const gone: Refusal = { kind: 'unknown_id', entity: 'lot', id: ID.lot };
    await store.answer([refusedWith(store.waiting[0]!.command.id, gone)]);
    expect(left(store)).toBe(24);
    expect(store.refused).toHaveLength(1);
    const first = store.refused[0]!.command.id;
    await store.settle(at, { how: 'retry' });
    expect(left(store)).toBe(20);
    expect(store.waiting[0]!.command.id).not.toBe(first);
    await store.answer([refusedWith(store.waiting[0]!.command.id, gone)]);
    await store.settle(at, { how: 'drop' });
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
    const taken: Refusal = { kind: 'id_taken', entity: 'room', id: CELLAR };
    await store.answer([refusedWith(store.waiting[0]!.command.id, taken)]);
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
    // Once when it is applied, once when it is kept.
    expect(heard).toBe(2);
  });

  it('shows nothing that it could not keep, and says so', async () => {
    const db = await openDeviceDb(home);
    db.close();
    await forgetDeviceDb(home);
    expect(store.isLost).toBe(true);
    expect(await store.run('stock_taken', take(store, 4))).toEqual({ ok: false, refusal: { kind: 'not_kept' } });
    expect(left(store)).toBe(24);
    expect(store.waiting).toHaveLength(0);
  });

  it('a page that it cannot keep is shown all the same, and it says that it cannot keep anything', async () => {
    await forgetDeviceDb(home);
    await store.receive(feedPage(2, [{ entity: 'lot', row: lotRow(30, 2) }]));
    expect([left(store), store.isLost, store.seq]).toEqual([30, true, 2]);
  });

  it('what is done next is computed from what was done a moment ago, kept or not', async () => {
    const first = store.run('stock_taken', take(store, 4));
    expect(left(store)).toBe(20);
    expect(store.waiting).toHaveLength(0);
    const second = store.run('stock_taken', take(store, 5));
    const reread = store.rereadQueue();
    expect(left(store)).toBe(15);
    await Promise.all([first, second, reread]);
    expect(left(store)).toBe(15);
    expect(store.waiting).toHaveLength(2);
  });

  it('a change of another tab while the queue is read is not lost', async () => {
    const other = await HouseholdStore.open(home);
    await Promise.all([
      store.run('stock_taken', take(store, 1)),
      other.run('stock_taken', take(other, 2)),
      store.rereadQueue(),
      store.run('stock_taken', take(store, 3)),
      other.rereadQueue(),
    ]);
    await Promise.all([store.rereadQueue(), other.rereadQueue()]);
    expect([left(store), left(other)]).toEqual([18, 18]);
    expect(store.waiting).toHaveLength(3);
    other.close();
  });

  it('answers to a batch are stored together, and a taken-back command that was refused leaves with its undo', async () => {
    const done = await store.run('stock_taken', take(store, 4));
    if (!done.ok) throw new Error('refused');
    await store.run('undone', done.undo.ops, done.undo.undoes);
    const [first, second] = store.waiting.map(({ command }) => command.id);
    await store.answer([
      refusedWith(first!, { kind: 'retired', entity: 'bin', id: ID.bin }),
      refusedWith(second!, { kind: 'undoes_nothing', id: first! }),
    ]);
    expect([store.waiting.length, store.refused.length, left(store)]).toEqual([0, 0, 24]);
    store.close();
    store = await HouseholdStore.open(home);
    expect(store.refused).toHaveLength(0);
  });

  it('data put back from a backup: reads anew and sends again what it had sent', async () => {
    await store.run('stock_taken', take(store, 4));
    const { id } = store.waiting[0]!.command;
    await store.answer([applied(store, 2)]);
    await store.receive(feedPage(2, [{ entity: 'lot', row: lotRow(20, 2) }]));
    expect(store.waiting).toHaveLength(0);
    await store.receive(feedPage(1, [], { generation: 'two' }));
    expect([store.seq, store.state.get('lot', ID.lot)]).toEqual([0, undefined]);
    await store.receive(feedPage(1, sampleRows(), { generation: 'two' }));
    expect(store.waiting.map(({ command }) => command.id)).toEqual([id]);
    expect(left(store)).toBe(20);
  });

  it('a first reading that was interrupted goes on where it was', async () => {
    const fresh = uuidv7();
    const device = await HouseholdStore.open(fresh);
    const [one, ...rest] = sampleRows();
    await device.receive(feedPage(0, [one!], { cursor: '1.1.0.x' }));
    device.close();
    const again = await HouseholdStore.open(fresh);
    expect(again.feed).toEqual({ seq: 0, cursor: '1.1.0.x', generation: 'one' });
    await again.receive(feedPage(1, rest));
    expect([again.seq, left(again)]).toEqual([1, 24]);
    again.close();
    await forgetDeviceDb(fresh);
  });

  it('rows of a kind and fields it does not know are kept, and shown once it does', async () => {
    const heirloom = { entity: 'heirloom', row: { id: uuidv7(), seq: 2, retired: false, worth: 3 } };
    const bin = store.state.get('bin', ID.bin)!;
    const newer = { entity: 'bin', row: { ...bin, seq: 2, scent: 'cedar' } };
    await store.receive(feedPage(2, [heirloom, newer] as unknown as TaggedRow[]));
    await store.run('bin_renamed', [{ op: 'change', entity: 'bin', id: ID.bin, fields: { name: 'lamps' } }]);
    expect(store.state.get('bin', ID.bin)).toMatchObject({ name: 'lamps', scent: 'cedar' });
    const db = await openDeviceDb(home);
    expect(await db.get('rows', ['heirloom', heirloom.row.id])).toEqual(heirloom);
    expect(await db.get('rows', ['bin', ID.bin])).toEqual(newer);
    db.close();
  });

  it('a page that another tab has overtaken does not bring old rows back', async () => {
    await store.receive(feedPage(5, [{ entity: 'lot', row: lotRow(10, 5) }]));
    await store.receive(feedPage(3, [{ entity: 'lot', row: lotRow(15, 3) }]));
    expect(left(store)).toBe(10);
    store.close();
    store = await HouseholdStore.open(home);
    expect([store.seq, left(store)]).toEqual([5, 10]);
  });

  it('a clock that is three days behind: a taking counts here as it will on the server', async () => {
    const now = Date.now();
    const counted = {
      ...lotRow(10, 2),
      countedAt: { occurredAt: new Date(now + 3 * 86_400_000).toISOString(), id: 'x' },
    };
    await store.receive(feedPage(2, [{ entity: 'lot', row: counted }]));
    store.noteClock(new Date(now + 3 * 86_400_000 + 60_000).toISOString(), now);
    await store.run('stock_taken', take(store, 4));
    expect(left(store)).toBe(6);
  });

  it('a refused line can be meant for another place', async () => {
    await store.run('stock_put_in', [
      {
        op: 'event',
        event: {
          id: uuidv7(),
          lotId: ID.lot,
          kind: 'put_in',
          quantityThousandths: 3000,
          occurredAt: new Date().toISOString(),
          reason: null,
          voids: null,
        },
      },
    ]);
    const { id } = store.waiting[0]!.command;
    const bin = store.state.get('bin', ID.bin)!;
    await store.receive(feedPage(2, [{ entity: 'bin', row: { ...bin, seq: 2, retired: true } }]));
    await store.answer([refusedWith(id, { kind: 'retired', entity: 'bin', id: ID.bin })]);
    const [queued] = store.refused;
    expect(placeThatIsGone(store.state, queued!.refusal)).toBe(ID.bin);
    await store.settle(queued!.at, { how: 'elsewhere', nookId: ID.shelf });
    expect(store.waiting.map(({ command }) => command.id)).not.toContain(id);
    expect(store.state.lotsIn(ID.shelf).map((lot) => lot.quantityThousandths)).toEqual([3000]);
  });
});

describe('taking back on the device', () => {
  const derived = ({ quantityThousandths, pleaseCount, countedAt, lastAt }: ReturnType<typeof foldLedger>) => ({
    quantityThousandths,
    pleaseCount,
    countedAt: countedAt?.id ?? null,
    lastAt: lastAt?.id ?? null,
  });

  it('a count and a taking of more than was there come back exactly, before and after the server has them', async () => {
    const undo = async (outcome: Awaited<ReturnType<HouseholdStore['run']>>): Promise<void> => {
      if (!outcome.ok) throw new Error('refused');
      await store.run(outcome.undo.intent, outcome.undo.ops, outcome.undo.undoes ?? null);
    };
    const lot = () => store.state.get('lot', ID.lot)!;
    const counted = await store.run('stock_counted', opsForCounting(lot(), 7000, context()));
    await undo(counted);
    expect(lot()).toMatchObject({ quantityThousandths: 24_000, countedAt: null, pleaseCount: false });
    const taken = await store.run('stock_taken', take(store, 30));
    expect(lot()).toMatchObject({ quantityThousandths: 0, pleaseCount: true });
    await undo(taken);
    expect(lot()).toMatchObject({ quantityThousandths: 24_000, pleaseCount: false });
  });

  it('any run of puts, takings, counts, undos and redos is what the server will say, whatever it has numbered by then', async () => {
    const random = seededRandom(91);
    const whole = (most: number): number => Math.floor(random() * most);
    const start: LedgerEvent = {
      id: uuidv7(),
      lotId: ID.lot,
      kind: 'put_in',
      quantityThousandths: 24_000,
      occurredAt: '2026-01-01T00:00:00.000Z',
      reason: null,
      voids: null,
    };
    await store.receive(feedPage(2, [{ entity: 'lot', row: { ...lotRow(24, 2), ...foldLedger([start]) } }]));
    let seq = 2;
    const all: LedgerEvent[] = [start];
    const server: LedgerEvent[] = [start];
    const undos: Command[] = [];
    for (let step = 0; step < 160; step++) {
      const lot = store.state.get('lot', ID.lot)!;
      const back = random() < 0.35 ? undos.splice(whole(undos.length), 1)[0] : undefined;
      const amount = 1000 * (1 + whole(20));
      const kinds = [
        () => opsForTaking([lot], amount, context()),
        () => opsForCounting(lot, amount, context()),
        () => opsForPuttingIn(lot, amount, [lot], context()),
      ];
      const ops = back ? back.ops : kinds[whole(3)]!();
      const outcome = await store.run(back ? 'undone' : 'stock_changed', ops, back?.undoes ?? null);
      if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusal));
      undos.push(outcome.undo);
      all.push(...ops.flatMap((op) => (op.op === 'event' ? [op.event] : [])));
      expect(derived(store.state.get('lot', ID.lot)!)).toEqual(derived(foldLedger(all)));
      while (store.waiting.length > 0 && random() < 0.4) {
        const { command } = store.waiting[0]!;
        seq++;
        server.push(...command.ops.flatMap((op) => (op.op === 'event' ? [op.event] : [])));
        await store.answer([applied(store, seq)]);
        await store.receive(feedPage(seq, [{ entity: 'lot', row: { ...lotRow(0, seq), ...foldLedger(server) } }]));
        expect(derived(store.state.get('lot', ID.lot)!)).toEqual(derived(foldLedger(all)));
      }
    }
    expect(undos.length).toBeGreaterThan(20);
  });

  it('what somebody else did is taken from the server, and counted on from there', async () => {
    const lot = () => store.state.get('lot', ID.lot)!;
    const mine = await store.run('stock_taken', take(store, 4));
    await store.answer([applied(store, 2)]);
    await store.receive(feedPage(2, [{ entity: 'lot', row: lotRow(20, 2) }]));
    await store.receive(feedPage(3, [{ entity: 'lot', row: lotRow(50, 3) }]));
    expect(lot().quantityThousandths).toBe(50_000);
    if (!mine.ok) throw new Error('refused');
    await store.run('undone', mine.undo.ops, mine.undo.undoes ?? null);
    expect(lot().quantityThousandths).toBe(54_000);
  });
});
