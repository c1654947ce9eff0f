/**
 * Kills the server and the database again and again while devices send, then counts: nothing lost, nothing doubled, no
 * answer that differs from the first, and the server alive after every loss of the database.
 *
 *   npm run killtest            10,000 commands, 20 kills of the server, 10 of the database
 *   npm run killtest -- short   1,000 commands, 3 and 3 (part of ./run test)
 */
import type { CommandAnswer } from '@ours/contracts';
import { foldLedger, seededRandom, type Command, type LedgerEvent, type TaggedRow } from '@ours/core';
import { migrateDatabase } from '@ours/server';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { command, putOne, smallHome } from './smallHome';
import { Client, freePort } from './TestBed';

const root = resolve(import.meta.dirname, '..');
const short = process.argv.includes('short');
const [COMMANDS, SERVER_KILLS, DATABASE_KILLS] = short ? [1000, 3, 3] : [10_000, 20, 10];
const [HOMES, DEVICES] = [4, 8];
const CLUSTER = 'kill';
const random = seededRandom(Number(process.env.KILL_SEED ?? 7));
const soon = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const say = (line: string): void => void process.stdout.write(`${line}\n`);

/** PostgreSQL that can be ended in the three ways in which it ends: asked to, at once, and without a word. */
class Database {
  private env: Record<string, string> = {};
  private port = '';

  start(): void {
    const wanted = this.port === '' ? {} : { PG_PORT_WANTED: this.port };
    const printed = execFileSync('bash', [`${root}/tools/cluster.sh`, 'start', CLUSTER], {
      encoding: 'utf8',
      env: { ...process.env, ...wanted },
    });
    this.env = Object.fromEntries(
      printed
        .trim()
        .split('\n')
        .map((line) => line.split(/=(.*)/s).slice(0, 2)),
    ) as never;
    this.port = this.env.PG_PORT!;
  }

  url(who: 'OWNER_URL' | 'DATABASE_URL', name: string): string {
    return this.env[who]!.replace(/\/[^/]*$/, `/${name}`);
  }

  async kill(how: 'fast' | 'immediate' | 'nine'): Promise<void> {
    const pid = execFileSync('pgrep', ['-o', '-f', `postgres.*pg-${CLUSTER}`], { encoding: 'utf8' }).trim();
    if (how === 'nine') {
      execFileSync('bash', ['-c', `kill -9 ${pid} $(pgrep -P ${pid}) 2>/dev/null || true`]);
    } else {
      // What pg_ctl sends for -m fast and -m immediate.
      process.kill(Number(pid), how === 'fast' ? 'SIGINT' : 'SIGQUIT');
    }
    for (let tries = 0; tries < 200 && isAlive(pid); tries++) await soon(25);
  }

  wipe(): void {
    execFileSync('bash', [`${root}/tools/cluster.sh`, 'wipe', CLUSTER], { stdio: 'ignore' });
  }
}
const isAlive = (pid: string): boolean => {
  try {
    process.kill(Number(pid), 0);
    return true;
  } catch {
    return false;
  }
};

