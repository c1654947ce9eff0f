import { mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Server } from 'node:http';
import pino from 'pino';
import { createApp } from '../app';
import { createContext } from '../createContext';
import { migrateDatabase } from '../db/migrate';
import { PROBLEMS } from '../problems/catalogue';
import { startServer, type TestServer } from '../testHome.test-support';

let suite: TestServer;
let server: Server;
let base = '';
let close: () => Promise<void>;

beforeAll(async () => {
  suite = await startServer();
  const folder = mkdtempSync(join(tmpdir(), 'nook-static-'));
  mkdirSync(join(folder, '_expo'));
  writeFileSync(join(folder, 'index.html'), '<title>Every Nook</title>');
  writeFileSync(join(folder, '_expo/app-123.js'), 'one');
  const context = await createContext({
    databaseUrl: suite.databaseUrl,
    log: pino({ level: 'silent' }),
    signInTriesPerMinute: 3,
  });
  close = context.close;
  server = createApp(context, folder).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}, 60_000);
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  await close();
  await suite.close();
});

describe('serving the app', () => {
  it.each(['/', '/space/019ab2f0-0000-7000-8000-000000000001', '/record?nook=x'])(
    '%s gets the page, asked for anew each time',
    async (path) => {
      const response = await fetch(base + path);
      expect(await response.text()).toContain('Every Nook');
      expect(response.headers.get('cache-control')).toBe('no-cache');
    },
  );

  it('keeps files with a hash in their name for good, and says when one is missing', async () => {
    const kept = await fetch(`${base}/_expo/app-123.js`);
    expect(kept.headers.get('cache-control')).toMatch(/immutable/);
    expect((await fetch(`${base}/_expo/app-999.js`)).status).toBe(404);
  });

  it.each(['/../package.json', '/%2e%2e/%2e%2e/etc/passwd', '/_expo/..%2f..%2fpackage.json'])(
    'stays inside its folder: %s',
    async (path) => {
      const text = await (await fetch(base + path)).text();
      expect(text).not.toMatch(/root:|"name"/);
    },
  );

  it('sends the security headers', async () => {
    const { headers } = await fetch(base);
    expect(headers.get('content-security-policy')).toMatch(/default-src 'self'.*frame-ancestors 'none'/);
    expect(headers.get('content-security-policy')).not.toMatch(/unsafe-eval'(?<!wasm-unsafe-eval')/);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-powered-by')).toBeNull();
  });
});

describe('limits', () => {
  it('lets nobody try passwords without end', async () => {
    const attempt = () =>
      fetch(`${base}/api/sessions`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ email: 'a@b.example', password: 'guess' }),
      });
    const codes: number[] = [];
    for (let tries = 0; tries < 5; tries++) codes.push((await attempt()).status);
    expect(codes).toEqual([401, 401, 401, 429, 429]);
    expect(await (await attempt()).json()).toMatchObject({ code: 'too_many', status: 429 });
  });
});

describe('migrations', () => {
  it('two servers that start at once migrate one after the other; again changes nothing', async () => {
    const folder = `${__dirname}/../../drizzle`;
    await Promise.all([migrateDatabase(suite.ownerUrl, folder), migrateDatabase(suite.ownerUrl, folder)]);
    await migrateDatabase(suite.ownerUrl, folder);
    expect((await fetch(`${base}/api/status`)).status).toBe(200);
  });
});

describe('the catalogue of problems', () => {
  it('is the one in the documentation', () => {
    const documented = readFileSync(`${__dirname}/../../../../docs/problems.md`, 'utf8')
      .split('\n')
      .flatMap((line) => /^\| `(\w+)` +\| (\d+) +\| (.+?) +\|$/.exec(line)?.slice(1) ?? [])
      .join('\n');
    const declared = Object.entries(PROBLEMS).flatMap(([code, { status, title }]) => [code, String(status), title]);
    expect(documented).toBe(declared.join('\n'));
  });
});
