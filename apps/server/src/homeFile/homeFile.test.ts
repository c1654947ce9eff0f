import { homeFileJsonSchema, type HomeFile, type RestoreNews } from '@ours/contracts';
import type { Op } from '@ours/core';
import { buildDemoHome } from '@ours/demo';
import Ajv2020 from 'ajv/dist/2020';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { createContext } from '../createContext';
import { inScope } from '../db/connect';
import { householdSeq, ledgerEvent } from '../db/schema';
import { writeRows } from '../engine/commands/writeRows';
import {
  asOp,
  at,
  Caller,
  command,
  event,
  quantityOf,
  smallHome,
  startServer,
  type TestServer,
} from '../testHome.test-support';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

const headersOf = (who: Caller) => ({ cookie: who.cookie, 'nook-household': who.home });
async function exported(who: Caller): Promise<{ text: string; file: HomeFile }> {
  const answer = await fetch(`${server.base}/home-file`, { headers: headersOf(who) });
  const text = await answer.text();
  return { text, file: JSON.parse(text) as HomeFile };
}
async function restored(who: Caller, text: string, query = ''): Promise<RestoreNews> {
  const answer = await fetch(`${server.base}/home-file${query}`, {
    method: 'POST',
    headers: headersOf(who),
    body: text,
  });
  const lines = (await answer.text()).trim().split('\n');
  return JSON.parse(lines.at(-1)!) as RestoreNews;
}
let serial = 0;
async function newHome(name: string): Promise<Caller> {
  const who = new Caller(server.base);
  await who.signUp(`${name}${serial++}@ferry.example`, { householdName: name });
  return who;
}
/** All of a home but the number of the change, which counts on, and the id of the home itself. */
const comparable = ({ rows, events, commands }: HomeFile, withRestoring = false) => ({
  rows: rows.map(({ entity, row }) => ({
    entity,
    row: { ...row, seq: 0, ...(entity === 'household' ? { id: '' } : {}) },
  })),
  events,
  commands: commands.filter(({ intent }) => withRestoring || intent !== 'home_restored'),
});

async function demoHome(): Promise<Caller> {
  const who = await newHome('Ferry');
  const context = await createContext({ databaseUrl: server.databaseUrl, log: pino({ level: 'silent' }) });
  const home = buildDemoHome('2026-11-27');
  const householdId = who.home;
  await inScope(context.db, { householdId }, async (tx) => {
    for (const { row } of home.rows) row.seq = 2;
    for (let from = 0; from < home.rows.length; from += 400)
      await writeRows(tx, householdId, home.rows.slice(from, from + 400));
    for (let from = 0; from < home.events.length; from += 2000) {
      const commandId = context.newId();
      await tx
        .insert(ledgerEvent)
        .values(
          home.events
            .slice(from, from + 2000)
            .map((one) => ({ ...one, householdId, commandId, occurredAt: new Date(one.occurredAt) })),
        );
    }
    await tx.update(householdSeq).set({ seq: 2 });
  });
  await context.close();
  return who;
}

it('a whole home, written and read into an empty one, is the same home: every row, event and line of history', async () => {
  const from = await demoHome();
  const person = uuidv7();
  const lars: Op = {
    op: 'create',
    entity: 'person',
    id: person,
    fields: { name: 'Lars', role: 'adult', ageYears: null, reachTenthMm: null, note: '' },
  };
  expect((await from.send(command([lars])))[0]!.status).toBe('applied');
  expect((await from.send(command([{ op: 'retire', entity: 'person', id: person }])))[0]!.status).toBe('applied');
  const { text, file } = await exported(from);
  expect(file.rows.length).toBe(file.counts.rows);
  expect(file.events.length).toBeGreaterThan(1000);

  // Outside check: the file is as its published JSON Schema says, read by ajv.
  const validate = new Ajv2020({ strict: true, strictTypes: false, strictTuples: false }).compile(homeFileJsonSchema());
  expect([validate(file), validate.errors?.slice(0, 3)]).toEqual([true, undefined]);

  const into = await newHome('Loft');
  expect(await restored(into, text)).toEqual({
    result: { rows: file.rows.length, events: file.events.length, retired: 0 },
  });
  const again = (await exported(into)).file;
  const sortedCommands = (one: HomeFile) => ({
    ...comparable(one),
    commands: comparable(one).commands.filter(({ id }) => file.commands.some((other) => other.id === id)),
  });
  expect(sortedCommands(again)).toEqual(sortedCommands(file));
  // And a device that reads it as changes has the same.
  const seen = new Map((await into.changes()).rows.map(({ entity, row }) => [`${entity} ${row.id}`, row]));
  const living = file.rows.filter(({ entity, row }) => !row.retired && entity !== 'household');
  expect(living.filter(({ entity, row }) => !seen.has(`${entity} ${row.id}`))).toEqual([]);
  const history = (await into.call('GET', '/history')).body as { entries: { intent: string; by: string }[] };
  expect(history.entries[0]!.intent).toBe('home_restored');
}, 120_000);

