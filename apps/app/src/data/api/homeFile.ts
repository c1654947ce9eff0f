import type { Problem, RestoreNews } from '@ours/contracts';
import { ACCOUNT_HEADER, HOME_HEADER } from '@ours/contracts/wire';
import { ProblemAnswer, Unreachable, type About } from './api';

const headersOf = ({ householdId, accountId }: About): Record<string, string> => ({
  [HOME_HEADER]: householdId,
  [ACCOUNT_HEADER]: accountId,
});
const NEWLINE = 10;
const COUNTS = /"counts":\{"rows":(\d+),"events":(\d+),"commands":(\d+)\}/;

/**
 * The whole home with its history, as JSON. It comes a row a line, so that it can be said how far it is.
 * @throws Unreachable, ProblemAnswer
 */
export async function fetchHome(about: About, tell: (share: number) => void, signal: AbortSignal): Promise<Uint8Array> {
  const answer = await asked('/api/home-file', { headers: headersOf(about), signal });
  const parts: Uint8Array[] = [];
  let lines = 0;
  let of = 0;
  await eachPart(answer, (part) => {
    parts.push(part);
    if (of === 0) {
      const found = COUNTS.exec(new TextDecoder().decode(part));
      of = found ? Number(found[1]) + Number(found[2]) + Number(found[3]) : 0;
    }
    for (let at = part.indexOf(NEWLINE); at >= 0; at = part.indexOf(NEWLINE, at + 1)) lines++;
    if (of > 0) tell(Math.min(1, lines / of));
  });
  const whole = joined(parts);
  // What was cut off on the way ends otherwise.
  const end = new TextDecoder().decode(whole.subarray(Math.max(0, whole.length - 4))).trimEnd();
  if (!end.endsWith(']}')) throw new Unreachable('The line broke before all of the home had come.');
  return whole;
}

/**
 * Makes the home what a file says.
 * @returns the last that the server told: the result, or what is wrong in one sentence
 * @throws Unreachable, ProblemAnswer
 */
export async function sendHome(
  about: About,
  json: Uint8Array,
  { over, newIds }: { over: boolean; newIds: boolean },
  tell: (news: RestoreNews) => void,
): Promise<RestoreNews> {
  const query = new URLSearchParams({ ...(over ? { over: 'yes' } : {}), ...(newIds ? { ids: 'new' } : {}) });
  const answer = await asked(`/api/home-file?${query}`, {
    method: 'POST',
    headers: { ...headersOf(about), 'content-type': 'application/json' },
    body: json as BodyInit,
  });
  let rest = '';
  let last: RestoreNews | null = null;
  const decoder = new TextDecoder();
  const read = (text: string): void => {
    const lines = (rest + text).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) {
      if (line === '') continue;
      last = JSON.parse(line) as RestoreNews;
      tell(last);
    }
  };
  await eachPart(answer, (part) => read(decoder.decode(part, { stream: true })));
  if (last === null || 'step' in last)
    throw new Unreachable('The line broke; whether it was done shows when the home is read again.');
  return last;
}

async function asked(path: string, init: RequestInit): Promise<Response> {
  let answer: Response;
  try {
    answer = await fetch(path, init);
  } catch {
    throw new Unreachable('The server cannot be reached.');
  }
  if (answer.ok) return answer;
  const problem = (await answer.json().catch(() => null)) as Problem | null;
  if (problem?.detail) throw new ProblemAnswer(problem);
  throw new Unreachable('The server cannot answer now.');
}

async function eachPart(answer: Response, take: (part: Uint8Array) => void): Promise<void> {
  const reader = answer.body?.getReader();
  if (!reader) throw new Unreachable('The server answered nothing.');
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      take(value);
    }
  } catch {
    throw new Unreachable('The line broke.');
  }
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
