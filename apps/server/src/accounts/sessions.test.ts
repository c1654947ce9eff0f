import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { loadDemoHome } from '../demo/loadDemoHome';
import { createContext } from '../createContext';
import { Caller, command, startServer, type TestServer } from '../testHome.test-support';
import { passwordWeakness } from './passwords';
import { SlowDown } from './slowDown';
import pino from 'pino';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

const PASSWORD = 'a ferry on the river';
const nobody = (): Caller => new Caller(server.base);
async function person(more?: object): Promise<Caller & { email: string }> {
  const email = `${uuidv7()}@ferry.example`;
  const caller = nobody();
  await caller.signUp(email, more);
  return Object.assign(caller, { email });
}
const room = (id: string) => command([{ op: 'create', entity: 'room', id, fields: { name: 'Shed', sort: 0 } }]);

describe('one browser, one session', () => {
  it('signing in as somebody else ends the former session', async () => {
    const [runa, eskil] = [await person(), await person()];
    const former = runa.cookie;
    await runa.call('POST', '/sessions', { email: eskil.email, password: PASSWORD });
    const left = nobody();
    left.cookie = former;
    expect((await left.call('GET', '/me')).status).toBe(401);
    expect((await runa.call('GET', '/me')).body).toMatchObject({ email: eskil.email });
  });

  it('an ended session’s stream ends at once, and its next request is not taken', async () => {
    const runa = await person();
    const tablet = nobody();
    await tablet.call('POST', '/sessions', { email: runa.email, password: PASSWORD });
    await tablet.changes();
    const stream = await fetch(`${server.base}/nudges?household=${tablet.home}`, {
      headers: { cookie: tablet.cookie },
    });
    const reader = stream.body!.getReader();
    await reader.read();
    const ended = (async () => {
      while (!(await reader.read()).done);
      return 'ended';
    })();
    const { sessions } = (await runa.call('GET', '/sessions')).body as { sessions: { id: string; current: boolean }[] };
    await runa.call('DELETE', `/sessions/${sessions.find(({ current }) => !current)!.id}`);
    expect(await ended).toBe('ended');
    expect((await tablet.call('GET', '/changes?since=0')).status).toBe(401);
    expect((await tablet.call('POST', '/commands', { commands: [room(uuidv7())] })).status).toBe(401);
  });

  it('the cookie lives on whenever the app opens', async () => {
    const runa = await person();
    const { set } = await runa.call('GET', '/me');
    expect(set).toMatch(/nook_session=.*Max-Age=7776000.*HttpOnly/);
  });

  it('old sessions go', async () => {
    const { forgetOldSessions } = await import('./sessions');
    const runa = await person();
    const owner = new pg.Client({ connectionString: server.ownerUrl });
    await owner.connect();
    await owner.query("update session set expires_at = now() - interval '1 day' where household_id = $1", [runa.home]);
    const context = await createContext({ databaseUrl: server.databaseUrl, log: pino({ level: 'silent' }) });
    await forgetOldSessions(context);
    await context.close();
    const { rows } = await owner.query('select 1 from session where household_id = $1', [runa.home]);
    await owner.end();
    expect(rows).toHaveLength(0);
  });
});

describe('several homes', () => {
  it('are listed and chosen; joining a second one leaves the first as it is', async () => {
    const runa = await person({ householdName: 'Ferry house' });
    const first = runa.home;
    const shed = uuidv7();
    await runa.send(room(shed));
    const mill = await person({ householdName: 'Mill' });
    const { code } = (await mill.call('POST', '/invitations')).body as { code: string };
    const joined = await runa.call('POST', '/memberships', { invitation: code });
    expect(joined.body).toMatchObject({ householdName: 'Mill', role: 'adult' });
    expect(runa.home).toBe(mill.home);
    expect((await runa.changes()).rows.map(({ row }) => row.id)).not.toContain(shed);
    const { homes } = (await runa.call('GET', '/homes')).body as { homes: object[] };
    expect(homes).toEqual([
      { householdId: mill.home, name: 'Mill', role: 'adult', current: true },
      { householdId: first, name: 'Ferry house', role: 'owner', current: false },
    ]);
    // A tab that still shows the first home is told, and its command is not written into the other one.
    const tab = nobody();
    Object.assign(tab, { cookie: runa.cookie, home: first });
    const waits = { commands: [room(uuidv7())] };
    expect(await tab.call('POST', '/commands', waits)).toMatchObject({ status: 409, body: { code: 'other_home' } });
    expect((await runa.call('POST', '/sessions/current/home', { householdId: first })).body).toMatchObject({
      householdName: 'Ferry house',
      role: 'owner',
    });
    expect((await tab.call('POST', '/commands', waits)).status).toBe(200);
    expect((await runa.changes()).rows.map(({ row }) => row.id)).toContain(shed);
  });

  it('somebody else’s home cannot be chosen', async () => {
    const [runa, mill] = [await person(), await person()];
    for (const householdId of [mill.home, uuidv7()]) {
      expect((await runa.call('POST', '/sessions/current/home', { householdId })).status).toBe(404);
    }
  });
});

