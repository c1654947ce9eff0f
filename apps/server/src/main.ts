import { forgetOldSessions } from './accounts/sessions';
import { createServer } from './app';
import { createContext } from './createContext';

const { DATABASE_URL, PORT = '4310', STATIC_DIR, SIGN_IN_TRIES, HOSTS, TRUST_PROXY, REQUESTS_PER_MINUTE } = process.env;
if (!DATABASE_URL) throw new Error('DATABASE_URL is not set; start the server with ./run demo');

const STOP_MS = 10_000;
const DAY_MS = 86_400_000;
const KEEP_ALIVE_MS = 65_000;

const context = await createContext({
  databaseUrl: DATABASE_URL,
  hosts: HOSTS ? HOSTS.split(',').map((host) => host.trim().toLowerCase()) : [],
  trustProxy: TRUST_PROXY ?? null,
  ...(REQUESTS_PER_MINUTE ? { requestsPerMinute: Number(REQUESTS_PER_MINUTE) } : {}),
  ...(SIGN_IN_TRIES ? { signInTriesPerMinute: Number(SIGN_IN_TRIES) } : {}),
});
const server = createServer(context, STATIC_DIR ?? null);
server.once('error', (error) => {
  throw error;
});
server.listen(Number(PORT), '127.0.0.1', () => {
  context.log.info({ port: Number(PORT) }, 'listening');
});
server.keepAliveTimeout = KEEP_ALIVE_MS;

const clearUp = (): void =>
  void forgetOldSessions(context).catch((error: unknown) => context.log.warn({ err: error }, 'old sessions stay'));
clearUp();
setInterval(clearUp, DAY_MS).unref();

let stopping = false;
/** What runs is finished, within a deadline; streams would never end by themselves. */
const stop = (): void => {
  if (stopping) return;
  stopping = true;
  setTimeout(() => process.exit(1), STOP_MS).unref();
  server.close(() => void context.close().finally(() => process.exit(0)));
  context.streams.endAll();
  server.closeIdleConnections();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
