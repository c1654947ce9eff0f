import { foldLedger, opsForPast, type Command, type LedgerEvent, type Op, type PastUse } from '@ours/core';
import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import {
  asOp,
  at,
  Caller,
  command,
  event,
  quantityOf,
  smallHome,
  startServer,
  type TestServer,
} from '../../testHome.test-support';

let server: TestServer;
let runa: Caller;
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
}, 60_000);
afterAll(() => server.close());

describe('one command', () => {
  it('is applied once, numbered, and repeated changes nothing', async () => {
    const home = smallHome();
    const making = command(
      home.ops.map((op) =>
        op.op === 'create' && 'code' in op.fields ? ({ ...op, fields: { ...op.fields } } as Op) : op,
      ),
    );
    const [first] = await runa.send(making);
    expect(first).toMatchObject({ id: making.id, status: 'applied' });
    const put = command([asOp(event(home.id.lot, 'put_in', 6, 1))]);
    const answers = await runa.send(put, put);
    expect(answers[1]).toEqual(answers[0]);
    expect((await runa.send(put))[0]).toEqual(answers[0]);
    expect(await quantityOf(runa, home.id.lot)).toEqual({ quantity: 6, pleaseCount: false });
  });

  it('refused stays refused, with the reason, and leaves nothing behind', async () => {
    const before = (await runa.changes()).seq;
    const bad = command([
      { op: 'create', entity: 'room', id: uuidv7(), fields: { name: 'Cellar', sort: 1 } },
      { op: 'change', entity: 'bin', id: uuidv7(), fields: { name: 'nobody' } },
    ]);
    const [answer] = await runa.send(bad);
    expect(answer).toMatchObject({ status: 'refused', refusal: { kind: 'unknown_id', entity: 'bin' } });
    expect((await runa.send(bad))[0]).toEqual(answer);
    expect((await runa.changes()).seq).toBe(before);
  });

  it.each<[string, (home: ReturnType<typeof smallHome>) => Op[], string]>([
    ['code taken', (home) => [{ op: 'create', entity: 'bin', id: uuidv7(), fields: home.bin }], 'code_taken'],
    ['holds stock', (home) => [{ op: 'retire', entity: 'bin', id: home.id.bin }], 'holds_stock'],
    [
      'into itself',
      (home) => [{ op: 'change', entity: 'bin', id: home.id.bin, fields: { parentBinId: home.id.bin } }],
      'would_contain_itself',
    ],
    [
      'no such place',
      (home) => [{ op: 'change', entity: 'lot', id: home.id.lot, fields: { nookId: uuidv7() } }],
      'parent_missing',
    ],
  ])('the same rules as on the device: %s', async (_, ops, kind) => {
    const fresh = new Caller(server.base);
    await fresh.signUp(`${uuidv7()}@ferry.example`);
    const home = smallHome();
    await fresh.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 6, 1))]));
    expect((await fresh.send(command(ops(home))))[0]).toMatchObject({ status: 'refused', refusal: { kind } });
  });

  it('a tombstone stays in the feed, and restoring brings the row back', async () => {
    const room = uuidv7();
    await runa.send(command([{ op: 'create', entity: 'room', id: room, fields: { name: 'Shed', sort: 9 } }]));
    const { seq } = await runa.changes();
    await runa.send(command([{ op: 'retire', entity: 'room', id: room }]));
    const gone = await runa.changes(seq);
    expect(gone.rows).toMatchObject([{ entity: 'room', row: { id: room, retired: true, seq: seq + 1 } }]);
    await runa.send(command([{ op: 'restore', entity: 'room', id: room }]));
    expect((await runa.changes(gone.seq)).rows).toMatchObject([{ row: { id: room, retired: false } }]);
  });
});

describe('any order of delivery gives the same stock', () => {
  const steps = fc.array(
    fc.record({
      kind: fc.constantFrom('put_in', 'taken', 'counted', 'voided'),
      quantity: fc.integer({ min: 0, max: 9 }),
      minute: fc.integer({ min: 1, max: 50 }),
      batch: fc.integer({ min: 1, max: 3 }),
    }),
    { minLength: 2, maxLength: 8 },
  );

  it('on a real database', async () => {
    const trials = fc.sample(fc.tuple(steps, fc.array(fc.nat(), { minLength: 8, maxLength: 8 })), {
      seed: 42,
      numRuns: 15,
    });
    for (const [plan, keys] of trials) {
      const results: unknown[] = [];
      const source: Omit<LedgerEvent, 'lotId'>[] = [];
      for (const step of plan) {
        const voids = step.kind === 'voided' ? (source[0]?.id ?? null) : null;
        if (step.kind === 'voided' && voids === null) continue;
        const { lotId: _, ...one } = event(
          '',
          step.kind as LedgerEvent['kind'],
          step.kind === 'voided' ? 0 : step.quantity,
          step.minute,
          voids,
        );
        source.push(one);
      }
      for (const shuffle of [false, true]) {
        const caller = new Caller(server.base);
        await caller.signUp(`${uuidv7()}@ferry.example`);
        const home = smallHome();
        await caller.send(command(home.ops));
        const commands = source.map((one) =>
          command([asOp({ ...one, lotId: home.id.lot })], { occurredAt: one.occurredAt }),
        );
        const order = shuffle
          ? commands
              .map((c, i) => ({ c, k: keys[i % 8]! }))
              .sort((a, b) => a.k - b.k)
              .map(({ c }) => c)
          : commands;
        for (const one of order) await caller.send(one);
        await caller.send(...order.slice(0, 2));
        results.push(await quantityOf(caller, home.id.lot));
      }
      const { quantityThousandths, pleaseCount } = foldLedger(source.map((one) => ({ ...one, lotId: 'x' })));
      expect(results[1]).toEqual(results[0]);
      expect(results[0]).toEqual({ quantity: quantityThousandths / 1000, pleaseCount });
    }
  }, 120_000);

  it('commands that arrive at once are put in a line', async () => {
    const caller = new Caller(server.base);
    await caller.signUp(`${uuidv7()}@ferry.example`);
    const home = smallHome();
    await caller.send(command(home.ops));
    const many = Array.from({ length: 20 }, (_, i) => command([asOp(event(home.id.lot, 'put_in', 1, i))]));
    const answers = (await Promise.all(many.map((one) => caller.send(one)))).flat();
    expect(new Set(answers.map((answer) => answer.status === 'applied' && answer.seq)).size).toBe(20);
    expect((await quantityOf(caller, home.id.lot)).quantity).toBe(20);
  });
});

