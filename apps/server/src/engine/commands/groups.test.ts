import type { CommandAnswer } from '@ours/contracts';
import type { Op } from '@ours/core';
import pg from 'pg';
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
let owner: pg.Client;
beforeAll(async () => {
  server = await startServer();
  owner = new pg.Client({ connectionString: server.ownerUrl });
  await owner.connect();
}, 60_000);
afterAll(async () => {
  await owner.end();
  await server.close();
});

async function homeOf(): Promise<{ caller: Caller; home: ReturnType<typeof smallHome> }> {
  const caller = new Caller(server.base);
  await caller.signUp(`${uuidv7()}@ferry.example`);
  const home = smallHome();
  await caller.send(command(home.ops));
  return { caller, home };
}
const room = (name: string): Op => ({ op: 'create', entity: 'room', id: uuidv7(), fields: { name, sort: 0 } });
const kinds = (answers: CommandAnswer[]): string[] =>
  answers.map((answer) => (answer.status === 'applied' ? 'applied' : answer.refusal.kind));

describe('commands in groups', () => {
  it('each is all or nothing; one that is refused stops none, and numbers have no gaps', async () => {
    const { caller, home } = await homeOf();
    const before = (await caller.changes()).seq;
    const repeated = command([room('Shed')]);
    const answers = await caller.send(
      command([room('Cellar')]),
      command([room('Attic'), { op: 'change', entity: 'bin', id: uuidv7(), fields: { name: 'x' } }]),
      repeated,
      repeated,
      command([asOp(event(home.id.lot, 'put_in', 4, 1))]),
    );
    expect(kinds(answers)).toEqual(['applied', 'unknown_id', 'applied', 'applied', 'applied']);
    expect(answers.map((answer) => (answer.status === 'applied' ? answer.seq - before : null))).toEqual([
      1,
      null,
      2,
      2,
      3,
    ]);
    const names = (await caller.changes()).rows.flatMap(({ entity, row }) => (entity === 'room' ? [row.name] : []));
    expect(names.sort()).toEqual(['Boat loft', 'Cellar', 'Shed']);
  });

  it('later ones see what earlier ones in the same group did, late events too', async () => {
    const { caller, home } = await homeOf();
    const { lot, bin } = home.id;
    const put = event(lot, 'put_in', 6, 10);
    const answers = await caller.send(
      command([asOp(put)]),
      command([asOp(event(lot, 'counted', 2, 20))]),
      command([asOp(event(lot, 'taken', 1, 15))]),
      command([asOp(event(lot, 'put_in', 3, 30))]),
      command([asOp(event(lot, 'voided', -6, 40, put.id))]),
      command([{ op: 'retire', entity: 'bin', id: bin }]),
      command([asOp(event(lot, 'taken', 5, 50))]),
      command([{ op: 'retire', entity: 'bin', id: bin }]),
      command([asOp(event(lot, 'put_in', 1, 60))]),
    );
    expect(kinds(answers).slice(5)).toEqual(['holds_stock', 'applied', 'applied', 'retired']);
    expect(await quantityOf(caller, lot)).toEqual({ quantity: 0, pleaseCount: false });
  });

  it.each<[string, (home: ReturnType<typeof smallHome>) => Op[], string]>([
    ['a taking-back of nothing', (home) => [asOp(event(home.id.lot, 'voided', 1, 5, uuidv7()))], 'unknown_event'],
    [
      'an id of another kind',
      (home) => [{ op: 'create', entity: 'room', id: home.id.item, fields: { name: 'x', sort: 0 } }],
      'id_taken',
    ],
    [
      'a second household',
      () => [
        {
          op: 'create',
          entity: 'household',
          id: uuidv7(),
          fields: { name: 'x', lengthUnit: 'metric', dateOrder: null },
        },
      ],
      'only_one',
    ],
    [
      'a verdict of nothing',
      (home) => [
        {
          op: 'create',
          entity: 'verdict',
          id: uuidv7(),
          fields: { clearOutId: uuidv7(), lotId: home.id.lot, verdict: 'keep', toNookId: null },
        },
      ],
      'parent_missing',
    ],
    [
      'a change of a retired row',
      (home) => [
        { op: 'retire', entity: 'bin', id: home.id.bin },
        { op: 'change', entity: 'bin', id: home.id.bin, fields: { name: 'x' } },
      ],
      'retired',
    ],
  ])('the rules of the definitions hold here: %s', async (_, ops, kind) => {
    const { caller, home } = await homeOf();
    expect(kinds(await caller.send(command(ops(home))))).toEqual([kind]);
  });

  it('an event id used before, by another command or for another lot', async () => {
    const { caller, home } = await homeOf();
    const put = event(home.id.lot, 'put_in', 6, 1);
    await caller.send(command([asOp(put)]));
    expect(kinds(await caller.send(command([asOp(put)])))).toEqual(['id_taken']);
    const other = uuidv7();
    const making: Op = { op: 'create', entity: 'lot', id: other, fields: home.lot };
    const foreign = event(other, 'voided', -6, 3, put.id);
    expect(kinds(await caller.send(command([making]), command([asOp(foreign)])))).toEqual([
      'applied',
      'event_of_other_lot',
    ]);
  });

  it('the undo of a refused command, and of one that is in the same batch', async () => {
    const { caller, home } = await homeOf();
    const refused = command([{ op: 'change', entity: 'bin', id: uuidv7(), fields: { name: 'x' } }]);
    const done = command([asOp(event(home.id.lot, 'put_in', 6, 1))]);
    const answers = await caller.send(
      refused,
      command([room('x')], { undoes: refused.id }),
      done,
      command([room('y')], { undoes: done.id }),
      command([room('z')], { undoes: uuidv7() }),
    );
    expect(kinds(answers)).toEqual(['unknown_id', 'undoes_nothing', 'applied', 'applied', 'undoes_nothing']);
  });

  it('a helper may put in but not change the household; what is refused is remembered', async () => {
    const { caller, home } = await homeOf();
    await owner.query("update membership set role = 'helper' where household_id = $1", [caller.home]);
    const settings = command([{ op: 'change', entity: 'household', id: caller.home, fields: { name: 'Mill' } }]);
    const answers = await caller.send(settings, command([asOp(event(home.id.lot, 'put_in', 1, 1))]), settings);
    expect(kinds(answers)).toEqual(['not_allowed', 'applied', 'not_allowed']);
    expect((await caller.call('GET', '/me')).body).toMatchObject({ role: 'helper', personId: null });
  });

  it('the first member of a home is its owner, who joins is an adult', async () => {
    const { caller } = await homeOf();
    const { code } = (await caller.call('POST', '/invitations')).body as { code: string };
    const eskil = new Caller(server.base);
    await eskil.signUp(`${uuidv7()}@ferry.example`, { invitation: code });
    const roles = await Promise.all(
      [caller, eskil].map(async (one) => (await one.call('GET', '/me')).body as { role: string }),
    );
    expect(roles.map(({ role }) => role)).toEqual(['owner', 'adult']);
  });

  it('one that the database will not take is answered alone; the others of its group are applied', async () => {
    const { caller } = await homeOf();
    await owner.query(
      `create function no_dragons() returns trigger language plpgsql as $$
       begin if new.name = 'dragon' then raise exception 'no dragons' using errcode = '22000'; end if; return new; end $$`,
    );
    await owner.query('create trigger no_dragons before insert on room for each row execute function no_dragons()');
    const answers = await caller.send(command([room('Cellar')]), command([room('dragon')]), command([room('Attic')]));
    await owner.query('drop trigger no_dragons on room');
    expect(kinds(answers)).toEqual(['applied', 'not_accepted', 'applied']);
  });

  it('many devices at once: nothing lost, nothing doubled, numbers without gaps', async () => {
    const { caller, home } = await homeOf();
    const before = (await caller.changes()).seq;
    const all = await Promise.all(
      Array.from({ length: 12 }, async (_, device) => {
        const batch = Array.from({ length: 10 }, (__, n) =>
          command([asOp(event(home.id.lot, 'put_in', 1, device + n))]),
        );
        return caller.send(...batch, batch[0]!);
      }),
    );
    const numbers = new Set(all.flat().map((answer) => (answer as { seq: number }).seq));
    expect(numbers.size).toBe(120);
    expect(Math.max(...numbers) - before).toBe(120);
    expect((await quantityOf(caller, home.id.lot)).quantity).toBe(120);
  });

  it('a household that is held up delays no other', async () => {
    const [held, free] = [await homeOf(), await homeOf()];
    await owner.query('begin');
    await owner.query('select 1 from household_seq where household_id = $1 for update', [held.caller.home]);
    const waits = held.caller.send(command([room('Cellar')]));
    const started = Date.now();
    await free.caller.send(command([room('Cellar')]));
    expect(Date.now() - started).toBeLessThan(1500);
    await owner.query('rollback');
    expect(kinds(await waits)).toEqual(['applied']);
  });

  it('one held up for too long is told to come again, and nothing of it has happened', async () => {
    const { caller } = await homeOf();
    await owner.query('begin');
    await owner.query('select 1 from household_seq where household_id = $1 for update', [caller.home]);
    const waits = command([room('Cellar')]);
    const answer = await caller.call('POST', '/commands', { commands: [waits] });
    expect(answer).toMatchObject({ status: 503, body: { code: 'unavailable' } });
    await owner.query('rollback');
    expect(kinds(await caller.send(waits))).toEqual(['applied']);
  }, 20_000);
});

