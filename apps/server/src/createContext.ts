import pg from 'pg';
import pino, { type Logger } from 'pino';
import { SessionCache } from './accounts/SessionCache';
import { SlowDown } from './accounts/slowDown';
import type { Context } from './context';
import { connect, createPool } from './db/connect';
import { CommandLine } from './engine/commands/CommandLine';
import { tidyDaily } from './engine/tidyDaily';
import { listenForNudges } from './engine/nudges/nudges';
import { OpenStreams } from './engine/nudges/OpenStreams';
import { newId } from './newId';
import { RequestCounter } from './http/RequestCounter';
import { describeError } from './http/describeError';

export interface ContextOptions {
  databaseUrl: string;
  log?: Logger;
  signInTriesPerMinute?: number;
  requestsPerMinute?: number;
  hosts?: readonly string[];
  trustProxy?: string | null;
  /** How long to wait for the database at start; it may come up after the server. */
  waitMs?: number;
}

const HERE = ['localhost', '127.0.0.1', '[::1]'];
/** Plans of these statements never depend on the values: planning anew costs more than running. */
const PLAN_ONCE = '-c plan_cache_mode=force_generic_plan -c jit=off';
const AGAIN_MS = 300;
/** A phone that comes back after a day in the cellar sends its queue in batches; nobody needs more than this. */
const REQUESTS_PER_MINUTE = 1200;

/** Builds what the features share; `close` ends its connections. */
export async function createContext(options: ContextOptions): Promise<Context & { close: () => Promise<void> }> {
  const { databaseUrl } = options;
  const log = options.log ?? pino({ level: process.env.LOG_LEVEL ?? 'info', serializers: { err: describeError } });
  const db = connect(databaseUrl);
  const lines = createPool(databaseUrl, { max: 6, pipeline: true, settings: '-c jit=off' });
  const writers = createPool(databaseUrl, { max: 8, pipeline: true, settings: PLAN_ONCE });
  const now = () => new Date();
  await waitFor(db.$client, options.waitMs ?? 60_000, log);
  const nudges = listenForNudges(() => new pg.Client({ connectionString: databaseUrl, keepAlive: true }));
  const sessions = new SessionCache(() => nudges.isListening());
  nudges.onAnySessionEnd((sessionId) => (sessionId === null ? sessions.forgetAll() : sessions.forget(sessionId)));
  const commands = new CommandLine({
    pool: writers,
    log,
    now,
    newId,
    afterCommit: tidyDaily({ db, log, now }),
  });
  return {
    db,
    lines,
    commands,
    nudges,
    streams: new OpenStreams(),
    slowDown: new SlowDown(),
    log,
    now,
    newId,
    signInTriesPerMinute: options.signInTriesPerMinute ?? 20,
    requests: new RequestCounter(options.requestsPerMinute ?? REQUESTS_PER_MINUTE),
    sessions,
    hosts: [...HERE, ...(options.hosts ?? [])],
    trustProxy: options.trustProxy ?? null,
    close: async () => {
      await nudges.close();
      await Promise.all([db.$client.end(), lines.end(), writers.end()]);
    },
  };
}

async function waitFor(pool: pg.Pool, waitMs: number, log: Logger): Promise<void> {
  const until = Date.now() + waitMs;
  for (let tries = 0; ; tries++) {
    try {
      await pool.query('select 1');
      return;
    } catch (error) {
      if (Date.now() > until) throw error;
      if (tries === 0) log.warn({ err: error }, 'waiting for the database');
      await new Promise((done) => setTimeout(done, AGAIN_MS));
    }
  }
}
