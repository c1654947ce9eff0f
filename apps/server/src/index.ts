export { createApp } from './app';
export { createContext } from './createContext';
export { migrateDatabase } from './db/migrate';
export { signUp } from './accounts/accountService';
export type { Context } from './context';
