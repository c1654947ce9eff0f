import type { RequestHandler } from 'express';
import type { IncomingHttpHeaders } from 'node:http';
import { ProblemError } from '../problems/catalogue';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);
const OWN_SITES = new Set(['same-origin', 'none']);

/** The host's name without its port. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Whether a request names this server by a name of its own. */
export const isOwnHost = (hosts: readonly string[], host: string | undefined): boolean =>
  hosts.includes(nameOf(host ?? ''));

/** Whether a request that may change something comes from the app's own pages: a browser says where it comes from. */
export function comesFromOwnPage(method: string, headers: IncomingHttpHeaders): boolean {
  if (SAFE.has(method)) return true;
  const { origin, host } = headers;
  const site = headers['sec-fetch-site'];
  if (site !== undefined && !OWN_SITES.has(String(site))) return false;
  return origin === undefined || (URL.canParse(origin) && new URL(origin).host === host);
}

/** Only under a name of its own: a page of another site cannot point its own name at this server and read from it. */
export const ownHost =
  (hosts: readonly string[]): RequestHandler =>
  (req, _res, next) => {
    if (!isOwnHost(hosts, req.headers.host)) throw new ProblemError('wrong_host');
    next();
  };

/** Changes are taken only from the app's own pages. */
export const sameOrigin: RequestHandler = (req, _res, next) => {
  if (!comesFromOwnPage(req.method, req.headers)) throw new ProblemError('wrong_origin');
  next();
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
