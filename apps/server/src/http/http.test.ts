import { randomBytes } from 'node:crypto';
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { get, type IncomingMessage, type Server } from 'node:http';
import { brotliCompressSync, brotliDecompressSync, gunzipSync, gzipSync } from 'node:zlib';
import pg from 'pg';
import pino from 'pino';
import { createServer } from '../app';
import { createContext } from '../createContext';
import { migrateDatabase } from '../db/migrate';
import { describeError } from './describeError';
import { RequestCounter } from './RequestCounter';
import { PROBLEMS } from '../problems/catalogue';
import { startServer, type TestServer } from '../testHome.test-support';

const BESIDE = 'nobody’s business';
const SCRIPT = 'console.log("one");'.repeat(100);

let suite: TestServer;
let server: Server;
let base = '';
let folder = '';
let close: () => Promise<void>;

beforeAll(async () => {
  suite = await startServer();
  const around = mkdtempSync(join(tmpdir(), 'nook-static-'));
  writeFileSync(join(around, 'beside.txt'), BESIDE);
  folder = join(around, 'dist');
  mkdirSync(join(folder, '_expo'), { recursive: true });
  writeFileSync(join(folder, 'index.html'), '<title>Every Nook</title>');
  writeFileSync(join(folder, '_expo/app-123.js'), SCRIPT);
  writeFileSync(join(folder, '_expo/app-123.js.br'), brotliCompressSync(SCRIPT));
  writeFileSync(join(folder, '_expo/app-123.js.gz'), gzipSync(SCRIPT));
  const context = await createContext({
    databaseUrl: suite.databaseUrl,
    log: pino({ level: 'silent' }),
    signInTriesPerMinute: 3,
  });
  close = context.close;
  server = createServer(context, folder).listen(0, '127.0.0.1');
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

  it.each([
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
    ['', null],
  ])('to a browser that takes “%s” it sends the copy that was made at build time: %s', async (accepts, encoding) => {
    const [file, body] = await new Promise<[IncomingMessage, Buffer]>((done, fail) => {
      get(`${base}/_expo/app-123.js`, { headers: { 'accept-encoding': accepts } }, (response) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => done([response, Buffer.concat(parts)]));
      }).on('error', fail);
    });
    expect(file.headers['content-encoding'] ?? null).toBe(encoding);
    expect(file.headers['content-type']).toMatch(/javascript/);
    expect(file.headers['cache-control']).toMatch(/immutable/);
    const unpack = { br: brotliDecompressSync, gzip: gunzipSync }[encoding ?? ''] ?? ((same: Buffer) => same);
    expect(unpack(body).toString()).toBe(SCRIPT);
  });

  it.each([
    '/../beside.txt',
    '/%2e%2e/beside.txt',
    '/_expo/../../beside.txt',
    '/_expo/..%2f..%2fbeside.txt',
    '//../beside.txt',
  ])('stays inside its folder: %s', async (path) => {
    expect(readFileSync(join(folder, '..', 'beside.txt'), 'utf8')).toBe(BESIDE);
    // As written: fetch would tidy the path before it is sent.
    const text = await new Promise<string>((done, fail) => {
      const { port } = server.address() as AddressInfo;
      get({ host: '127.0.0.1', port, path }, (response) => {
        let read = '';
        response.on('data', (part: Buffer) => (read += part.toString()));
        response.on('end', () => done(read));
      }).on('error', fail);
    });
    expect(text).not.toContain(BESIDE);
  });

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

describe('whose requests are taken', () => {
  const post = (headers: Record<string, string>, body = '{}') =>
    fetch(`${base}/api/demo-session`, { method: 'POST', headers, body });
  const json = { 'content-type': 'application/json' };

  it.each([
    ['another site by its origin', { ...json, origin: 'https://elsewhere.example' }, 403, 'wrong_origin'],
    ['another site as the browser says', { ...json, 'sec-fetch-site': 'cross-site' }, 403, 'wrong_origin'],
    ['a sibling site', { ...json, 'sec-fetch-site': 'same-site' }, 403, 'wrong_origin'],
    ['its own page', { ...json, 'sec-fetch-site': 'same-origin' }, 404, 'demo_not_loaded'],
    ['not JSON', { 'content-type': 'text/plain' }, 415, 'not_json'],
    ['a form', { 'content-type': 'application/x-www-form-urlencoded' }, 415, 'not_json'],
  ])('%s', async (_, headers, status, code) => {
    const response = await post(headers);
    expect(response.status).toBe(status);
    expect(await response.json()).toMatchObject({ code });
    expect(response.headers.get('cache-control')).toBe('no-store');
  });

  it.each(['/api/status', '/api/changes?since=0', '/'])('only under a name of its own: %s', async (path) => {
    const { port } = new URL(base);
    const answer = await new Promise<number | undefined>((done) =>
      get({ host: '127.0.0.1', port, path, headers: { host: 'rebound.example' } }, (response) => {
        response.resume();
        done(response.statusCode);
      }),
    );
    expect(answer).toBe(403);
  });

  it('counts addresses by themselves, behind a trusted proxy too', () => {
    const counter = new RequestCounter(2);
    const asked = ['a', 'a', 'a', 'b'].map((address) => counter.allows(address, 0));
    expect(asked).toEqual([true, true, false, true]);
    expect(counter.allows('a', 60_000)).toBe(true);
    const network = new RequestCounter(1);
    expect(['2001:db8:1:2::1', '2001:db8:1:2::2', '2001:db8:1:3::1'].map((one) => network.allows(one, 0))).toEqual([
      true,
      false,
      true,
    ]);
  });
});

