import type { RequestHandler } from 'express';
import { ProblemError } from '../problems/catalogue';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Changes are taken only from the app's own pages: a browser names the page's origin with each of them. */
export const sameOrigin: RequestHandler = (req, _res, next) => {
  const origin = req.headers.origin;
  if (SAFE.has(req.method) || origin === undefined) return next();
  if (URL.canParse(origin) && new URL(origin).host === req.headers.host) return next();
  throw new ProblemError('wrong_origin');
};
