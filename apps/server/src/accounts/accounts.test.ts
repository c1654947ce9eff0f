import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import {
  asOp,
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

const nobody = () => new Caller(server.base);
async function person(email: string, more?: object): Promise<Caller> {
  const caller = nobody();
  await caller.signUp(email, more);
  return caller;
}

describe('signing in', () => {
  it('keeps the token in an http-only cookie and the password as argon2id', async () => {
    const caller = nobody();
    const answer = await caller.call('POST', '/accounts', {
      name: 'Runa',
      email: 'Runa@Ferry.example',
      password: 'a ferry on the river',
      householdName: 'Ferry house',
    });
    expect(answer).toMatchObject({
      status: 201,
      body: { email: 'runa@ferry.example', householdName: 'Ferry house', isDemo: false },
    });
    expect(answer.set).toMatch(/HttpOnly/);
    expect(answer.set).toMatch(/SameSite=Lax/);
    const owner = new pg.Client({ connectionString: server.ownerUrl });
    await owner.connect();
    const { rows } = await owner.query<{ password_hash: string; token_hash: string }>(
      'select password_hash, token_hash from account join session on account_id = account.id',
    );
    expect(rows[0]!.password_hash).toMatch(/^\$argon2id\$/);
    expect(caller.cookie).not.toContain(rows[0]!.token_hash);
    await owner.end();
  });

  it('answers a wrong password and an unknown e-mail alike', async () => {
    await person('siv@ferry.example');
    const wrong = await nobody().call('POST', '/sessions', { email: 'siv@ferry.example', password: 'not this one' });
    const unknown = await nobody().call('POST', '/sessions', { email: 'who@ferry.example', password: 'not this one' });
    expect(wrong).toMatchObject({
      status: 401,
      type: 'application/problem+json; charset=utf-8',
      body: { code: 'wrong_credentials' },
    });
    expect(unknown.body).toEqual(wrong.body);
  });

  it('ends at sign-out, and one device can end another', async () => {
    const phone = await person('odd@ferry.example');
    const tablet = nobody();
    await tablet.call('POST', '/sessions', { email: 'odd@ferry.example', password: 'a ferry on the river' });
    const { sessions } = (await phone.call('GET', '/sessions')).body as {
      sessions: { id: string; current: boolean }[];
    };
    expect(sessions).toHaveLength(2);
    const other = sessions.find((one) => !one.current)!;
    const stranger = await person('stranger@ferry.example');
    expect((await stranger.call('DELETE', `/sessions/${other.id}`)).status).toBe(404);
    expect((await phone.call('DELETE', `/sessions/${other.id}`)).status).toBe(204);
    expect((await tablet.call('GET', '/me')).status).toBe(401);
    const cookie = phone.cookie;
    expect((await phone.call('DELETE', '/sessions/current')).status).toBe(204);
    phone.cookie = cookie;
    expect((await phone.call('GET', '/me')).status).toBe(401);
  });

  it.each([
    [
      'an e-mail twice',
      'POST',
      '/accounts',
      { name: 'Runa', email: 'runa@ferry.example', password: 'a ferry on the river', householdName: 'x' },
      409,
      'email_taken',
    ],
    [
      'a short password',
      'POST',
      '/accounts',
      { name: 'Runa', email: 'new@ferry.example', password: 'short', householdName: 'x' },
      400,
      'bad_request',
    ],
    [
      'an unknown invitation',
      'POST',
      '/accounts',
      { name: 'Runa', email: 'new@ferry.example', password: 'a ferry on the river', invitation: 'ABCD-EFGH-JKLM' },
      409,
      'invitation_unusable',
    ],
    ['no demo here', 'POST', '/demo-session', {}, 404, 'demo_not_loaded'],
    ['not signed in', 'GET', '/changes', undefined, 401, 'not_signed_in'],
    ['no such address', 'GET', '/nothing', undefined, 404, 'not_found'],
    ['not JSON', 'POST', '/sessions', '{"email":', 400, 'bad_request'],
    ['too large', 'POST', '/sessions', { email: 'x'.repeat(3_000_000) }, 413, 'too_large'],
  ])('%s', async (_, method, path, body, status, code) => {
    expect(await nobody().call(method, path, body)).toMatchObject({ status, body: { code, status } });
  });

  it('takes changes only from its own pages', async () => {
    const answer = await nobody().call(
      'POST',
      '/sessions',
      { email: 'a@b.example', password: 'x' },
      { origin: 'https://elsewhere.example' },
    );
    expect(answer).toMatchObject({ status: 403, body: { code: 'wrong_origin' } });
  });
});

describe('two adults, one home', () => {
  it('share everything by an invitation that works once', async () => {
    const runa = await person('runa2@ferry.example');
    const home = smallHome();
    await runa.send(command(home.ops), command([asOp(event(home.id.lot, 'put_in', 6, 1))]));
    const { code } = (await runa.call('POST', '/invitations')).body as { code: string };
    expect(code).toMatch(/^[2-9A-Z]{4}-[2-9A-Z]{4}-[2-9A-Z]{4}$/);
    const eskil = await person('eskil2@ferry.example', { invitation: code.toLowerCase() });
    expect((await quantityOf(eskil, home.id.lot)).quantity).toBe(6);
    await eskil.send(command([asOp(event(home.id.lot, 'taken', 2, 2))]));
    expect((await quantityOf(runa, home.id.lot)).quantity).toBe(4);
    const late = await nobody().call('POST', '/accounts', {
      name: 'Late',
      email: 'late@ferry.example',
      password: 'a ferry on the river',
      invitation: code,
    });
    expect(late).toMatchObject({ status: 409, body: { code: 'invitation_unusable' } });
  });

  it('an account that has a home already can join another', async () => {
    const runa = await person('runa3@ferry.example');
    const other = await person('other3@ferry.example', { householdName: 'Mill' });
    const { code } = (await runa.call('POST', '/invitations')).body as { code: string };
    expect((await other.call('POST', '/memberships', { invitation: code })).body).toMatchObject({
      householdName: 'Ferry house',
    });
    expect((await other.call('GET', '/me')).body).toMatchObject({ householdName: 'Ferry house' });
  });
});

describe('another home', () => {
  it('its ids answer exactly like unknown ids, and nothing of it is seen', async () => {
    const [runa, stranger] = [await person('runa4@ferry.example'), await person('stranger4@ferry.example')];
    const home = smallHome();
    await runa.send(command(home.ops));
    const answerTo = async (id: string) => {
      const [answer] = await stranger.send(command([{ op: 'change', entity: 'bin', id, fields: { name: 'mine' } }]));
      return JSON.stringify(answer).replaceAll(id, 'ID').replace(answer!.id, 'COMMAND');
    };
    expect(await answerTo(home.id.bin)).toBe(await answerTo(uuidv7()));
    const [lot, unknown] = await Promise.all(
      [home.id.lot, uuidv7()].map(async (id) => {
        const [answer] = await stranger.send(command([asOp(event(id, 'taken', 1, 1))]));
        return JSON.stringify(answer).replaceAll(id, 'ID').replace(answer!.id, 'COMMAND');
      }),
    );
    expect(lot).toBe(unknown);
    expect((await stranger.changes()).rows).toHaveLength(1);
    expect((await stranger.call('GET', '/history')).body).toEqual({ entries: [] });
  });

  it('row-level security: a query without WHERE sees nothing, and writing into another home fails', async () => {
    const client = new pg.Client({ connectionString: server.databaseUrl });
    await client.connect();
    for (const table of [
      'household',
      'room',
      'space',
      'shelf',
      'bin',
      'item',
      'lot',
      'line',
      'container',
      'plan',
      'clear_out',
      'verdict',
      'person',
      'ledger_event',
      'command_log',
      'household_seq',
      'membership',
      'invitation',
    ]) {
      expect((await client.query(`select * from ${table}`)).rowCount).toBe(0);
    }
    await client.query('begin');
    await client.query("select set_config('app.household', $1, true)", [uuidv7()]);
    await expect(
      client.query("insert into room (household_id, id, seq, name, sort) values ($1, $2, 1, 'x', 0)", [
        uuidv7(),
        uuidv7(),
      ]),
    ).rejects.toThrow(/row-level security/);
    await client.query('rollback');
    await expect(client.query('alter table room disable row level security')).rejects.toThrow(/owner/);
    await client.end();
  });
});

describe('nudges', () => {
  it('reach another open device within a second', async () => {
    const runa = await person('runa5@ferry.example');
    const stop = new AbortController();
    const stream = await fetch(`${server.base}/nudges?household=${runa.home}`, {
      headers: { cookie: runa.cookie },
      signal: stop.signal,
    });
    const reader = stream.body!.getReader();
    let text = '';
    const heard = (async () => {
      while (!/data: \d+/.test(text)) text += new TextDecoder().decode((await reader.read()).value);
      return Date.now();
    })();
    const sent = Date.now();
    await runa.send(command(smallHome().ops));
    expect((await heard) - sent).toBeLessThan(1000);
    expect(text).toMatch(/data: 2/);
    stop.abort();
  });
});
