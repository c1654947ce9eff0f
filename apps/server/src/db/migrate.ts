import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { fileURLToPath } from 'node:url';
import pg from 'pg';

/** Any fixed number: two servers starting at once migrate one after the other. */
const MIGRATION_LOCK = 7_140_551;

/** Brings the database up to date, as its owner, under an advisory lock (Drizzle's migrator takes none itself). */
export async function migrateDatabase(ownerUrl: string, folder = defaultFolder()): Promise<void> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await migrate(drizzle(client), { migrationsFolder: folder });
  } finally {
    await client.end();
  }
}

function defaultFolder(): string {
  return typeof __dirname === 'string'
    ? `${__dirname}/../../drizzle`
    : fileURLToPath(new URL('../../drizzle', import.meta.url));
}
