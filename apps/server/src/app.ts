import compression from 'compression';
import express, { type Express } from 'express';
import { createServer as createHttpServer, type Server } from 'node:http';
import { accountRoutes } from './accounts/accountRoutes';
import type { Context } from './context';
import { changeRoutes } from './engine/changes/changeRoutes';
import { commandRoutes } from './engine/commands/commandRoutes';
import { historyRoutes } from './engine/history/historyRoutes';
import { figuresRoutes } from './engine/figures/figuresRoutes';
import { nudgeRoutes } from './engine/nudges/nudgeRoutes';
import { notStored, onlyJson, ownHost, sameOrigin } from './http/ownRequests';
import { securityHeaders } from './http/securityHeaders';
import { hotPath } from './http/hotPath';
import { staticApp } from './http/staticApp';
import { calendarRoutes } from './calendar/calendarRoutes';
import { lookRoutes } from './looks/lookRoutes';
import { homeFileRoutes } from './homeFile/homeFileRoutes';
import { photoRoutes } from './pictures/photoRoutes';
import { ProblemError } from './problems/catalogue';
import { problemHandler } from './problems/problemHandler';

const BODY_LIMIT = 2 * 1024 * 1024;

/** The whole server without a port: what the tests drive, too. */
export function createApp(context: Context, staticFolder: string | null): Express {
  const app = express();
  app.disable('x-powered-by');
  if (context.trustProxy !== null) app.set('trust proxy', trusted(context.trustProxy));
  app.use(securityHeaders);
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
    (req, _res, next) => {
      if (!context.requests.allows(req.ip ?? '', context.now().getTime())) throw new ProblemError('too_many');
      next();
    },
    notStored,
    sameOrigin,
    photoRoutes(context),
    homeFileRoutes(context),
    onlyJson,
    express.json({ limit: BODY_LIMIT }),
    accountRoutes(context),
    commandRoutes(context),
    changeRoutes(context),
    nudgeRoutes(context),
    historyRoutes(context),
    calendarRoutes(context),
    lookRoutes(context),
    figuresRoutes(context),
    () => {
      throw new ProblemError('not_found');
    },
  );
  if (staticFolder !== null) app.use(staticApp(staticFolder));
  app.use(problemHandler(context.log));
  return app;
}

/** The server as it runs: the two requests of every day go past Express. */
export const createServer = (context: Context, staticFolder: string | null): Server =>
  createHttpServer(hotPath(context, createApp(context, staticFolder), BODY_LIMIT));

/** `true`, a number of proxies, or their addresses: what Express takes. */
function trusted(text: string): boolean | number | string {
  if (text === 'true' || text === 'false') return text === 'true';
  return /^\d+$/.test(text) ? Number(text) : text;
}
