export { createApp, createServer } from './app';
export { createContext } from './createContext';
export { migrateDatabase } from './db/migrate';
export { signUp } from './accounts/accountService';
export type { Context } from './context';
export { writeRows } from './engine/commands/writeRows';
export { upgradeHomes } from './engine/use/rebuildUse';