describe('history and undo', () => {
  it('tells who did what, and its inverse takes it back', async () => {
    const caller = new Caller(server.base);
    await caller.signUp('eskil@ferry.example');
    const home = smallHome();
    await caller.send(
      command(home.ops),
      command([asOp(event(home.id.lot, 'put_in', 6, 1))], { intent: 'stock_put_in' }),
    );
    const taken = command([asOp(event(home.id.lot, 'taken', 2, 2))], { intent: 'stock_taken', occurredAt: at(2) });
    await caller.send(taken);
    const { entries } = (await caller.call('GET', '/history')).body as {
      entries: {
        intent: string;
        by: string;
        summary: string[];
        inverse: Command;
        undone: boolean;
        occurredAt: string;
      }[];
    };
    expect(entries[0]).toMatchObject({
      intent: 'stock_taken',
      by: 'eskil',
      summary: [`Paper lanterns −2 pieces, ${home.bin.code}`],
      undone: false,
      occurredAt: at(2),
    });
    await caller.send(entries[0]!.inverse);
    expect((await quantityOf(caller, home.id.lot)).quantity).toBe(6);
    const again = (await caller.call('GET', '/history')).body as {
      entries: { undone: boolean; undoes: string | null }[];
    };
    expect(again.entries[1]!.undone).toBe(true);
    expect(again.entries[0]!.undoes).toBe(taken.id);
  });

  it('of past use that was added it tells the use, not what keeps the account straight', async () => {
    const caller = new Caller(server.base);
    await caller.signUp('pim@ferry.example');
    const home = smallHome();
    const { itemId, nookId } = home.lot as { itemId: string; nookId: string };
    await caller.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 6, 1))]));
    const use = { itemId, nookId, kind: 'taken', thousandths: 2000, at: '2026-05-03T12:00:00.000Z' } as PastUse;
    const [lot] = opsForPast([use], { newId: () => uuidv7(), now: at(2), today: '2026-11-28' });
    await caller.send(command(lot!.ops, { intent: 'past_read', occurredAt: at(2) }));
    const { events } = (await caller.call('GET', `/items/${itemId}/events`)).body as {
      events: { kind: string; occurredAt: string }[];
    };
    expect(events.map(({ kind }) => kind)).toEqual(['put_in', 'taken']);
    const { entries } = (await caller.call('GET', '/history')).body as { entries: { summary: string[] }[] };
    expect(entries[0]!.summary).toEqual([`Paper lanterns −2 pieces, ${home.bin.code}`]);
    expect((await quantityOf(caller, home.id.lot)).quantity).toBe(6);
  });

  it('tells what happened to one thing, what was taken back, and nothing of other homes', async () => {
    const caller = new Caller(server.base);
    await caller.signUp('tove@ferry.example');
    const home = smallHome();
    const taken = event(home.id.lot, 'taken', 2, 2);
    await caller.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 6, 1))]), command([asOp(taken)]));
    const itemId = (home.lot as { itemId: string }).itemId;
    const told = async (by: Caller, id: string) =>
      (
        (await by.call('GET', `/items/${id}/events`)).body as {
          events: { kind: string; by: string; undone: boolean }[];
        }
      ).events;
    expect((await told(caller, itemId)).map(({ kind, by, undone }) => [kind, by, undone])).toEqual([
      ['taken', 'tove', false],
      ['put_in', 'tove', false],
    ]);
    await caller.send(command([asOp({ ...event(home.id.lot, 'voided', 2, 3), voids: taken.id })]));
    expect((await told(caller, itemId)).map(({ kind, undone }) => [kind, undone])).toEqual([
      ['taken', true],
      ['put_in', false],
    ]);
    const stranger = new Caller(server.base);
    await stranger.signUp('alma@mill.example', { householdName: 'Mill' });
    expect(await told(stranger, itemId)).toEqual([]);
    expect(await told(caller, 'not-an-id')).toEqual([]);
  });
});
