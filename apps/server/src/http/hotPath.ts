/**
 * The two requests that every device makes all day, POST /api/commands and GET /api/changes, answered without Express: its
 * chain costs more than the command itself. Every check is the one that Express's chain makes, from the same functions;
 * whatever is unusual about a request (a compressed body, another method) goes through the chain.
 */
import type { Express } from 'express';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import { sessionInHome } from '../accounts/signedIn';
import type { Context } from '../context';
import { answerChanges } from '../engine/changes/changeRoutes';
import { takeCommands } from '../engine/commands/commandRoutes';
import { PROBLEM_TYPE, ProblemError } from '../problems/catalogue';
import { asProblem, problemBody, problemHeaders } from '../problems/problemHandler';
import { comesFromOwnPage, isOwnHost } from './ownRequests';

const squeeze = promisify(gzip);
const WORTH_SQUEEZING = 2048;
const JSON_TYPE = 'application/json; charset=utf-8';
/** What matters for an answer that is data and never a page. */
const FIXED = {
  'cache-control': 'no-store',
  'content-security-policy': "default-src 'none'; frame-ancestors 'none'",
  'cross-origin-resource-policy': 'same-origin',
  'x-content-type-options': 'nosniff',
  vary: 'Accept-Encoding',
};
/** Fast rather than small: a page is read once. */
const LEVEL = { level: 3 };

export function hotPath(context: Context, app: Express, bodyLimit: number) {
  const addressOf = (req: IncomingMessage): string => clientAddress(app, req);
  return (req: IncomingMessage, res: ServerResponse): void => {
    const work = workFor(context, req, bodyLimit);
    if (!work) return void app(req, res);
    const answered = respond(context, req, res, async () => {
      if (!isOwnHost(context.hosts, req.headers.host)) throw new ProblemError('wrong_host');
      if (!context.requests.allows(addressOf(req), context.now().getTime())) throw new ProblemError('too_many');
      if (!comesFromOwnPage(req.method!, req.headers)) throw new ProblemError('wrong_origin');
      return work();
    });
    answered.catch((error: unknown) => {
      context.log.error({ err: error }, 'an answer could not be written');
      res.destroy();
    });
  };
}

type Work = () => Promise<string>;

function workFor(context: Context, req: IncomingMessage, bodyLimit: number): Work | null {
  const { method, url = '', headers } = req;
  if (method === 'POST' && url === '/api/commands') {
    const type = headers['content-type'];
    if (headers['content-encoding'] !== undefined || (type !== 'application/json' && type !== JSON_TYPE)) return null;
    return async () => {
      const who = await sessionInHome(context, headers);
      return takeCommands(context, who, await readJson(req, bodyLimit));
    };
  }
  if (method !== 'GET' || !url.startsWith('/api/changes?')) return null;
  return async () => {
    const query = Object.fromEntries(new URLSearchParams(url.slice('/api/changes?'.length)));
    return answerChanges(context, await sessionInHome(context, headers, query), query);
  };
}

async function readJson(req: IncomingMessage, limit: number): Promise<unknown> {
  if (Number(req.headers['content-length'] ?? 0) > limit) throw new ProblemError('too_large');
  // Whoever hung up meanwhile sends no end any more.
  if (req.destroyed) throw new ProblemError('bad_request');
  const chunks = await new Promise<Buffer[]>((done, failed) => {
    const read: Buffer[] = [];
    let size = 0;
    req.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size <= limit) read.push(chunk);
      else failed(new ProblemError('too_large'));
    });
    req.on('end', () => done(read));
    req.on('error', () => failed(new ProblemError('bad_request')));
  });
  try {
    return JSON.parse(Buffer.concat(chunks).toString('utf8'));
  } catch {
    throw new ProblemError('bad_request', 'The body is not JSON.');
  }
}

async function respond(
  context: Context,
  req: IncomingMessage,
  res: ServerResponse,
  work: () => Promise<string>,
): Promise<void> {
  let [status, text, type, more]: [number, string, string, Record<string, string>] = [200, '', JSON_TYPE, {}];
  try {
    text = await work();
  } catch (error) {
    const problem = asProblem(error);
    if (problem.code === 'internal') context.log.error({ err: error }, 'unexpected error');
    const body = problemBody(problem);
    [status, text, type, more] = [body.status, JSON.stringify(body), PROBLEM_TYPE, problemHeaders(problem)];
    // What was not read of the body is not the next request of this connection; read, so that the answer is heard.
    if (!req.complete) {
      more = { ...more, connection: 'close' };
      req.resume();
    }
  }
  context.log.info({ method: req.method, path: req.url?.split('?')[0], status });
  if (res.destroyed) return;
  const squeezed = text.length > WORTH_SQUEEZING && /\bgzip\b/.test(String(req.headers['accept-encoding'] ?? ''));
  const body = squeezed ? await squeeze(text, LEVEL) : text;
  res.writeHead(status, {
    ...FIXED,
    ...more,
    ...(squeezed ? { 'content-encoding': 'gzip' } : {}),
    'content-type': type,
    'content-length': Buffer.byteLength(body),
  });
  res.end(body);
}

/** The address a request comes from, through the proxies that are trusted. */
function clientAddress(app: Express, req: IncomingMessage): string {
  const direct = req.socket.remoteAddress ?? '';
  if (req.headers['x-forwarded-for'] === undefined) return direct;
  const trusts = app.get('trust proxy fn') as (address: string, hop: number) => boolean;
  const way = [
    direct,
    ...String(req.headers['x-forwarded-for'])
      .split(',')
      .map((part) => part.trim())
      .reverse(),
  ];
  const hop = way.findIndex((address, at) => at === way.length - 1 || !trusts(address, at));
  return way[hop]!;
}
