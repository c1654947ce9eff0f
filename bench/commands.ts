import { createContext, migrateDatabase, signUp } from '@ours/server';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import pg from 'pg';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { table } from './table';

const root = resolve(import.meta.dirname, '..');
const SECONDS = 5;
const CLIENTS = 4;

/** Commands per second beside bare single-row inserts by pgbench: same cluster, same durability, same number of clients. */
export async function benchCommands(): Promise<void> {
  const printed = execFileSync('bash', [`${root}/tools/cluster.sh`, 'start', 'test'], { encoding: 'utf8' });
  const cluster = Object.fromEntries(
    printed
      .trim()
      .split('\n')
      .map((line) => line.split(/=(.*)/s).slice(0, 2)),
  ) as Record<string, string>;
  const name = `bench_${Date.now()}`;
  const inDatabase = (url: string): string => url.replace(/\/[^/]*$/, `/${name}`);
  const admin = new pg.Client({ connectionString: cluster.OWNER_URL! });
  await admin.connect();
  await admin.query(`create database ${name}`);
  const durability = await admin.query(
    "select string_agg(name || '=' || setting, ', ') as said from pg_settings where name in ('fsync', 'synchronous_commit', 'full_page_writes')",
  );
  await migrateDatabase(inDatabase(cluster.OWNER_URL!));
  const bare = pgbenchInserts(inDatabase(cluster.OWNER_URL!));
  const context = await createContext({
    databaseUrl: inDatabase(cluster.DATABASE_URL!),
    log: pino({ level: 'silent' }),
  });
  const oneHome = await commandsPerSecond(context, 1);
  const fourHomes = await commandsPerSecond(context, CLIENTS);
  await context.close();
  await admin.query(`drop database ${name} with (force)`);
  await admin.end();
  table(`Commands, ${CLIENTS} clients (${durability.rows[0].said})`, [
    ['what', 'per second', 'share of bare inserts'],
    ['pgbench, bare single-row inserts', bare, 1],
    ['commands, one household (in a line by its lock)', oneHome, oneHome / bare],
    [`commands, ${CLIENTS} households`, fourHomes, fourHomes / bare],
  ]);
}

function pgbenchInserts(url: string): number {
  const script = join(mkdtempSync(join(tmpdir(), 'nook-bench-')), 'insert.sql');
  writeFileSync(script, "insert into bench_row (at, what) values (now(), 'one row');\n");
  execFileSync('psql', [
    '-qX',
    url,
    '-c',
    'create table bench_row (id bigserial primary key, at timestamptz, what text)',
  ]);
  const bin = execFileSync('pg_config', ['--bindir'], { encoding: 'utf8' }).trim();
  const printed = execFileSync(
    `${bin}/pgbench`,
    ['-n', '-c', String(CLIENTS), '-T', String(SECONDS), '-f', script, '-d', url],
    { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] },
  );
  return Number(/tps = ([\d.]+)/.exec(printed)?.[1]);
}

async function commandsPerSecond(context: Awaited<ReturnType<typeof createContext>>, homes: number): Promise<number> {
  const senders = await Promise.all(
    Array.from({ length: homes }, () =>
      signUp(context, {
        name: 'Bench',
        email: `${uuidv7()}@ferry-house.example`,
        password: 'a ferry on the river',
        householdName: 'Ferry house',
      }),
    ),
  );
  const until = Date.now() + SECONDS * 1000;
  const started = Date.now();
  let done = 0;
  const client = async (at: number): Promise<void> => {
    const sender = senders[at % homes]!;
    while (Date.now() < until) {
      const occurredAt = new Date().toISOString();
      const room = { op: 'create', entity: 'room', id: uuidv7(), fields: { name: 'Boat loft', sort: 0 } } as const;
      const command = { id: uuidv7(), intent: 'bench', occurredAt, ops: [room] };
      const [answer] = await context.commands.run(sender, { commands: [command] });
      if (answer?.status !== 'applied') throw new Error('refused');
      done++;
    }
  };
  await Promise.all(Array.from({ length: CLIENTS }, (_, at) => client(at)));
  return done / ((Date.now() - started) / 1000);
}
