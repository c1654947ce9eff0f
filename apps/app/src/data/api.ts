import type { Problem } from '@ours/contracts';

/** The server could not be reached at all: the device goes on by itself. */
export class Unreachable extends Error {}

/** The server answered with a problem document; screens branch on `code`. */
export class ProblemAnswer extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

const PATIENCE_MS = 20_000;

/** One JSON call to the server this app came from. */
export async function api<T>(method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
  } catch {
    throw new Unreachable('The server cannot be reached.');
  }
  if (response.status === 204) return undefined as T;
  const text = await response.text();
  const parsed = parse(text);
  if (response.ok && parsed !== undefined) return parsed as T;
  if (isProblem(parsed)) throw new ProblemAnswer(parsed);
  throw new Unreachable(`The server answered ${response.status} without saying why.`);
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
