import type { Command } from '@ours/core';
import { writeRows } from '@ours/server';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { drizzle } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { bigHome } from './bigHome';
import { command, putOne, smallHome } from './smallHome';
import { quantile, table } from './table';
import { TestBed, type Client } from './TestBed';

const SECONDS = 4;
const LOTS = 200;
const WARM_MS = 1500;

/** The data path over HTTP beside bare single-row inserts by pgbench: same cluster, same durability, same number of clients. */
export async function benchCommands(): Promise<void> {
  const bed = await TestBed.open();
  try {
    execFileSync('psql', [
      '-qX',
      bed.ownerUrl,
      '-c',
      'create table bench_row (id bigserial primary key, at timestamptz, what text)',
    ]);
    await singlesAndBatches(bed);
    await waiting(bed);
    await reading(bed);
  } finally {
    await bed.close();
  }
}

async function singlesAndBatches(bed: TestBed): Promise<void> {
  const rows: (string | number)[][] = [
    ['what', 'per second', 'pgbench, as many clients', 'share', 'node ms CPU each', 'PostgreSQL ms CPU each'],
  ];
  for (const [size, clients, homes] of [
    [1, 1, 1],
    [1, 4, 1],
    [1, 4, 4],
    [1, 16, 1],
    [1, 16, 16],
    [50, 1, 1],
    [50, 4, 4],
  ] as const) {
    const bare = pgbenchInserts(bed.ownerUrl, clients);
    const before = bed.cpu();
    const { done, seconds } = await commandsFor(bed, size, clients, homes);
    const after = bed.cpu();
    const rate = done / seconds;
    const what = `${size === 1 ? 'single commands' : `batches of ${size}`}, ${clients} clients, ${homes} homes`;
    const each = (used: number): number => (used * 1000) / done;
    rows.push([what, rate, bare, rate / bare, each(after.node - before.node), each(after.postgres - before.postgres)]);
  }
  table(`Commands over HTTP (${await bed.durability()})`, rows);
}

function pgbenchInserts(url: string, clients: number): number {
  const script = join(mkdtempSync(join(tmpdir(), 'nook-bench-')), 'insert.sql');
  writeFileSync(script, "insert into bench_row (at, what) values (now(), 'one row');\n");
  const bin = execFileSync('pg_config', ['--bindir'], { encoding: 'utf8' }).trim();
  const printed = execFileSync(
    `${bin}/pgbench`,
    ['-n', '-c', String(clients), '-T', String(SECONDS), '-f', script, '-d', url],
    { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] },
  );
  return Number(/tps = ([\d.]+)/.exec(printed)?.[1]);
}

/** A home with a cupboard full of lots, and a maker of commands that put something onto one after the other. */
async function homeWithLots(client: Client): Promise<() => Command> {
  const { ops, lots } = smallHome(LOTS);
  const [answer] = await client.send([command('bench', ops)]);
  if (answer?.status !== 'applied') throw new Error('refused');
  let at = 0;
  return () => command('bench', [putOne(lots[at++ % LOTS]!)]);
}

async function commandsFor(bed: TestBed, size: number, clients: number, homes: number) {
  const accounts = await Promise.all(Array.from({ length: homes }, () => bed.client().signUp()));
  const makers = await Promise.all(accounts.map(homeWithLots));
  const run = async (until: number): Promise<number> => {
    let done = 0;
    const one = async (at: number): Promise<void> => {
      const client = accounts[at % homes]!.again();
      while (performance.now() < until) {
        const answers = await client.send(Array.from({ length: size }, makers[at % homes]!));
        if (answers.some(({ status }) => status !== 'applied')) throw new Error('refused');
        done += size;
      }
    };
    await Promise.all(Array.from({ length: clients }, (_, at) => one(at)));
    return done;
  };
  await run(performance.now() + WARM_MS);
  const started = performance.now();
  const done = await run(started + SECONDS * 1000);
  return { done, seconds: (performance.now() - started) / 1000 };
}

/** A phone that comes back with 500 commands. */
async function waiting(bed: TestBed): Promise<void> {
  const client = await bed.client().signUp();
  const make = await homeWithLots(client);
  const seconds: number[] = [];
  for (let round = 0; round < 5; round++) {
    const commands = Array.from({ length: 500 }, make);
    const started = performance.now();
    for (let at = 0; at < 500; at += 100) await client.send(commands.slice(at, at + 100));
    seconds.push((performance.now() - started) / 1000);
  }
  table('500 waiting commands in batches of 100', [
    ['median s', 'most s'],
    [quantile(seconds, 0.5), Math.max(...seconds)],
  ]);
}

/** The first reading of a big home with tombstones, and asking when there is nothing new. */
async function reading(bed: TestBed): Promise<void> {
  const client = await bed.client().signUp();
  const { state } = bigHome(10_000);
  const owner = new pg.Client({ connectionString: bed.ownerUrl });
  await owner.connect();
  const ids = new Map<string, string>();
  const idOf = (id: string): string => {
    if (/^[0-9a-f]{8}-/.test(id)) return id;
    if (!ids.has(id)) ids.set(id, uuidv7());
    return ids.get(id)!;
  };
  const rows = (['room', 'space', 'shelf', 'bin', 'item', 'lot'] as const).flatMap((entity) =>
    state.all(entity).map((row) => {
      const own = 'itemId' in row ? { itemId: idOf(row.itemId) } : {};
      return { entity, row: { ...row, ...own, id: idOf(row.id), seq: 2 } } as never;
    }),
  );
  const gone = Array.from({ length: 5000 }, (_, at) => ({
    entity: 'room',
    row: { id: uuidv7(), seq: 2, retired: true, name: `r${at}`, sort: 0 },
  })) as never[];
  for (let at = 0; at < rows.length; at += 5000)
    await writeRows(drizzle(owner) as never, client.home, rows.slice(at, at + 5000));
  await writeRows(drizzle(owner) as never, client.home, gone);
  await owner.query('update household_seq set seq = 2 where household_id = $1', [client.home]);
  await owner.query('analyze');
  await owner.end();
  let [pages, bytes, cursor] = [0, 0, null as string | null];
  const started = performance.now();
  do {
    const { body } = await client.call('GET', `/changes?since=0${cursor === null ? '' : `&cursor=${cursor}`}`);
    pages++;
    bytes += body.length;
    cursor = (JSON.parse(body) as { cursor: string | null }).cursor;
  } while (cursor !== null);
  const seconds = (performance.now() - started) / 1000;
  const before = bed.cpu();
  const samples: number[] = [];
  for (let at = 0; at < 2000; at++) {
    const asked = performance.now();
    await client.call('GET', '/changes?since=2');
    samples.push(performance.now() - asked);
  }
  const after = bed.cpu();
  table(
    `First reading of ${rows.length.toLocaleString('en')} rows beside ${gone.length.toLocaleString('en')} tombstones, then nothing new`,
    [
      ['pages', 'MB', 's', 'nothing new, median ms', 'p95 ms', 'node ms CPU each', 'PostgreSQL ms CPU each'],
      [
        pages,
        bytes / 1e6,
        seconds,
        quantile(samples.slice(200), 0.5),
        quantile(samples.slice(200), 0.95),
        (after.node - before.node) / 2,
        (after.postgres - before.postgres) / 2,
      ],
    ],
  );
}
