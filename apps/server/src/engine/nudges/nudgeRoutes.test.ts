import pg from 'pg';
import { Caller, startServer, type TestServer } from '../../testHome.test-support';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
}, 60_000);
afterAll(() => server.close());

describe('a stream that has ended', () => {
  it('is not written to by a change that comes in the same moment', async () => {
    const runa = new Caller(server.base);
    await runa.signUp('runa@ferry.example');
    const stream = await fetch(`${server.base}/nudges?household=${runa.home}`, { headers: { cookie: runa.cookie } });
    const heard = stream.text();
    const { sessions } = (await runa.call('GET', '/sessions')).body as { sessions: { id: string }[] };
    const wrong: unknown[] = [];
    const note = (error: unknown): void => void wrong.push(error);
    process.on('uncaughtException', note);
    const owner = new pg.Client({ connectionString: server.ownerUrl });
    await owner.connect();
    // Both notices in one transaction arrive together.
    await owner.query('begin');
    await owner.query("select pg_notify('session_ended', $1)", [sessions[0]!.id]);
    await owner.query("select pg_notify('household_changed', $1)", [`${runa.home} 7`]);
    await owner.query('commit');
    expect(await heard).toBe('retry: 2000\n\n');
    await owner.end();
    process.off('uncaughtException', note);
    expect(wrong).toEqual([]);
    expect((await runa.call('GET', '/me')).status).toBe(200);
  });
});
