import pino from 'pino';
import { createApp } from '../app';
import type { Context } from '../context';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { Caller, command, smallHome, startServer, type TestServer } from '../testHome.test-support';

/**
 * What each endpoint says to nobody, to a session that names somebody else's home, and to one that names another account.
 * An endpoint without a line fails the test below.
 */
const OPEN = { nobody: null, otherHome: null };
const ACCOUNT = { nobody: 401, otherHome: null };
const HOME = { nobody: 401, otherHome: 409 };
const TABLE: Record<string, { nobody: number | null; otherHome: number | null }> = {
  'GET /status': OPEN,
  'POST /accounts': OPEN,
  'POST /sessions': OPEN,
  'POST /demo-session': OPEN,
  'GET /me': ACCOUNT,
  'GET /sessions': ACCOUNT,
  'GET /phones': HOME,
  'GET /calendar-feed': HOME,
  'POST /calendar-feed': HOME,
  'DELETE /calendar-feed': HOME,
  'GET /calendar/:secret': OPEN,
  'GET /looks': HOME,
  'POST /looks': HOME,
  'DELETE /looks/:id': HOME,
  'GET /look/:secret': OPEN,
  'GET /photos/:hash': HOME,
  'PUT /photos/:hash': HOME,
  'GET /home-file': HOME,
  'POST /home-file': HOME,
  'DELETE /sessions/current': ACCOUNT,
  'DELETE /sessions/:id': ACCOUNT,
  'GET /homes': ACCOUNT,
  'POST /sessions/current/home': ACCOUNT,
  'POST /invitations': HOME,
  'POST /memberships': ACCOUNT,
  'POST /commands': HOME,
  'GET /changes': HOME,
  'GET /nudges': HOME,
  'GET /history': HOME,
  'GET /figures': HOME,
  'GET /items/:id/events': HOME,
};

interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle?: { stack?: Layer[] };
}
/** Every endpoint of the server as it is built, whichever router it is in. */
function endpoints(): string[] {
  const context = { trustProxy: null, hosts: [], log: pino({ level: 'silent' }), signInTriesPerMinute: 1 };
  const walk = (layers: Layer[]): string[] =>
    layers.flatMap(({ route, handle }) =>
      route
        ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`)
        : walk(handle?.stack ?? []),
    );
  return walk(createApp(context as unknown as Context, null).router.stack as unknown as Layer[]);
}

let server: TestServer;
let runa: Caller;
let stranger: Caller;
beforeAll(async () => {
  server = await startServer();
  runa = new Caller(server.base);
  await runa.signUp('runa@ferry.example');
  await runa.send(command(smallHome().ops));
  stranger = new Caller(server.base);
  await stranger.signUp('stranger@ferry.example', { householdName: 'Mill' });
}, 60_000);
afterAll(() => server.close());

const ask = (caller: Caller, endpoint: string, headers: Record<string, string> = {}) => {
  const [method, path] = endpoint.split(' ') as [string, string];
  return caller.call(method, path.replace(':id', uuidv7()), method === 'POST' ? {} : undefined, headers);
};

describe('every endpoint', () => {
  it('has a line in the table', () => {
    expect(endpoints().sort()).toEqual(Object.keys(TABLE).sort());
  });

  it.each(Object.entries(TABLE).filter(([, { nobody }]) => nobody !== null))('%s: nobody', async (endpoint, row) => {
    expect((await ask(new Caller(server.base), endpoint)).status).toBe(row.nobody);
    const forged = new Caller(server.base);
    forged.cookie = 'nook_session=AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA';
    expect((await ask(forged, endpoint)).status).toBe(row.nobody);
  });

  const ofHome = Object.entries(TABLE).filter(([, { otherHome }]) => otherHome !== null);
  it.each(ofHome)('%s: somebody else’s home, no home, another account', async (endpoint, row) => {
    const cases: Record<string, string>[] = [
      { 'nook-household': runa.home },
      { 'nook-household': '' },
      { 'nook-household': stranger.home, 'nook-account': uuidv7() },
    ];
    for (const headers of cases) {
      const answer = await ask(stranger, endpoint, headers);
      expect(answer).toMatchObject({ status: row.otherHome, body: { code: 'other_home' } });
    }
  });

  const ofAccount = Object.entries(TABLE).filter(([, row]) => row === ACCOUNT);
  it.each(ofAccount)('%s: another account than the session’s', async (endpoint) => {
    const answer = await ask(stranger, endpoint, { 'nook-account': uuidv7() });
    expect(answer).toMatchObject({ status: 409, body: { code: 'other_home' } });
  });

  it('a member who is one no longer is shut out at the next request', async () => {
    const { code } = (await runa.call('POST', '/invitations')).body as { code: string };
    const guest = new Caller(server.base);
    await guest.signUp('guest@ferry.example', { invitation: code });
    expect((await guest.changes()).rows.length).toBeGreaterThan(1);
    const owner = new pg.Client({ connectionString: server.ownerUrl });
    await owner.connect();
    await owner.query('delete from membership where account_id in (select id from account where email = $1)', [
      'guest@ferry.example',
    ]);
    await owner.end();
    for (const endpoint of ['GET /changes', 'GET /history', 'GET /nudges', 'GET /me', 'POST /invitations']) {
      expect([endpoint, (await ask(guest, endpoint)).status]).toEqual([endpoint, 401]);
    }
    const put = await guest.call('POST', '/commands', { commands: [command(smallHome().ops)] });
    expect(put).toMatchObject({ status: 401, body: { code: 'not_signed_in' } });
  });
});
