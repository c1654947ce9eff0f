import pg from 'pg';
import type { Op } from '@ours/core';
import { v7 as uuidv7 } from 'uuid';
import { Caller, command, smallHome, startServer, type TestServer } from '../testHome.test-support';

let server: TestServer;
let runa: Caller;
let owner: pg.Client;
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  owner = new pg.Client({ connectionString: server.ownerUrl });
  await owner.connect();
}, 60_000);
afterAll(async () => {
  await owner.end();
  await server.close();
});

const joined = async (email: string): Promise<Caller> => {
  const { code } = (await runa.call('POST', '/invitations')).body as { code: string };
  const other = new Caller(server.base);
  await other.signUp(email, { invitation: code });
  return other;
};
interface Phones {
  now: string;
  phones: { name: string; lastSeenAt: string; current: boolean }[];
}
const phones = async (): Promise<Phones> => (await runa.call('GET', '/phones')).body as Phones;

it('says when the other phones of the home were last in touch, to a minute, and of no other home', async () => {
  const eskil = await joined('eskil@ferry.example');
  const stranger = new Caller(server.base);
  await stranger.signUp('stranger@mill.example', { householdName: 'Mill' });
  const [name, ago] = ['eskil', 40 * 60_000];
  await owner.query(
    'update session set last_seen_at = $1 where account_id in (select id from account where name = $2)',
    [new Date(Date.now() - ago), name],
  );
  const before = await phones();
  expect(before.phones.map((phone) => phone.name).sort()).toEqual(['eskil', 'runa']);
  expect(before.phones.find(({ current }) => current)?.name).toBe('runa');
  const late = before.phones.find((phone) => phone.name === name)!;
  expect(Math.round((Date.parse(before.now) - Date.parse(late.lastSeenAt)) / 60_000)).toBe(40);
  // It asks again: a session looked up a moment ago is not looked up, so it is left to forget that first.
  await new Promise((done) => setTimeout(done, 10_500));
  await eskil.changes();
  const after = await phones();
  const seen = after.phones.find((phone) => phone.name === name)!;
  expect(Date.parse(after.now) - Date.parse(seen.lastSeenAt)).toBeLessThan(60_000);
}, 30_000);

it('what only adults may read does not reach a helper', async () => {
  const jonas = await joined('jonas@ferry.example');
  await owner.query(
    `update membership set role = 'helper' where account_id in (select id from account where name = 'jonas')`,
  );
  const home = smallHome();
  const [itemId, personId] = [uuidv7(), uuidv7()];
  const ops: Op[] = [
    {
      op: 'create',
      entity: 'person',
      id: personId,
      fields: { name: 'Pim', role: 'child', ageYears: 4, reachTenthMm: null, note: '' },
    },
    {
      op: 'create',
      entity: 'care_entry',
      id: itemId,
      fields: {
        personId,
        itemId: null,
        at: new Date().toISOString(),
        amount: '',
        temperatureTenthC: 389,
        byId: null,
        byName: 'Runa',
      },
    },
  ];
  expect((await runa.send(command(ops)))[0]!.status).toBe('applied');
  const kinds = async (who: Caller): Promise<Set<string>> =>
    new Set((await who.changes()).rows.map(({ entity }) => entity));
  expect((await kinds(runa)).has('care_entry')).toBe(true);
  const seen = await kinds(jonas);
  expect([seen.has('person'), seen.has('care_entry')]).toEqual([true, false]);
  // Nor by the history: neither a name nor what would take it back.
  const medicineId = uuidv7();
  const noted = {
    itemId: home.id.item,
    ingredient: 'Paracetamol',
    forWhat: [],
    personIds: [],
    limits: [],
    pills: null,
  };
  const home2 = [
    ...home.ops,
    { op: 'create', entity: 'medicine', id: medicineId, fields: noted } satisfies Op,
    { op: 'change', entity: 'medicine', id: medicineId, fields: { forWhat: ['Fever'] } } satisfies Op,
  ];
  expect((await runa.send(command(home2)))[0]!.status).toBe('applied');
  const told = async (who: Caller): Promise<string> => JSON.stringify((await who.call('GET', '/history')).body);
  expect(await told(jonas)).not.toMatch(/Paracetamol|medicine|care_entry/);
  expect(await told(runa)).toMatch(/"entity":"medicine"/);
});
