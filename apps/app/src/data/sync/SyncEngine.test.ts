import 'fake-indexeddb/auto';
import type { ChangePage, CommandAnswer } from '@ours/contracts';
import { applyCommand, HouseholdState, type Command } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { ProblemAnswer, Unreachable } from '@/data/api/api';
import { HouseholdStore } from '@/data/store/HouseholdStore';
import { ID, sampleRows } from '@/data/store/sampleRows.test-support';
import { SyncEngine, type Connection, type SyncPorts } from './SyncEngine';

/** A server in a few lines: the same core rules, numbered, once per id. */
class SmallServer {
  readonly state = new HouseholdState();
  readonly answers = new Map<string, CommandAnswer>();
  seq = 1;
  reachable = true;
  loseAnswer = false;
  batches: number[] = [];

  constructor() {
    for (const row of sampleRows()) this.state.put(row);
  }

  private apply(command: Command): CommandAnswer {
    const known = this.answers.get(command.id);
    if (known) return known;
    const applied = applyCommand(this.state, command, { seq: this.seq + 1, by: { role: 'adult', personId: null } });
    const answer: CommandAnswer = applied.ok
      ? { id: command.id, status: 'applied', seq: ++this.seq }
      : { id: command.id, status: 'refused', refusal: applied.refusal };
    if (applied.ok) for (const row of applied.changed) this.state.put(row);
    this.answers.set(command.id, answer);
    return answer;
  }

  /** What the server answers to a batch with such an intent, instead of taking it. */
  failing: Record<string, number> = { unreadable: 400 };
  generation = 'one';
  clock = (): string => new Date().toISOString();
  /** Pages of this many rows. */
  pageRows = 1000;
  /** The feed answers always the same page. */
  standsStill = false;
  pulls = 0;

  ports(): SyncPorts {
    return {
      send: async ({ commands }) => {
        if (!this.reachable) throw new Unreachable('down');
        this.batches.push(commands.length);
        const status = commands.map(({ intent }) => this.failing[intent]).find((found) => found !== undefined);
        if (status !== undefined) throw problem(status);
        const answers = commands.map((command) => this.apply(command));
        if (this.loseAnswer) {
          this.loseAnswer = false;
          throw new Unreachable('the line broke while the answer was on its way');
        }
        return { answers, now: this.clock() };
      },
      pull: async ({ seq, cursor }): Promise<ChangePage> => {
        this.pulls++;
        if (!this.reachable) throw new Unreachable('down');
        const kinds = ['household', 'room', 'space', 'shelf', 'bin', 'item', 'lot'] as const;
        const all = kinds
          .flatMap((entity) => this.state.all(entity).map((row) => ({ entity, row })))
          .filter(({ row }) => row.seq > seq) as ChangePage['rows'];
        const from = Number(cursor ?? 0);
        const rows = all.slice(from, from + this.pageRows);
        const more = from + rows.length < all.length || this.standsStill;
        const next = this.standsStill ? '0' : String(from + rows.length);
        return {
          seq: more ? seq : this.seq,
          cursor: more ? next : null,
          generation: this.generation,
          now: this.clock(),
          rows,
        };
      },
      listen: () => () => undefined,
      exclusively: (work) => work(),
    };
  }
}

const problem = (status: number, code = 'bad_request'): ProblemAnswer =>
  new ProblemAnswer({ type: '', title: '', status, detail: '"name" is required.', code });

async function device(server: SmallServer) {
  const store = await HouseholdStore.open(uuidv7());
  const seen: Connection[] = [];
  const engine = new SyncEngine(store, server.ports(), (connection) => seen.push(connection));
  await engine.sync();
  return { store, engine, seen };
}
const takeOne = (store: HouseholdStore, intent = 'stock_taken') =>
  store.run(intent, [
    {
      op: 'event',
      event: {
        id: uuidv7(),
        lotId: ID.lot,
        kind: 'taken',
        quantityThousandths: 1000,
        occurredAt: new Date().toISOString(),
        reason: null,
        voids: null,
      },
    },
  ]);
const left = (state: HouseholdState): number => state.get('lot', ID.lot)!.quantityThousandths / 1000;

