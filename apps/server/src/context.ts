import type pg from 'pg';
import type { Logger } from 'pino';
import type { SessionCache } from './accounts/SessionCache';
import type { SlowDown } from './accounts/slowDown';
import type { Database } from './db/connect';
import type { CommandLine } from './engine/commands/CommandLine';
import type { RequestCounter } from './http/RequestCounter';
import type { Nudges } from './engine/nudges/nudges';
import type { OpenStreams } from './engine/nudges/OpenStreams';

/** What every feature gets: built once at start. */
export interface Context {
  db: Database;
  /** Connections for reading the feed in one round trip. */
  lines: pg.Pool;
  commands: CommandLine;
  nudges: Nudges;
  streams: OpenStreams;
  sessions: SessionCache;
  slowDown: SlowDown;
  requests: RequestCounter;
  log: Logger;
  now: () => Date;
  newId: () => string;
  /** Tries per minute, address and purpose for signing in, up and joining. */
  signInTriesPerMinute: number;
  /** Host names this server answers to; a request that names another one is refused. */
  hosts: readonly string[];
  /** What Express's `trust proxy` is set to. */
  trustProxy: string | null;
}
