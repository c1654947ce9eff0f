import pg from 'pg';
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
let admin: pg.Client;
beforeAll(async () => {
  server = await startServer();
  // On another database, so that it is not cut off itself.
  admin = new pg.Client({ connectionString: process.env.TEST_OWNER_URL! });
  admin.on('error', () => undefined);
  await admin.connect();
}, 60_000);
afterAll(async () => {
  await admin.end();
  await server.close();
});

/** Ends every connection to this suite's database, as a restart of PostgreSQL would. */
const cutAll = (): Promise<unknown> =>
  admin.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [
    new URL(server.databaseUrl).pathname.slice(1),
  ]);
const connections = async (): Promise<number> => {
  const { rows } = await admin.query<{ count: string }>('select count(*) from pg_stat_activity where datname = $1', [
    new URL(server.databaseUrl).pathname.slice(1),
  ]);
  return Number(rows[0]!.count);
};
const soon = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

describe('the database goes away and comes back', () => {
  it('under load: commands are put off, none is lost or doubled, no connection leaks', async () => {
    const runa = new Caller(server.base);
    await runa.signUp('runa@ferry.example');
    const home = smallHome();
    await runa.send(command(home.ops));
    let cuts = 0;
    let stop = false;
    const cutting = (async () => {
      while (!stop) {
        await soon(60);
        await cutAll();
        cuts++;
      }
    })();
    const statuses = new Set<number>();
    const device = async (): Promise<void> => {
      for (let n = 0; n < 15; n++) {
        const one = command([asOp(event(home.id.lot, 'put_in', 1, n))]);
        for (;;) {
          const answer = await runa.call('POST', '/commands', { commands: [one] });
          statuses.add(answer.status);
          if (answer.status === 200) break;
          await soon(20);
        }
        await runa.call('GET', '/history');
        await runa.call('GET', '/changes?since=0');
      }
    };
    await Promise.all([device(), device(), device(), device()]);
    stop = true;
    await cutting;
    expect(cuts).toBeGreaterThan(2);
    expect([...statuses].every((status) => status === 200 || status === 503)).toBe(true);
    for (let tries = 0; tries < 40; tries++) {
      const page = await runa.call('GET', '/changes?since=0');
      if (page.status === 200) break;
      await soon(50);
    }
    expect((await quantityOf(runa, home.id.lot)).quantity).toBe(60);
    // Three pools of at most 24 and the listener.
    expect(await connections()).toBeLessThan(26);
  }, 60_000);

  it('at rest: the next request works, and nudges are heard again; what was missed is told', async () => {
    const runa = new Caller(server.base);
    await runa.signUp('runa2@ferry.example');
    const stop = new AbortController();
    const stream = await fetch(`${server.base}/nudges?household=${runa.home}`, {
      headers: { cookie: runa.cookie },
      signal: stop.signal,
    });
    const reader = stream.body!.getReader();
    let text = '';
    const reading = (async () => {
      for (;;) {
        const { value, done } = await reader.read().catch(() => ({ value: undefined, done: true }));
        if (done) return;
        text += new TextDecoder().decode(value);
      }
    })();
    await cutAll();
    for (let tries = 0; tries < 100 && !/data: \n/.test(text); tries++) await soon(50);
    // Everybody is nudged once the listener is back.
    expect(text).toMatch(/data: \n/);
    stop.abort();
    await reading;
    const home = smallHome();
    expect((await runa.send(command(home.ops)))[0]).toMatchObject({ status: 'applied' });
    const again = new AbortController();
    const second = await fetch(`${server.base}/nudges?household=${runa.home}`, {
      headers: { cookie: runa.cookie },
      signal: again.signal,
    });
    const next = second.body!.getReader();
    let heard = '';
    const listening = (async () => {
      while (!/data: \d/.test(heard)) heard += new TextDecoder().decode((await next.read()).value);
    })();
    await runa.send(command([asOp(event(home.id.lot, 'put_in', 1, 1))]));
    await listening;
    again.abort();
    expect(heard).toMatch(/data: 3/);
  }, 30_000);
});
