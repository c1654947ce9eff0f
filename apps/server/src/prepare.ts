/** Run by ./run before the server starts: migrations, and the demo home when it is asked for. */
import { createContext } from './createContext';
import { migrateDatabase } from './db/migrate';
import { upgradeHomes } from './engine/use/rebuildUse';
import { loadDemoHome } from './demo/loadDemoHome';

const { OWNER_URL, DATABASE_URL } = process.env;
if (!OWNER_URL || !DATABASE_URL) throw new Error('OWNER_URL and DATABASE_URL are not set; use ./run demo');

await migrateDatabase(OWNER_URL);
await upgradeHomes(OWNER_URL);
if (process.argv.includes('--demo')) {
  const context = await createContext({ databaseUrl: DATABASE_URL });
  const loaded = await loadDemoHome(context, new Date().toISOString().slice(0, 10));
  process.stdout.write(loaded ? 'The demo home is loaded.\n' : 'The demo home was loaded before.\n');
  await context.close();
}
