import pg from 'pg';
import pino, { type Logger } from 'pino';
import { v7 as uuidv7 } from 'uuid';
import type { Context } from './context';
import { connect } from './db/connect';
import { listenForNudges } from './nudges/nudges';

export interface ContextOptions {
  databaseUrl: string;
  log?: Logger;
  signInTriesPerMinute?: number;
}

/** Builds what the features share; `close` ends its connections. */
export async function createContext(options: ContextOptions): Promise<Context & { close: () => Promise<void> }> {
  const { db, pool } = connect(options.databaseUrl);
  const nudges = await listenForNudges(async () => {
    const client = new pg.Client({ connectionString: options.databaseUrl });
    await client.connect();
    return client;
  });
  return {
    db,
    nudges,
    log: options.log ?? pino({ level: process.env.LOG_LEVEL ?? 'info' }),
    now: () => new Date(),
    newId: () => uuidv7(),
    signInTriesPerMinute: options.signInTriesPerMinute ?? 20,
    close: async () => {
      await nudges.close();
      await pool.end();
    },
  };
}
