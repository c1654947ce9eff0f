import type { LookLine, LookPage, LookView } from '@ours/contracts';
import { HouseholdState, opsForUnit, writeCode, type ItemRow, type Op } from '@ours/core';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { asOp, at, Caller, command, event, smallHome, startServer, type TestServer } from '../testHome.test-support';

let server: TestServer;
let runa: Caller;
let stranger: Caller;
const home = smallHome();
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  await runa.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 6, 1))]));
  stranger = new Caller(server.base);
  await stranger.signUp('stranger@mill.example', { householdName: 'Mill' });
}, 60_000);
afterAll(() => server.close());

const make = async (body: object, who = runa): Promise<{ look: LookView; path: string }> => {
  const answer = await who.call('POST', '/looks', body);
  if (answer.status !== 201) throw new Error(JSON.stringify(answer.body));
  return answer.body;
};
const ofSpace = (more: object = {}) => ({ what: 'space', spaceId: home.id.space, days: 7, ...more });
const ofList = { what: 'list', spaceId: null, days: 7 };
/** As somebody sees it who is signed in nowhere. */
const open = async (path: string) => new Caller(server.base).call('GET', path);
const owner = async (statement: string, values: unknown[]): Promise<void> => {
  const client = new pg.Client({ connectionString: server.ownerUrl });
  await client.connect();
  await client.query(statement, values);
  await client.end();
};
const newItem = (id: string, name: string, more: object = {}): Op => ({
  op: 'create',
  entity: 'item',
  id,
  fields: {
    name,
    category: 'Shelf',
    unit: 'pack',
    synonyms: [],
    tags: [],
    lowAtThousandths: 2000,
    openedDays: null,
    freezerMonths: null,
    ...more,
  },
});

it('shows a space with what is in it, without an account, and nothing else of the home', async () => {
  const [other, pills] = [uuidv7(), uuidv7()];
  const lot = (itemId: string, nookId: string): Op[] => {
    const id = uuidv7();
    const fields = { ...(home.lot as object), itemId, nookId, note: 'a secret note' } as never;
    return [{ op: 'create', entity: 'lot', id, fields }, asOp(event(id, 'put_in', 3, 2))];
  };
  const elsewhere = uuidv7();
  // The home's own rule of how long things keep: without it the page would say other dates than the home.
  const rule = {
    name: 'Lanterns',
    replaces: '',
    words: ['lanterns'],
    openedDays: 9,
    cookedDays: null,
    freezerMonths: null,
    source: 'a secret source',
  };
  const [, spaceOp] = home.ops as [Op, Extract<Op, { op: 'create' }>];
  await runa.send(
    command([
      { op: 'create', entity: 'keeping', id: uuidv7(), fields: rule },
      newItem(other, 'Skates'),
      newItem(pills, 'Headache tablets', { category: 'Medicines', unit: 'tablet' }),
      { ...spaceOp, id: elsewhere, fields: { ...spaceOp.fields, code: writeCode('XX1', '') } } as Op,
      ...lot(other, elsewhere),
      ...lot(pills, home.id.bin),
    ]),
  );
  const { path, look } = await make(ofSpace());
  expect(look).toMatchObject({ what: 'space', spaceId: home.id.space, lastOpenedAt: null });
  const answer = await open(path);
  expect(answer.status).toBe(200);
  const page = answer.body as LookPage & { what: 'space' };
  expect(page).toMatchObject({ home: 'Ferry house', what: 'space', spaceId: home.id.space, leftOut: true });
  const kinds = page.rows.map(({ entity, row }) => [entity, 'name' in row ? row.name : '']);
  expect(kinds).toEqual([
    ['space', 'Rack 1'],
    ['shelf', ''],
    ['bin', 'lanterns'],
    ['keeping', 'Lanterns'],
    ['item', 'Paper lanterns'],
    ['lot', ''],
  ]);
  for (const hidden of ['Skates', 'Headache', 'secret', 'runa']) expect(JSON.stringify(page)).not.toContain(hidden);
  const { looks } = (await runa.call('GET', '/looks')).body as { looks: LookView[] };
  expect(looks.find(({ id }) => id === look.id)!.lastOpenedAt).not.toBeNull();
});