describe('keeping a device in step', () => {
  it('reads everything at first, then sends what is done', async () => {
    const server = new SmallServer();
    const { store, engine, seen } = await device(server);
    expect(left(store.state)).toBe(24);
    await takeOne(store);
    await engine.sync();
    expect(left(server.state)).toBe(23);
    expect(store.waiting).toHaveLength(0);
    expect(seen).toEqual(['online']);
    engine.stop();
  });

  it('without a line it waits; back again, everything is sent once', async () => {
    const server = new SmallServer();
    const { store, engine, seen } = await device(server);
    server.reachable = false;
    for (let i = 0; i < 5; i++) await takeOne(store);
    await engine.sync();
    expect(store.waiting).toHaveLength(5);
    expect(left(store.state)).toBe(19);
    server.reachable = true;
    await engine.sync();
    expect(store.waiting).toHaveLength(0);
    expect(left(server.state)).toBe(19);
    expect(seen).toEqual(['online', 'offline', 'online']);
    engine.stop();
  });

  it('a lost answer does not make it happen twice', async () => {
    const server = new SmallServer();
    const { store, engine } = await device(server);
    server.loseAnswer = true;
    await takeOne(store);
    await engine.sync();
    await engine.sync();
    expect(left(server.state)).toBe(23);
    expect(left(store.state)).toBe(23);
    engine.stop();
  });

  it('sends long queues in batches', async () => {
    const server = new SmallServer();
    const { store, engine } = await device(server);
    server.reachable = false;
    for (let i = 0; i < 120; i++) await takeOne(store);
    server.reachable = true;
    await engine.sync();
    expect(server.batches).toEqual([100, 20]);
    engine.stop();
  });

  it('one command that is not accepted does not hold up the others', async () => {
    const server = new SmallServer();
    const { store, engine } = await device(server);
    await takeOne(store);
    await takeOne(store, 'unreadable');
    await takeOne(store);
    await engine.sync();
    expect(left(server.state)).toBe(22);
    expect(store.refused.map(({ refusal }) => refusal)).toEqual([
      { kind: 'not_accepted', detail: '"name" is required.' },
    ]);
    engine.stop();
  });

  it('a session that has ended keeps the data and says so', async () => {
    const server = new SmallServer();
    const { store, engine, seen } = await device(server);
    engine.stop();
    const ended: SyncPorts = {
      ...server.ports(),
      pull: () => Promise.reject(problem(401, 'not_signed_in')),
    };
    const again = new SyncEngine(store, ended, (connection) => seen.push(connection));
    await again.sync();
    expect(again.connection).toBe('signed_out');
    expect(left(store.state)).toBe(24);
    again.stop();
  });

  it.each([500, 403, 404, 422])(
    'a command answered with %i is put aside after its repeat; the rest goes on',
    async (status) => {
      const server = new SmallServer();
      server.failing = { cursed: status };
      const { store, engine } = await device(server);
      await takeOne(store);
      await takeOne(store, 'cursed');
      await takeOne(store);
      await engine.sync();
      expect(store.refused).toHaveLength(0);
      await engine.sync();
      await engine.sync();
      expect(left(server.state)).toBe(22);
      expect(store.waiting).toHaveLength(0);
      expect(store.refused.map(({ refusal }) => refusal?.kind)).toEqual(['not_accepted']);
      engine.stop();
    },
  );

  it('another home in another tab: it stops and keeps its queue', async () => {
    const server = new SmallServer();
    const { store, engine } = await device(server);
    engine.stop();
    await takeOne(store);
    const ports = { ...server.ports(), send: () => Promise.reject(problem(409, 'other_home')) };
    const seen: Connection[] = [];
    const again = new SyncEngine(store, ports, (connection) => seen.push(connection));
    await again.sync();
    expect(seen).toEqual(['other_home']);
    expect(store.waiting).toHaveLength(1);
    expect(store.refused).toHaveLength(0);
    again.stop();
  });

  it('reads page after page, and stops when the same page comes again', async () => {
    const server = new SmallServer();
    server.pageRows = 2;
    const { store, engine } = await device(server);
    expect([store.seq, left(store.state)]).toEqual([1, 24]);
    await takeOne(store);
    server.standsStill = true;
    const before = server.pulls;
    await engine.sync();
    expect(engine.connection).toBe('stuck');
    expect(server.pulls - before).toBeLessThan(5);
    engine.stop();
  });

  it('a server put back from a backup gets what it no longer knows', async () => {
    const server = new SmallServer();
    const { store, engine } = await device(server);
    await takeOne(store);
    await takeOne(store);
    await engine.sync();
    expect(left(server.state)).toBe(22);
    // The backup is from before both.
    for (const row of sampleRows()) server.state.put(row);
    server.answers.clear();
    server.seq = 1;
    server.generation = 'two';
    await engine.sync();
    await engine.sync();
    expect(left(server.state)).toBe(22);
    expect(left(store.state)).toBe(22);
    expect(store.waiting).toHaveLength(0);
    engine.stop();
  });

  it('says "online" only while it has heard from the server within a minute', async () => {
    const server = new SmallServer();
    const store = await HouseholdStore.open(uuidv7());
    const seen: Connection[] = [];
    let now = 1_000_000;
    const engine = new SyncEngine(
      store,
      server.ports(),
      (connection) => seen.push(connection),
      () => now,
    );
    await engine.sync();
    now += 61_000;
    server.reachable = false;
    engine.wake();
    expect(engine.connection).toBe('connecting');
    await engine.sync();
    expect(seen).toEqual(['online', 'connecting', 'offline']);
    engine.stop();
  });
});
