import { sql } from 'drizzle-orm';
import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

export function connect(url: string, max = 10): { db: Database; pool: pg.Pool } {
  const pool = new pg.Pool({ connectionString: url, max });
  pool.on('error', () => undefined); // an idle connection that breaks is replaced at its next use
  return { db: drizzle(pool, { schema }), pool };
}

export interface Scope {
  householdId?: string;
  accountId?: string;
  invitationHash?: string;
}

/** Runs in one transaction in which row-level security lets through only what the scope may see. */
export function inScope<T>(db: Database, scope: Scope, work: (tx: Transaction) => Promise<T>): Promise<T> {
  return db.transaction(async (tx) => {
    await setScope(tx, scope);
    return work(tx);
  });
}

export async function setScope(tx: Transaction, scope: Scope): Promise<void> {
  await tx.execute(
    sql`select set_config('app.household', ${scope.householdId ?? ''}, true),
               set_config('app.account', ${scope.accountId ?? ''}, true),
               set_config('app.invitation', ${scope.invitationHash ?? ''}, true)`,
  );
}
