import type { RequestHandler } from 'express';
import { ProblemError } from '../problems/catalogue';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
const OWN_SITES = new Set(['same-origin', 'none']);

/** The host's name without its port. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Only under a name of its own: a page of another site cannot point its own name at this server and read from it. */
export const ownHost =
  (hosts: readonly string[]): RequestHandler =>
  (req, _res, next) => {
    if (hosts.includes(nameOf(req.headers.host ?? ''))) return next();
    throw new ProblemError('wrong_host');
  };

/** Changes are taken only from the app's own pages: a browser says where a request comes from. */
export const sameOrigin: RequestHandler = (req, _res, next) => {
  if (SAFE.has(req.method)) return next();
  const { origin, host } = req.headers;
  const site = req.headers['sec-fetch-site'];
  if (site !== undefined && !OWN_SITES.has(String(site))) throw new ProblemError('wrong_origin');
  if (origin === undefined || (URL.canParse(origin) && new URL(origin).host === host)) return next();
  throw new ProblemError('wrong_origin');
};

/** A body is JSON or it is not taken. */
export const onlyJson: RequestHandler = (req, _res, next) => {
  const hasBody = Number(req.headers['content-length'] ?? 0) > 0 || req.headers['transfer-encoding'] !== undefined;
  if (hasBody && !req.is('application/json')) throw new ProblemError('not_json');
  next();
};

/** Answers about a home or an account are kept nowhere on the way. */
export const notStored: RequestHandler = (_req, res, next) => {
  res.setHeader('cache-control', 'no-store');
  next();
};
