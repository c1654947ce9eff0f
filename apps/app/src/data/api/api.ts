import type { AnswerOf, AskOf, Endpoint, Me, Problem } from '@ours/contracts';
import { ACCOUNT_HEADER, HOME_HEADER } from '@ours/contracts/wire';

/** The server could not be reached, or cannot answer now: the device goes on by itself. */
export class Unreachable extends Error {}

/** The server answered with a problem document; screens branch on `code`. */
export class ProblemAnswer extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

const PATIENCE_MS = 20_000;
/** Answers that say "not now". Every other answer is one. */
const NOT_NOW = new Set([502, 503, 504]);

/** Which home and account a request is for; the server answers 409 when the session is another one's. */
export type About = Pick<Me, 'householdId' | 'accountId'>;

/** What an endpoint takes, and for an endpoint about a home, which one. */
export type Ask<E extends Endpoint> = AskOf<E> & { about?: About };

/**
 * One JSON call to the server this app came from.
 * @throws Unreachable without an answer; ProblemAnswer when it is a problem document
 */
export async function api<E extends Endpoint>(
  endpoint: E,
  ...[ask]: keyof AskOf<E> extends never ? [ask?: Ask<E>] : [ask: Ask<E>]
): Promise<AnswerOf<E>> {
  const { body, params, query, about } = (ask ?? {}) as AnyAsk;
  let response: Response;
  let text = '';
  try {
    const [method, path] = endpoint.split(' ') as [string, string];
    response = await fetch(`/api${pathWith(path, params, query)}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(about ? { [HOME_HEADER]: about.householdId, [ACCOUNT_HEADER]: about.accountId } : {}),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    text = await response.text();
  } catch {
    throw new Unreachable('The server cannot be reached.');
  }
  if (response.status === 204) return undefined as AnswerOf<E>;
  if (NOT_NOW.has(response.status)) throw new Unreachable('The server cannot answer now.');
  const parsed = parse(text);
  if (response.ok && parsed !== undefined) return parsed as AnswerOf<E>;
  if (isProblem(parsed)) throw new ProblemAnswer(parsed);
  const title = `The server answered ${response.status} without saying why`;
  throw new ProblemAnswer({ type: 'about:blank', title, status: response.status, detail: title, code: 'unknown' });
}

interface AnyAsk {
  body?: unknown;
  params?: Readonly<Record<string, string>>;
  query?: Readonly<Record<string, string | number>>;
  about?: About;
}

function pathWith(path: string, params: AnyAsk['params'] = {}, query: AnyAsk['query'] = {}): string {
  const filled = path.replace(/:(\w+)/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
  const asked = new URLSearchParams(Object.entries(query).map(([key, value]) => [key, String(value)])).toString();
  return asked === '' ? filled : `${filled}?${asked}`;
}

function parse(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

const isProblem = (value: unknown): value is Problem =>
  typeof value === 'object' && value !== null && 'code' in value && 'status' in value;
