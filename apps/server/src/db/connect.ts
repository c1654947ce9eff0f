import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';

export type Database = NodePgDatabase & { $client: pg.Pool };
export type Transaction = NodePgDatabase & { $client: pg.PoolClient };

/** How long to wait: for a connection, for a lock, for a statement, for a transaction that does nothing. */
const CONNECT_MS = 5000;
const LIMITS = '-c lock_timeout=5000 -c statement_timeout=15000 -c idle_in_transaction_session_timeout=15000';

export interface PoolOptions {
  max?: number;
  pipeline?: boolean;
  /** Further settings of each connection, as `-c name=value`. */
  settings?: string;
}

/**
 * A pool whose connections may break at any time. pg-pool listens for errors only while a connection is idle, so a listener
 * of our own stays on it: a connection that breaks while it is in use fails its query and does not end the process.
 */
export function createPool(url: string, { max = 10, pipeline = false, settings = '' }: PoolOptions = {}): pg.Pool {
  const pool = new pg.Pool({
    connectionString: url,
    max,
    connectionTimeoutMillis: CONNECT_MS,
    keepAlive: true,
    options: `${LIMITS} ${settings}`.trim(),
    ...(pipeline ? { pipeline: true } : {}),
  } as pg.PoolConfig);
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  return pool;
}

export const connect = (url: string, max = 10): Database => drizzle(createPool(url, { max }));

export interface Scope {
  householdId?: string;
  accountId?: string;
  invitationHash?: string;
}

/** All that is read in it is of one moment, whatever others write meanwhile. */
export const ONE_MOMENT = 'begin isolation level repeatable read read only';

/**
 * Runs in one transaction in which row-level security lets through only what the scope may see. The connection goes back
 * to the pool whatever happens, and is thrown away when it could not even roll back.
 */
export async function inScope<T>(
  db: Database,
  scope: Scope,
  work: (tx: Transaction) => Promise<T>,
  begin: 'begin' | typeof ONE_MOMENT = 'begin',
): Promise<T> {
  const client = await db.$client.connect();
  let broken: Error | undefined;
  try {
    await client.query(begin);
    const tx = drizzle(client);
    await setScope(tx, scope);
    const result = await work(tx);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback').catch((failed: Error) => (broken = failed));
    throw error;
  } finally {
    client.release(broken);
  }
}

export async function setScope(tx: Transaction, scope: Scope): Promise<void> {
  await tx.execute(
    sql`select set_config('app.household', ${scope.householdId ?? ''}, true),
               set_config('app.account', ${scope.accountId ?? ''}, true),
               set_config('app.invitation', ${scope.invitationHash ?? ''}, true)`,
  );
}
