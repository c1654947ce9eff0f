import type { CommandAnswer } from '@ours/contracts';
import { carryOn, readDigest, writeDigest, type Command, type TaggedRow } from '@ours/core';
import pg from 'pg';
import { scopeStatement, together } from '../../db/together';
import { Caller, command, smallHome, startServer, type TestServer } from '../../testHome.test-support';
import { foldHome } from '../use/rebuildUse';
import { Expected, Fuzz } from './fuzz.test-support';

/** `FUZZ=100000 npx jest fuzz` for the long form. */
const COMMANDS = Number(process.env.FUZZ ?? 5000);
const SEED = Number(process.env.FUZZ_SEED ?? 20_261_125);
const BATCH = 20;

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

it(`${COMMANDS} commands made from the definitions: no answer of 5xx, accepted rows come back equal`, async () => {
  const runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  const fuzz = new Fuzz(SEED, runa.home);
  const expected = new Expected();
  const seen = new Set<string>();
  const start = command(smallHome().ops);
  const [first] = await runa.send(start);
  fuzz.learn(start);
  expect(first).toMatchObject({ status: 'applied' });
  const counts = { applied: 0, refused: 0, notRead: 0 };
  const odd: unknown[] = [];
  const note = (commands: Command[], answers: CommandAnswer[]): void => {
    answers.forEach((answer, at) => {
      if (answer.status === 'refused') {
        counts.refused++;
        if (answer.refusal.kind === 'not_accepted') odd.push(commands[at]);
      } else {
        counts.applied++;
        if (!seen.has(answer.id)) {
          expected.apply(commands[at]!);
          fuzz.learn(commands[at]!);
        }
        seen.add(answer.id);
      }
    });
  };
  for (let done = 0; done < COMMANDS;) {
    const broken = fuzz.next() < 0.5;
    const commands = broken ? [fuzz.broken() as Command] : Array.from({ length: BATCH }, () => fuzz.command());
    done += commands.length;
    const answer = await runa.call('POST', '/commands', { now: new Date().toISOString(), commands });
    if (answer.status === 200) note(commands, (answer.body as { answers: CommandAnswer[] }).answers);
    else if (answer.status === 400) counts.notRead++;
    else odd.push([answer.status, answer.body, commands]);
  }
  expect(odd).toEqual([]);
  expect(counts.applied).toBeGreaterThan(COMMANDS * 0.15);
  expect(counts.refused).toBeGreaterThan(COMMANDS * 0.1);
  expect(counts.notRead).toBeGreaterThan(COMMANDS * 0.01);
  // From 1 on, so that what was retired is there, too.
  const { rows } = await runa.changes(1);
  const wrong = rows.flatMap(({ entity, row }) => {
    const keys = expected.differences(row as unknown as Record<string, unknown>);
    return keys.length > 0 ? [{ entity, id: row.id, keys }] : [];
  });
  expect(wrong).toEqual([]);
  // Whatever came late, was taken back or went to another thing: books and use are what the whole ledger makes of them.
  const kept = new Map(rows.map(({ row }) => [row.id, row as unknown as Record<string, unknown>]));
  const folded = await homeFromLedger(server, runa.home);
  expect(folded.filter(({ entity }) => entity === 'use').length).toBeGreaterThan(20);
  const digestKept = (row: TaggedRow['row']): unknown => kept.get(row.id)?.digest;
  for (const { entity, row } of folded) {
    if (entity === 'lot') expect(kept.get(row.id)?.bookThousandths).toBe(row.bookThousandths);
    else if (entity === 'use') expect(sameUse((digestKept(row) as string | undefined) ?? '', row.digest)).toBe(true);
  }
  expect(new Set(rows.map(({ row }) => row.id)).size).toBeGreaterThanOrEqual(expected.rows.size - 1);
}, 600_000);

async function homeFromLedger({ ownerUrl }: TestServer, householdId: string): Promise<TaggedRow[]> {
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  await client.query('begin');
  await together(client, [scopeStatement(householdId)]);
  const rows = await foldHome(client, householdId);
  await client.end();
  return rows;
}

/** A lot that became another thing's leaves the day of its latest event behind: the sums are compared on the later grid. */
function sameUse(kept: string, folded: string): boolean {
  const [a, b] = [readDigest(kept), readDigest(folded)];
  carryOn(b, a.asOf);
  return writeDigest(a) === writeDigest(b);
}