describe('behind a proxy', () => {
  it.each([
    ['that is trusted, each address has its own count', 'loopback', [401, 401, 401, 401]],
    ['that is not, what it says about addresses counts for nothing', null, [401, 401, 429, 429]],
  ])('%s', async (_, trustProxy, statuses) => {
    const context = await createContext({
      databaseUrl: suite.databaseUrl,
      log: pino({ level: 'silent' }),
      requestsPerMinute: 2,
      trustProxy,
    });
    const behind = createServer(context, null).listen(0, '127.0.0.1');
    await new Promise((done) => behind.once('listening', done));
    const { port } = behind.address() as AddressInfo;
    const seen: number[] = [];
    // The hot path and Express's chain count together.
    for (const [path, address] of [
      ['changes?since=0', '203.0.113.1'],
      ['me', '203.0.113.1'],
      ['changes?since=0', '203.0.113.2'],
      ['me', '203.0.113.2'],
    ] as const) {
      const response = await fetch(`http://127.0.0.1:${port}/api/${path}`, { headers: { 'x-forwarded-for': address } });
      seen.push(response.status);
    }
    behind.closeAllConnections();
    await new Promise((done) => behind.close(done));
    await context.close();
    expect(seen).toEqual(statuses);
  });
});

describe('what is logged of an error', () => {
  it('where and of what kind it is, and nothing of what was in it', () => {
    const cause = Object.assign(new Error('Key (email)=(runa@ferry.example) already exists.'), {
      code: '23505',
      constraint: 'x',
    });
    const error = new Error("Failed query: insert into account values ('$argon2id$secret')", { cause });
    const told = JSON.stringify(describeError(error));
    expect(told).not.toMatch(/runa|argon2id|insert/);
    expect(told).toMatch(/23505/);
  });
});

describe('the app under a folder whose name starts with a dot', () => {
  it('is served with its deep links', async () => {
    const inHidden = join(mkdtempSync(join(tmpdir(), 'nook-')), '.hidden', 'dist');
    mkdirSync(inHidden, { recursive: true });
    writeFileSync(join(inHidden, 'index.html'), '<title>Every Nook</title>');
    writeFileSync(join(inHidden, 'icon.svg'), '<svg/>');
    const context = await createContext({ databaseUrl: suite.databaseUrl, log: pino({ level: 'silent' }) });
    const hidden = createServer(context, inHidden).listen(0, '127.0.0.1');
    await new Promise((done) => hidden.once('listening', done));
    const at = `http://127.0.0.1:${(hidden.address() as AddressInfo).port}`;
    expect(await (await fetch(`${at}/space/x`)).text()).toContain('Every Nook');
    expect((await fetch(`${at}/icon.svg`)).status).toBe(200);
    hidden.closeAllConnections();
    await new Promise((done) => hidden.close(done));
    await context.close();
  });
});

describe('migrations', () => {
  it('two servers that start at once on an empty database do each migration once; again changes nothing', async () => {
    const name = `migrated_${randomBytes(5).toString('hex')}`;
    const fresh = suite.ownerUrl.replace(/\/[^/]*$/, `/${name}`);
    const owner = new pg.Client({ connectionString: suite.ownerUrl });
    await owner.connect();
    const migrations = join(__dirname, '../../drizzle');
    const written = readdirSync(migrations).filter((file) => file.endsWith('.sql') || !file.includes('.'));
    try {
      await owner.query(`create database ${name}`);
      await Promise.all([migrateDatabase(fresh, migrations), migrateDatabase(fresh, migrations)]);
      await migrateDatabase(fresh, migrations);
      const look = new pg.Client({ connectionString: fresh });
      await look.connect();
      const done = await look.query('select hash from drizzle.__drizzle_migrations');
      const tables = await look.query(`select 1 from pg_tables where schemaname = 'public'`);
      await look.end();
      expect(new Set(done.rows.map(({ hash }: { hash: string }) => hash)).size).toBe(done.rowCount);
      expect(done.rowCount).toBe(written.filter((file) => file !== 'meta').length);
      expect(tables.rowCount).toBeGreaterThan(20);
    } finally {
      await owner.query(`drop database if exists ${name} with (force)`);
      await owner.end();
    }
  }, 60_000);
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
