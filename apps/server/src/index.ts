export { createApp } from './app';
export { createContext } from './createContext';
export { migrateDatabase } from './db/migrate';
export { signUp } from './accounts/accountService';
export { runCommand } from './commands/commandService';
export type { Context } from './context';
