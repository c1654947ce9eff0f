import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import { accountRoutes } from './accounts/accountRoutes';
import type { Context } from './context';
import { changeRoutes } from './engine/changes/changeRoutes';
import { commandRoutes } from './engine/commands/commandRoutes';
import { historyRoutes } from './engine/history/historyRoutes';
import { nudgeRoutes } from './engine/nudges/nudgeRoutes';
import { notStored, onlyJson, ownHost, sameOrigin } from './http/ownRequests';
import { staticApp } from './http/staticApp';
import { ProblemError } from './problems/catalogue';
import { problemHandler } from './problems/problemHandler';

const BODY_LIMIT = '2mb';
/** A phone that comes back after a day in the cellar sends its queue in batches; nobody needs more than this. */
const REQUESTS_PER_MINUTE = 1200;

/** The whole server without a port: what the tests drive, too. */
export function createApp(context: Context, staticFolder: string | null): Express {
  const app = express();
  app.disable('x-powered-by');
  if (context.trustProxy !== null) app.set('trust proxy', trusted(context.trustProxy));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use((req, res, next) => {
    res.on('finish', () => {
      if (req.originalUrl.startsWith('/api/'))
        context.log.info({ method: req.method, path: req.originalUrl.split('?')[0], status: res.statusCode });
    });
    next();
  });
  app.use(ownHost(context.hosts));
  app.use(
    compression({ filter: (req, res) => !req.originalUrl.startsWith('/api/nudges') && compression.filter(req, res) }),
  );
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit: REQUESTS_PER_MINUTE,
      standardHeaders: true,
      legacyHeaders: false,
      handler: () => {
        throw new ProblemError('too_many');
      },
    }),
    notStored,
    sameOrigin,
    onlyJson,
    express.json({ limit: BODY_LIMIT }),
    accountRoutes(context),
    commandRoutes(context),
    changeRoutes(context),
    nudgeRoutes(context),
    historyRoutes(context),
    () => {
      throw new ProblemError('not_found');
    },
  );
  if (staticFolder !== null) app.use(staticApp(staticFolder));
  app.use(problemHandler(context.log));
  return app;
}

/** `true`, a number of proxies, or their addresses: what Express takes. */
function trusted(text: string): boolean | number | string {
  if (text === 'true' || text === 'false') return text === 'true';
  return /^\d+$/.test(text) ? Number(text) : text;
}