it('shows the list of the next trip: what is low and what was written', async () => {
  const [rice, chalk] = [uuidv7(), uuidv7()];
  const list = async (path: string): Promise<string[][]> => {
    const { lines } = (await open(path)).body as { lines: LookLine[] };
    return lines.map(({ name, packs, unit, inBasket }) => [name, String(packs), unit ?? '', String(inBasket)]);
  };
  const { path } = await make(ofList);
  const before = await list(path);
  const { day } = (await open(path)).body as { day: string };
  await runa.send(
    command([
      newItem(rice, 'Rice'),
      {
        op: 'create',
        entity: 'purchase',
        id: chalk,
        fields: {
          itemId: null,
          name: 'Chalk',
          shopId: null,
          forDay: day,
          packs: 3,
          packThousandths: null,
          priceMinor: 120,
          state: 'basket',
          instead: '',
          note: '',
          byPersonId: null,
          atInstant: null,
        },
      },
    ]),
  );
  const after = await list(path);
  expect(before.map(([name]) => name)).not.toContain('Chalk');
  expect(after.map(([name]) => name)).toContain('Rice');
  expect(after).toContainEqual(['Chalk', '3', '', 'true']);
  expect(JSON.stringify((await open(path)).body)).not.toContain('120');
});

it('ends on its day, when somebody ends it, and when its space is gone', async () => {
  const first = await make(ofSpace());
  expect((await runa.call('DELETE', `/looks/${first.look.id}`)).status).toBe(204);
  expect((await open(first.path)).status).toBe(404);
  const second = await make(ofSpace({ days: 1 }));
  await owner('update look set ends_at = $1 where id = $2', [new Date(Date.now() - 1000), second.look.id]);
  expect((await open(second.path)).status).toBe(404);
  const gone = await make({ what: 'space', spaceId: uuidv7(), days: 7 });
  expect((await open(gone.path)).status).toBe(404);
  const { looks } = (await runa.call('GET', '/looks')).body as { looks: LookView[] };
  expect(looks.map(({ id }) => id)).not.toContain(first.look.id);
});

it('guessed, or of another home, it says nothing', async () => {
  expect((await open('/look/short')).status).toBe(404);
  expect((await open(`/look/${'A'.repeat(32)}`)).status).toBe(404);
  const { path, look } = await make(ofSpace());
  expect((await stranger.call('GET', '/looks')).body).toEqual({ looks: [] });
  await stranger.call('DELETE', `/looks/${look.id}`);
  expect((await open(path)).status).toBe(200);
  // A space of somebody else's home: the address leads nowhere.
  const theirs = await make(ofSpace(), stranger);
  expect((await open(theirs.path)).status).toBe(404);
});

it('a helper neither makes nor sees addresses; what is asked wrongly is said', async () => {
  const jonas = new Caller(server.base);
  const { code } = (await runa.call('POST', '/invitations')).body as { code: string };
  await jonas.signUp('jonas@ferry.example', { invitation: code });
  await owner("update membership set role = 'helper' where account_id = (select id from account where email = $1)", [
    'jonas@ferry.example',
  ]);
  expect(await jonas.call('POST', '/looks', ofList)).toMatchObject({ status: 403, body: { code: 'not_for_role' } });
  expect((await jonas.call('GET', '/looks')).status).toBe(403);
  for (const wrong of [ofSpace({ days: 0 }), ofSpace({ days: 91 }), ofSpace({ spaceId: null }), { what: 'purse' }])
    expect((await runa.call('POST', '/looks', wrong)).status).toBe(400);
});

it('a thing kept in another unit: what was written before is told in the unit in which it was written', async () => {
  const state = new HouseholdState();
  for (const row of (await runa.changes()).rows) state.put(row);
  const item = state.get('item', home.id.item) as ItemRow;
  const context = { newId: uuidv7, now: at(9), today: '2026-11-24' };
  const changed = opsForUnit(state, item, 'box', 0.5, context);
  if (!changed.ok) throw new Error(changed.problem.kind);
  const [answer] = await runa.send(command(changed.ops, { occurredAt: at(9) }));
  expect(answer).toMatchObject({ status: 'applied' });
  const { events } = (await runa.call('GET', `/items/${changed.itemId}/events`)).body as {
    events: { kind: string; quantityThousandths: number; unit: string }[];
  };
  expect(events.map(({ kind, quantityThousandths, unit }) => [kind, quantityThousandths, unit])).toEqual(
    expect.arrayContaining([
      ['put_in', 6000, 'piece'],
      ['moved_out', 6000, 'piece'],
      ['moved_in', 3000, 'box'],
    ]),
  );
});