describe('the demo account', () => {
  it('stays in its home, invites nobody and sees nobody’s devices', async () => {
    const context = await createContext({ databaseUrl: server.databaseUrl, log: pino({ level: 'silent' }) });
    await loadDemoHome(context, '2026-11-25');
    await context.close();
    const guest = nobody();
    expect((await guest.call('POST', '/demo-session', {})).body).toMatchObject({ isDemo: true });
    const mill = await person();
    const { code } = (await mill.call('POST', '/invitations')).body as { code: string };
    for (const [method, path, body] of [
      ['POST', '/memberships', { invitation: code }],
      ['POST', '/invitations', {}],
      ['GET', '/sessions', undefined],
      ['DELETE', `/sessions/${uuidv7()}`, undefined],
      ['POST', '/sessions/current/home', { householdId: guest.home }],
    ] as const) {
      expect([path, await guest.call(method, path, body)]).toMatchObject([
        path,
        { status: 403, body: { code: 'not_in_demo' } },
      ]);
    }
    expect((await guest.changes()).rows.length).toBeGreaterThan(500);
    expect((await guest.call('DELETE', '/sessions/current')).status).toBe(204);
  }, 60_000);
});

describe('passwords', () => {
  it.each([
    ['aaaaaaaaaaaa', /repeats one character/],
    ['Runa@Ferry.example', /your e-mail/],
    ['password123', /most common/],
    ['1234567890', /most common/],
    ['a ferry on the river', null],
  ])('%s', async (password, want) => {
    const said = await passwordWeakness(password, 'runa@ferry.example');
    if (want === null) expect(said).toBeNull();
    else expect(said).toMatch(want);
  });

  it('a weak one is refused when signing up', async () => {
    const body = { name: 'R', email: 'weak@ferry.example', password: 'qwertyuiop', householdName: 'x' };
    expect(await nobody().call('POST', '/accounts', body)).toMatchObject({
      status: 400,
      body: { detail: expect.stringMatching(/most common/) },
    });
  });

  it('whoever has no invitation that works learns nothing about who has an account', async () => {
    const runa = await person();
    const body = { name: 'R', email: runa.email, password: PASSWORD, invitation: 'ABCD-EFGH-JKLM' };
    expect((await nobody().call('POST', '/accounts', body)).body).toMatchObject({ code: 'invitation_unusable' });
  });
});

describe('wrong passwords', () => {
  it('slow the next tries for the account down, up to a limit; the right one ends that', () => {
    const slow = new SlowDown();
    const delays = Array.from({ length: 14 }, () => {
      const delay = slow.delayMs('runa', 0);
      slow.noteWrong('runa', 0);
      return delay;
    });
    expect(delays).toEqual([0, 0, 0, 0, 0, 250, 500, 1000, 2000, 4000, 5000, 5000, 5000, 5000]);
    expect(slow.delayMs('eskil', 0)).toBe(0);
    expect(slow.delayMs('runa', 16 * 60_000)).toBe(0);
    slow.noteRight('runa');
    expect(slow.delayMs('runa', 0)).toBe(0);
  });

  it('never lock the owner out', async () => {
    const runa = await person();
    for (let tries = 0; tries < 7; tries++) {
      await nobody().call('POST', '/sessions', { email: runa.email, password: 'not this one' });
    }
    expect((await nobody().call('POST', '/sessions', { email: runa.email, password: PASSWORD })).status).toBe(201);
  }, 20_000);
});
