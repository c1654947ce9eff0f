import { createApp } from './app';
import { createContext } from './createContext';

const { DATABASE_URL, PORT = '4310', STATIC_DIR, SIGN_IN_TRIES } = process.env;
if (!DATABASE_URL) throw new Error('DATABASE_URL is not set; start the server with ./run demo');

const context = await createContext({
  databaseUrl: DATABASE_URL,
  ...(SIGN_IN_TRIES ? { signInTriesPerMinute: Number(SIGN_IN_TRIES) } : {}),
});
const server = createApp(context, STATIC_DIR ?? null).listen(Number(PORT), '127.0.0.1', (error?: Error) => {
  if (error) throw error;
  context.log.info({ port: Number(PORT) }, 'listening');
});

const stop = (): void => {
  server.closeAllConnections();
  server.close(() => void context.close().then(() => process.exit(0)));
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