class Server {
  private child: ChildProcess | null = null;
  /** How often it ended by itself. */
  deaths = 0;
  constructor(
    private readonly url: string,
    readonly port: number,
  ) {}

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['--import', 'tsx', 'src/main.ts'], {
      cwd: `${root}/apps/server`,
      env: {
        ...process.env,
        DATABASE_URL: this.url,
        PORT: String(this.port),
        LOG_LEVEL: 'silent',
        REQUESTS_PER_MINUTE: '100000000',
        SIGN_IN_TRIES: '100000',
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
    this.child = child;
    child.once('exit', () => {
      if (this.child !== child) return;
      this.deaths++;
      this.child = null;
    });
    for (let tries = 0; tries < 400; tries++) {
      const up = await new Client(this.port).call('GET', '/status').catch(() => null);
      if (up && up.status > 0) return;
      await soon(25);
    }
    throw new Error('the server did not come up');
  }

  get isAlive(): boolean {
    return this.child !== null;
  }

  async kill(): Promise<void> {
    const child = this.child!;
    this.child = null;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
  }
}

interface Home {
  client: Client;
  lots: string[];
  applied: Map<string, number>;
  put: number;
  rooms: Set<string>;
}

async function newHome(port: number): Promise<Home> {
  const client = await new Client(port).signUp();
  const { ops, lots, room } = smallHome(3);
  const [answer] = await client.send([command('killtest', ops)]);
  if (answer?.status !== 'applied') throw new Error(JSON.stringify(answer));
  return { client, lots, applied: new Map(), put: 0, rooms: new Set([room]) };
}

function nextCommand(home: Home): Command {
  if (random() < 0.1) {
    return command('killtest', [{ op: 'create', entity: 'room', id: uuidv7(), fields: { name: 'Shed', sort: 0 } }]);
  }
  const lotId = home.lots[Math.floor(random() * home.lots.length)]!;
  // Some late: their lot is folded anew from its history.
  const occurredAt = new Date(Date.now() - (random() < 0.2 ? 60_000 * random() : 0)).toISOString();
  return command('killtest', [putOne(lotId, occurredAt)]);
}

const counts = { sent: 0, repeated: 0, cut: 0, putOff: 0, lost: 0, doubled: 0, mismatched: 0 };

/** Sends until it is answered, as a device does; sometimes hangs up before the answer, sometimes asks again after it. */
async function device(home: Home, share: number): Promise<void> {
  const client = home.client.again();
  for (let done = 0; done < share;) {
    const batch = Array.from({ length: Math.min(share - done, 1 + Math.floor(random() * 20)) }, () =>
      nextCommand(home),
    );
    const answers = await untilAnswered(client, batch);
    note(home, batch, answers);
    if (random() < 0.1) {
      counts.repeated += batch.length;
      note(home, batch, await untilAnswered(client, batch));
    }
    done += batch.length;
    counts.sent += batch.length;
  }
}

async function untilAnswered(client: Client, batch: readonly Command[]): Promise<CommandAnswer[]> {
  for (;;) {
    const sending = client
      .call('POST', '/commands', { now: new Date().toISOString(), commands: batch })
      .catch(() => null);
    if (random() < 0.05) {
      await soon(random() * 10);
      client.close();
      counts.cut++;
    }
    const answer = await sending;
    if (answer?.status === 200) return (JSON.parse(answer.body) as { answers: CommandAnswer[] }).answers;
    if (answer && answer.status !== 503) throw new Error(`${answer.status} ${answer.body}`);
    counts.putOff++;
    await soon(30 + random() * 40);
  }
}

function note(home: Home, batch: readonly Command[], answers: readonly CommandAnswer[]): void {
  answers.forEach((answer, at) => {
    const { id, ops } = batch[at]!;
    if (answer.id !== id || answer.status !== 'applied') {
      counts.mismatched++;
      return;
    }
    const known = home.applied.get(id);
    if (known !== undefined) {
      if (known !== answer.seq) counts.mismatched++;
      return;
    }
    home.applied.set(id, answer.seq);
    for (const op of ops) {
      if (op.op === 'event') home.put++;
      if (op.op === 'create') home.rooms.add(op.id);
    }
  });
}

/** What each home has now beside what its devices were told. */
async function compare(home: Home, owner: pg.Client): Promise<void> {
  const rows: TaggedRow[] = [];
  for (let cursor: string | null = null, first = true; first || cursor !== null; first = false) {
    const { body } = await home.client.call('GET', `/changes?since=0${cursor === null ? '' : `&cursor=${cursor}`}`);
    const page = JSON.parse(body) as { rows: TaggedRow[]; cursor: string | null };
    rows.push(...page.rows);
    cursor = page.cursor;
  }
  const lots = rows.flatMap((tagged) => (tagged.entity === 'lot' ? [tagged.row] : []));
  const there = lots.reduce((sum, lot) => sum + lot.quantityThousandths / 1000, 0);
  counts.lost += Math.max(0, home.put - there);
  counts.doubled += Math.max(0, there - home.put);
  const rooms = rows.filter(({ entity }) => entity === 'room').length;
  counts.lost += Math.max(0, home.rooms.size - rooms);
  counts.doubled += Math.max(0, rooms - home.rooms.size);
  const numbers = new Set(home.applied.values());
  if (numbers.size !== home.applied.size) counts.mismatched++;
  const log = await owner.query<{ id: string; seq: string }>(
    'select id, seq from command_log where household_id = $1 and seq is not null',
    [home.client.home],
  );
  const logged = new Map(log.rows.map(({ id, seq }) => [id, Number(seq)]));
  for (const [id, seq] of home.applied) if (logged.get(id) !== seq) counts.mismatched++;
  for (const lot of lots) {
    const { rows: events } = await owner.query(
      'select id, lot_id, kind, quantity_thousandths, occurred_at, voids from ledger_event where household_id = $1 and lot_id = $2',
      [home.client.home, lot.id],
    );
    const folded = foldLedger(
      events.map((event): LedgerEvent => ({
        id: event.id,
        lotId: event.lot_id,
        kind: event.kind,
        quantityThousandths: Number(event.quantity_thousandths),
        occurredAt: event.occurred_at.toISOString(),
        reason: null,
        voids: event.voids,
      })),
    );
    if (folded.quantityThousandths !== lot.quantityThousandths) counts.mismatched++;
  }
}

const database = new Database();
database.start();
const name = `kill_${Date.now()}`;
const admin = new pg.Client({ connectionString: database.url('OWNER_URL', 'every_nook') });
await admin.connect();
await admin.query(`create database ${name}`);
await admin.end();
await migrateDatabase(database.url('OWNER_URL', name));
const server = new Server(database.url('DATABASE_URL', name), await freePort());
await server.start();
const homes = await Promise.all(Array.from({ length: HOMES }, () => newHome(server.port)));

const started = Date.now();
let finished = false;
const sending = Promise.all(
  Array.from({ length: DEVICES }, (_, at) => device(homes[at % HOMES]!, Math.ceil(COMMANDS / DEVICES))),
).then(() => (finished = true));

/** Kills are spread over the commands, so that all of them happen while devices send. */
const kinds = ['fast', 'immediate', 'nine'] as const;
const plan = [
  ...Array.from({ length: SERVER_KILLS }, (_, at) => ({
    after: ((at + 0.5) / SERVER_KILLS) * 0.95,
    what: 'server' as const,
  })),
  ...Array.from({ length: DATABASE_KILLS }, (_, at) => ({
    after: ((at + 0.3) / DATABASE_KILLS) * 0.95,
    what: kinds[at % kinds.length]!,
  })),
].sort((a, b) => a.after - b.after);
let [serverKills, databaseKills, deadAfterLoss] = [0, 0, 0];
for (const { after, what } of plan) {
  while (counts.sent < after * COMMANDS && !finished) await soon(5);
  if (what === 'server') {
    await server.kill();
    serverKills++;
    await server.start();
  } else {
    await database.kill(what);
    databaseKills++;
    await soon(150);
    database.start();
    for (let tries = 0; tries < 400; tries++) {
      const answer = await new Client(server.port).call('GET', '/status').catch(() => null);
      if (answer?.status === 200 || !server.isAlive) break;
      await soon(25);
    }
    if (!server.isAlive) {
      deadAfterLoss++;
      await server.start();
    }
  }
}
await sending;
const owner = new pg.Client({ connectionString: database.url('OWNER_URL', name) });
await owner.connect();
for (const home of homes) await compare(home, owner);
await owner.end();
await server.kill();
database.wipe();

const seconds = ((Date.now() - started) / 1000).toFixed(0);
say(
  `${counts.sent} commands in ${seconds} s, ${serverKills} kills of the server, ${databaseKills} of the database (asked, at once, without a word)`,
);
say(
  `${counts.putOff} times put off, ${counts.cut} connections cut, ${counts.repeated} commands sent again after their answer`,
);
say(
  `${counts.lost} lost, ${counts.doubled} doubled, ${counts.mismatched} mismatched, ${deadAfterLoss + server.deaths} times the server ended by itself`,
);
process.exit(
  counts.lost + counts.doubled + counts.mismatched + deadAfterLoss + server.deaths === 0 && counts.sent >= COMMANDS
    ? 0
    : 1,
);
