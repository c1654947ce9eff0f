import type { Problem } from '@ours/contracts';
import type { NextFunction, Request, Response } from 'express';
import type { Logger } from 'pino';
import { isUnavailable } from '../db/unavailable';
import { PROBLEM_TYPE, ProblemError, PROBLEMS } from './catalogue';

const RETRY_AFTER_S = '2';

type Known = Pick<ProblemError, 'code' | 'detail'>;

export function problemBody({ code, detail }: Known): Problem {
  const { status, title } = PROBLEMS[code];
  return { type: `urn:every-nook:${code}`, title, status, detail, code };
}

export const problemHeaders = ({ code }: Known): Record<string, string> =>
  code === 'unavailable' ? { 'retry-after': RETRY_AFTER_S } : {};

/** Writes RFC 9457 problem documents; what it does not know becomes a 500 without details, and is logged. */
export function problemHandler(log: Logger) {
  return (error: unknown, _req: Request, res: Response, next: NextFunction): void => {
    if (res.headersSent) return next(error);
    const known = asProblem(error);
    if (known.code === 'internal') log.error({ err: error }, 'unexpected error');
    const body = problemBody(known);
    res.status(body.status).set(problemHeaders(known)).type(PROBLEM_TYPE).send(JSON.stringify(body));
  };
}

export function asProblem(error: unknown): Known {
  if (error instanceof ProblemError) return error;
  if (isUnavailable(error)) return new ProblemError('unavailable');
  const type = (error as { type?: string } | null)?.type;
  if (type === 'entity.too.large') return new ProblemError('too_large');
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') return new ProblemError('not_json');
  if (type === 'request.aborted' || type === 'request.size.invalid') return new ProblemError('bad_request');
  if (type === 'entity.parse.failed') return new ProblemError('bad_request', 'The body is not JSON.');
  // The static files' own refusals: a missing file, a path that leads outside, an address that cannot be decoded.
  const status = (error as { status?: number } | null)?.status;
  if (status === 404 || status === 403) return new ProblemError('not_found');
  if (status === 400) return new ProblemError('bad_request', 'The address could not be read.');
  return new ProblemError('internal');
}
