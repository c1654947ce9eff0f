/** A database of its own on the test cluster, a server process on it, and clients that keep their connections. */
import { HOME_HEADER, type CommandAnswer } from '@ours/contracts';
import type { Command } from '@ours/core';
import { migrateDatabase } from '@ours/server';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { connect, createServer, type AddressInfo, type Socket } from 'node:net';
import { resolve } from 'node:path';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';

const root = resolve(import.meta.dirname, '..');
const TICKS_PER_SECOND = 100;

export interface Answer {
  status: number;
  body: string;
  cookie: string | null;
}

export class TestBed {
  private constructor(
    readonly ownerUrl: string,
    readonly databaseUrl: string,
    private readonly name: string,
    private readonly admin: pg.Client,
    private readonly server: ChildProcess,
    readonly port: number,
  ) {}

  static async open(): Promise<TestBed> {
    const printed = execFileSync('bash', [`${root}/tools/cluster.sh`, 'start', 'test'], { encoding: 'utf8' });
    const lines = printed.trim().split('\n');
    const cluster = Object.fromEntries(lines.map((line) => line.split(/=(.*)/s).slice(0, 2))) as Record<string, string>;
    const name = `bench_${Date.now()}`;
    const inDatabase = (url: string): string => url.replace(/\/[^/]*$/, `/${name}`);
    const admin = new pg.Client({ connectionString: cluster.OWNER_URL! });
    await admin.connect();
    await admin.query(`create database ${name}`);
    await migrateDatabase(inDatabase(cluster.OWNER_URL!));
    const port = await freePort();
    const env = { DATABASE_URL: inDatabase(cluster.DATABASE_URL!), PORT: String(port), LOG_LEVEL: 'silent' };
    const server = spawn(process.execPath, ['--max-semi-space-size=64', '--import', 'tsx', 'src/main.ts'], {
      cwd: `${root}/apps/server`,
      env: { ...process.env, ...env, REQUESTS_PER_MINUTE: '100000000', SIGN_IN_TRIES: '100000' },
      stdio: 'inherit',
    });
    const bed = new TestBed(inDatabase(cluster.OWNER_URL!), env.DATABASE_URL, name, admin, server, port);
    for (let tries = 0; tries < 200; tries++) {
      const up = await bed
        .client()
        .call('GET', '/status')
        .catch(() => null);
      if (up?.status === 200) return bed;
      await new Promise((done) => setTimeout(done, 50));
    }
    throw new Error('the server did not come up');
  }

  client(): Client {
    return new Client(this.port);
  }

  async durability(): Promise<string> {
    const { rows } = await this.admin.query(
      "select string_agg(name || '=' || setting, ', ') as said from pg_settings where name in ('fsync', 'synchronous_commit', 'full_page_writes')",
    );
    return rows[0].said as string;
  }

  /** Seconds of CPU used so far by the server's process and by PostgreSQL's. */
  cpu(): { node: number; postgres: number } {
    const stat = (pid: number | string): string[] => {
      const text = readFileSync(`/proc/${pid}/stat`, 'utf8');
      return text.slice(text.lastIndexOf(')') + 2).split(' ');
    };
    const own = (fields: string[]): number => Number(fields[11]) + Number(fields[12]);
    const postmaster = Number(execFileSync('pgrep', ['-o', '-f', 'postgres.*pg-test'], { encoding: 'utf8' }));
    let postgres = own(stat(postmaster)) + Number(stat(postmaster)[13]) + Number(stat(postmaster)[14]);
    for (const pid of readdirSync('/proc').filter((entry) => /^\d+$/.test(entry))) {
      try {
        const fields = stat(pid);
        if (Number(fields[1]) === postmaster) postgres += own(fields);
      } catch {
        // It ended meanwhile.
      }
    }
    return { node: own(stat(this.server.pid!)) / TICKS_PER_SECOND, postgres: postgres / TICKS_PER_SECOND };
  }

  async close(): Promise<void> {
    const gone = new Promise((done) => this.server.once('exit', done));
    this.server.kill('SIGTERM');
    await gone;
    await this.admin.query(`drop database ${this.name} with (force)`);
    await this.admin.end();
  }
}

/**
 * One device: a connection that stays open, a cookie, a home. It speaks HTTP/1.1 by itself, since the client of Node costs
 * more than the server and both share the machine's cores.
 */
export class Client {
  private socket: Socket | null = null;
  private received: Buffer = Buffer.alloc(0);
  private heard: { done: (answer: Answer) => void; failed: (error: Error) => void } | null = null;
  private cookie = '';
  home = '';
  constructor(private readonly port: number) {}

  call(method: string, path: string, body?: unknown): Promise<Answer> {
    const text = body === undefined ? '' : JSON.stringify(body);
    const lines = [
      `${method} /api${path} HTTP/1.1`,
      'host: 127.0.0.1',
      `cookie: ${this.cookie}`,
      `${HOME_HEADER}: ${this.home}`,
    ];
    if (text !== '') lines.push('content-type: application/json', `content-length: ${Buffer.byteLength(text)}`);
    return new Promise((done, failed) => {
      this.heard = { done, failed };
      this.connected().write(`${lines.join('\r\n')}\r\n\r\n${text}`);
    });
  }

  private connected(): Socket {
    if (this.socket && !this.socket.destroyed) return this.socket;
    this.received = Buffer.alloc(0);
    const socket = connect({ port: this.port, host: '127.0.0.1', noDelay: true });
    socket.on('data', (chunk: Buffer) => {
      this.received = this.received.length === 0 ? chunk : Buffer.concat([this.received, chunk]);
      this.look();
    });
    const broken = (error?: Error): void => {
      this.heard?.failed(error ?? new Error('the connection was closed'));
      this.heard = null;
    };
    socket.on('error', broken);
    socket.on('close', () => broken());
    this.socket = socket;
    return socket;
  }

  /** Answers once the whole of an answer is there. Only answers with a length are understood. */
  private look(): void {
    const head = this.received.indexOf('\r\n\r\n');
    if (head < 0) return;
    const lines = this.received.subarray(0, head).toString('latin1');
    const size = Number(/content-length: (\d+)/i.exec(lines)?.[1] ?? 0);
    if (this.received.length < head + 4 + size) return;
    const body = this.received.subarray(head + 4, head + 4 + size).toString('utf8');
    this.received = this.received.subarray(head + 4 + size);
    const heard = this.heard;
    this.heard = null;
    const cookie = /set-cookie: ([^;\r]+)/i.exec(lines)?.[1] ?? null;
    heard?.done({ status: Number(lines.slice(9, 12)), body, cookie });
  }

  close(): void {
    this.socket?.destroy();
  }

  async signUp(): Promise<this> {
    const answer = await this.call('POST', '/accounts', {
      name: 'Bench',
      email: `${uuidv7()}@ferry-house.example`,
      password: 'a ferry on the river',
      householdName: 'Ferry house',
    });
    if (answer.status !== 201) throw new Error(answer.body);
    this.cookie = answer.cookie!;
    this.home = (JSON.parse(answer.body) as { householdId: string }).householdId;
    return this;
  }

  /** Another device of the same account. */
  again(): Client {
    const other = new Client(this.port);
    other.cookie = this.cookie;
    other.home = this.home;
    return other;
  }

  async send(commands: readonly Command[]): Promise<CommandAnswer[]> {
    const answer = await this.call('POST', '/commands', { now: new Date().toISOString(), commands });
    if (answer.status !== 200) throw new Error(answer.body);
    return (JSON.parse(answer.body) as { answers: CommandAnswer[] }).answers;
  }
}

export function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });
}
