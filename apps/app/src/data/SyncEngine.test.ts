import 'fake-indexeddb/auto';
import type { ChangePage, CommandAnswer } from '@ours/contracts';
import { applyCommand, HouseholdState, type Command } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { ProblemAnswer, Unreachable } from './api';
import { HouseholdStore } from './HouseholdStore';
import { ID, sampleRows } from './sampleRows.test-support';
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
    const applied = applyCommand(this.state, command, this.seq + 1);
    const answer: CommandAnswer = applied.ok
      ? { id: command.id, status: 'applied', seq: ++this.seq }
      : { id: command.id, status: 'refused', refusal: applied.refusal };
    if (applied.ok) for (const row of applied.changed) this.state.put(row);
    this.answers.set(command.id, answer);
    return answer;
  }

  ports(): SyncPorts {
    return {
      send: async (commands) => {
        if (!this.reachable) throw new Unreachable('down');
        this.batches.push(commands.length);
        if (commands.some(({ intent }) => intent === 'unreadable')) {
          throw new ProblemAnswer({
            type: '',
            title: '',
            status: 400,
            detail: '"name" is required.',
            code: 'bad_request',
          });
        }
        const answers = commands.map((command) => this.apply(command));
        if (this.loseAnswer) {
          this.loseAnswer = false;
          throw new Unreachable('the line broke while the answer was on its way');
        }
        return { answers };
      },
      pull: async (since): Promise<ChangePage> => {
        if (!this.reachable) throw new Unreachable('down');
        const rows = (['household', 'room', 'space', 'shelf', 'bin', 'item', 'lot'] as const).flatMap((entity) =>
          this.state.all(entity).map((row) => ({ entity, row })),
        );
        return { seq: this.seq, more: false, rows: rows.filter(({ row }) => row.seq > since) as ChangePage['rows'] };
      },
      listen: () => () => undefined,
      exclusively: (work) => work(),
    };
  }
}

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
    expect(server.batches).toEqual([50, 50, 20]);
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
      pull: () =>
        Promise.reject(new ProblemAnswer({ type: '', title: '', status: 401, detail: '', code: 'not_signed_in' })),
    };
    const again = new SyncEngine(store, ended, (connection) => seen.push(connection));
    await again.sync();
    expect(again.connection).toBe('signed_out');
    expect(left(store.state)).toBe(24);
    again.stop();
  });
});
