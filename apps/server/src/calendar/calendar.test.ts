import { v7 as uuidv7 } from 'uuid';
import type { Op } from '@ours/core';
import { Caller, command, startServer, type TestServer } from '../testHome.test-support';

let server: TestServer;
let runa: Caller;
let stranger: Caller;
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  stranger = new Caller(server.base);
  await stranger.signUp('stranger@mill.example', { householdName: 'Mill' });
  await runa.send(command([round('Expiry round')]));
  await stranger.send(command([round('Mill wheel')]));
}, 60_000);
afterAll(() => server.close());

const round = (name: string): Op => ({
  op: 'create',
  entity: 'round',
  id: uuidv7(),
  fields: {
    name,
    kind: 'expiry',
    rhythm: { kind: 'rule', rule: 'FREQ=WEEKLY;BYDAY=WE', days: null },
    startsOn: '2026-11-25',
    personIds: [],
    nookIds: [],
    steps: [],
    minutes: 8,
  },
});
const newAddress = async (who: Caller, holds: string[] = ['rounds']): Promise<string> =>
  ((await who.call('POST', '/calendar-feed', { holds })).body as { path: string }).path;
const read = (path: string) => fetch(server.base.replace(/\/api$/, '') + path);

it('whoever has the address reads the rounds of that home, and of no other', async () => {
  const path = await newAddress(runa);
  const answer = await read(path);
  expect(answer.status).toBe(200);
  expect(answer.headers.get('content-type')).toMatch(/^text\/calendar/);
  const text = await answer.text();
  expect(text).toContain('SUMMARY:Expiry round');
  expect(text).toContain('RRULE:FREQ=WEEKLY;BYDAY=WE');
  expect(text).not.toContain('Mill wheel');
});

it('a new address ends the former one; taken away there is none', async () => {
  const first = await newAddress(runa);
  const second = await newAddress(runa);
  expect([(await read(first)).status, (await read(second)).status]).toEqual([404, 200]);
  expect((await runa.call('GET', '/calendar-feed')).body).toEqual({ since: expect.any(String), holds: ['rounds'] });
  expect((await runa.call('DELETE', '/calendar-feed')).status).toBe(204);
  expect((await read(second)).status).toBe(404);
  expect((await runa.call('GET', '/calendar-feed')).body).toEqual({ since: null, holds: [] });
});

it('a guessed address says nothing', async () => {
  expect((await read('/api/calendar/short')).status).toBe(404);
  expect((await read(`/api/calendar/${'A'.repeat(32)}`)).status).toBe(404);
});

it('holds what was chosen when it was made, and nothing else', async () => {
  const shop: Op = {
    op: 'create',
    entity: 'shop',
    id: uuidv7(),
    fields: {
      name: 'Mainland',
      rule: 'FREQ=WEEKLY;BYDAY=SA',
      startsOn: '2026-11-28',
      budgetMinor: null,
      aisles: [],
      sort: 0,
    },
  };
  await runa.send(command([shop]));
  const rounds = await (await read(await newAddress(runa))).text();
  expect(rounds).not.toContain('Mainland');
  const shopping = await (await read(await newAddress(runa, ['shopping', 'dates']))).text();
  expect(shopping).toContain('SUMMARY:Shopping: Mainland');
  expect(shopping).not.toContain('Expiry round');
  for (const holds of [[], ['purses'], ['rounds', 'rounds']])
    expect((await runa.call('POST', '/calendar-feed', { holds })).status).toBe(400);
});
