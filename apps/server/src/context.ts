import type { Logger } from 'pino';
import type { Database } from './db/connect';
import type { Nudges } from './nudges/nudges';

/** What every feature gets: built once at start. */
export interface Context {
  db: Database;
  nudges: Nudges;
  log: Logger;
  now: () => Date;
  newId: () => string;
  /** Tries per minute and address for signing in and up. */
  signInTriesPerMinute: number;
}