it('read with new ids it is a copy: nothing has an id of the other, and all that points at something points at its copy', async () => {
  const from = await newHome('Ferry');
  const small = smallHome();
  await from.send(command(small.ops));
  await from.send(command([asOp(event(small.id.lot, 'put_in', 6, 1)), asOp(event(small.id.lot, 'taken', 2, 2))]));
  const { text, file } = await exported(from);
  const into = await newHome('Copy');
  expect(await restored(into, text, '?ids=new')).toHaveProperty('result');
  const copy = (await exported(into)).file;
  const ids = new Set(file.rows.map(({ row }) => row.id));
  expect(copy.rows.filter(({ row }) => ids.has(row.id))).toEqual([]);
  const lotIds = new Set(copy.rows.flatMap(({ entity, row }) => (entity === 'lot' ? [row.id] : [])));
  expect(copy.events.map(({ lotId }) => lotIds.has(lotId))).toEqual([true, true]);
  const without = (one: HomeFile) =>
    one.rows
      .map((tagged) =>
        JSON.stringify(comparable({ ...one, rows: [tagged], events: [], commands: [] }).rows).replace(
          /[0-9a-f-]{36}/g,
          'id',
        ),
      )
      .sort();
  expect(without(copy)).toEqual(without(file));
  // The time in an id stays: since when something lies there is read from it.
  const [lot] = file.rows.filter(({ entity }) => entity === 'lot');
  expect([...lotIds].some((id) => id.slice(0, 13) === lot!.row.id.slice(0, 13))).toBe(true);
});

it('over a home that is not empty only when it is said; what came later goes, and counting on starts from the file', async () => {
  const home = await newHome('Ferry');
  const small = smallHome();
  await home.send(command(small.ops));
  await home.send(command([asOp(event(small.id.lot, 'put_in', 6, 1))]));
  const { text } = await exported(home);
  const { ops } = smallHome();
  await home.send(
    command([
      asOp(event(small.id.lot, 'taken', 5, 3)),
      ...ops.filter((op: Op) => op.op === 'create' && op.entity === 'room'),
    ]),
  );
  expect(await restored(home, text)).toEqual({ problem: 'This home is not empty: what it has would be lost' });
  expect((await quantityOf(home, small.id.lot)).quantity).toBe(1);
  expect(await restored(home, text, '?over=yes')).toMatchObject({ result: { retired: 1 } });
  expect((await quantityOf(home, small.id.lot)).quantity).toBe(6);
  // A taking that is sent late is counted from the whole history: without what came after the file.
  await home.send(command([asOp(event(small.id.lot, 'taken', 2, 2))], { occurredAt: at(2) }));
  expect((await quantityOf(home, small.id.lot)).quantity).toBe(4);
});

it('what is no home, cut off, newer, or points at nothing is refused with one sentence, and nothing is changed', async () => {
  const home = await newHome('Ferry');
  await home.send(command(smallHome().ops));
  const { text, file } = await exported(home);
  const early = async (body: string): Promise<string> => {
    const answer = await fetch(`${server.base}/home-file?over=yes`, { method: 'POST', headers: headersOf(home), body });
    expect(answer.status).toBe(422);
    return ((await answer.json()) as { detail: string }).detail;
  };
  expect(await early('name;count\nRice;3')).toMatch(/^This is no JSON; it begins with “name;count/);
  expect(await early('{"format":"other"}')).toMatch(/^This is no home/);
  expect(await early(text.replace('"version":1', '"version":7'))).toBe(
    'This home was written by a newer version (7); this one reads up to version 1.',
  );
  expect(await early(JSON.stringify({ ...file, rows: file.rows.slice(1) }))).toMatch(
    /^This home is cut off: it says it has \d+ rows, \d+ are there\.$/,
  );
  const late = async (change: (copy: HomeFile) => void): Promise<string> => {
    const copy = JSON.parse(text) as HomeFile;
    change(copy);
    const news = await restored(home, JSON.stringify(copy), '?over=yes');
    return 'problem' in news ? news.problem : 'none';
  };
  const item = file.rows.findIndex(({ entity }) => entity === 'item');
  expect(await late(({ rows }) => ((rows[item]!.row as { name: unknown }).name = 7))).toBe(
    `Row ${item + 1}, a item: “name” must be a string. Nothing was changed.`.replace('a item', 'an item'),
  );
  const shelf = file.rows.findIndex(({ entity }) => entity === 'shelf');
  expect(await late(({ rows }) => ((rows[shelf]!.row as { spaceId: string }).spaceId = rows[item]!.row.id))).toMatch(
    /“spaceId” points at an item\. Nothing was changed\.$/,
  );
  expect(await late(({ rows }) => rows.splice(0, 1, rows[1]!))).toMatch(/its id is there twice/);
  expect(comparable((await exported(home)).file, true)).toEqual(comparable(file, true));
});

it('a helper neither writes nor reads a home’s file', async () => {
  const home = await newHome('Ferry');
  const { text } = await exported(home);
  const { Client } = (await import('pg')).default;
  const owner = new Client({ connectionString: server.ownerUrl });
  await owner.connect();
  await owner.query(`update membership set role = 'helper' where household_id = $1`, [home.home]);
  await owner.end();
  for (const method of ['GET', 'POST'])
    expect(
      (
        await fetch(`${server.base}/home-file`, {
          method,
          headers: headersOf(home),
          ...(method === 'POST' ? { body: text } : {}),
        })
      ).status,
    ).toBe(403);
});

it('the published schema is the one that is made of the definitions', () => {
  const kept = readFileSync(join(__dirname, '../../../../docs/formats/home-1.schema.json'), 'utf8');
  expect(JSON.parse(kept)).toEqual(JSON.parse(JSON.stringify(homeFileJsonSchema())));
});