describe('bodies that are not read', () => {
  it.each([
    ['too large', JSON.stringify({ commands: [], filler: 'x'.repeat(3_000_000) }), 413, 'too_large'],
    ['not JSON', '{"commands":', 400, 'bad_request'],
    ['no commands', '{}', 400, 'bad_request'],
  ])('%s', async (_, body, status, code) => {
    const { caller } = await homeOf();
    expect(await caller.call('POST', '/commands', body)).toMatchObject({ status, body: { code } });
    expect((await caller.changes()).rows.length).toBeGreaterThan(1);
  });
});

describe('clocks', () => {
  const DAY = 86_400_000;
  const shifted = (days: number, ms: number): string => new Date(Date.now() + days * DAY + ms).toISOString();
  /** A device that does something one minute ago by its own clock, which is wrong by some days. */
  const sendFrom = (caller: Caller, days: number, ops: (occurredAt: string) => Op[], device = uuidv7()) => {
    const occurredAt = shifted(days, -60_000);
    return caller.call('POST', '/commands', {
      now: shifted(days, 0),
      device,
      commands: [command(ops(occurredAt), { occurredAt })],
    });
  };

  it.each([
    [365, 'taken', 4, 2],
    [365, 'counted', 5, 5],
    [3, 'counted', 5, 5],
    [3, 'put_in', 2, 8],
    [-3, 'taken', 4, 2],
    [-3, 'counted', 5, 5],
  ] as const)('a phone %i days off, then another: %s %i', async (days, kind, pieces, left) => {
    const { caller, home } = await homeOf();
    const put = (occurredAt: string): Op[] => [asOp({ ...event(home.id.lot, 'put_in', 6, 0), occurredAt })];
    expect((await sendFrom(caller, days, put)).status).toBe(200);
    const then = (occurredAt: string): Op[] => [asOp({ ...event(home.id.lot, kind, pieces, 0), occurredAt })];
    const occurredAt = shifted(0, 0);
    await caller.call('POST', '/commands', {
      now: occurredAt,
      device: uuidv7(),
      commands: [command(then(occurredAt), { occurredAt })],
    });
    expect((await quantityOf(caller, home.id.lot)).quantity).toBe(left);
    const { rows } = await owner.query<{ apart: string }>(
      `select round(extract(epoch from said_at - occurred_at) / 86400) as apart from command_log where household_id = $1 and device_id is not null order by seq limit 1`,
      [caller.home],
    );
    expect(Number(rows[0]!.apart)).toBe(days);
  });

  it('nothing is later than it was received, without a clock too; one device keeps its order', async () => {
    const { caller, home } = await homeOf();
    const device = uuidv7();
    await caller.send(
      command([asOp({ ...event(home.id.lot, 'put_in', 6, 0), occurredAt: '2031-01-01T00:00:00.000Z' })]),
    );
    await sendFrom(caller, 2, (occurredAt) => [asOp({ ...event(home.id.lot, 'counted', 9, 0), occurredAt })], device);
    // The same device, its clock two hours back now: its next command is still its next.
    await sendFrom(
      caller,
      2 - 1 / 12,
      (occurredAt) => [asOp({ ...event(home.id.lot, 'taken', 4, 0), occurredAt })],
      device,
    );
    const { rows } = await owner.query<{ late: boolean; kind: string }>(
      'select occurred_at > now() as late, kind from ledger_event where household_id = $1 order by occurred_at',
      [caller.home],
    );
    expect(rows.map(({ late }) => late)).toEqual([false, false, false]);
    expect(rows.filter(({ kind }) => kind !== 'put_in').map(({ kind }) => kind)).toEqual(['counted', 'taken']);
    expect(at(0)).toBe('2026-11-24T08:00:00.000Z');
  });
});
