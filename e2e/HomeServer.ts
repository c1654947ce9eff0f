import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createServer, type AddressInfo } from 'node:net';
import { resolve } from 'node:path';

const root = resolve(import.meta.dirname, '..');

/** Where a run of many servers says which database has the demo home in it already. */
const TEMPLATE = 'JOURNEY_TEMPLATE';

/**
 * A database with the demo home in it, on the cluster of the tests.
 * @param template a database to copy; null: it is made anew
 */
function demoDatabase(template: string | null): Record<'OWNER_URL' | 'DATABASE_URL' | 'LOG_LEVEL', string> {
  const printed = execFileSync('bash', [`${root}/tools/cluster.sh`, 'start', 'test'], { encoding: 'utf8' });
  const cluster = Object.fromEntries(
    printed
      .trim()
      .split('\n')
      .map((line) => line.split(/=(.*)/s).slice(0, 2)),
  ) as Record<string, string>;
  const name = `journey_${randomBytes(5).toString('hex')}`;
  const inDatabase = (url: string): string => url.replace(/\/[^/]*$/, `/${name}`);
  const like = template === null ? '' : ` template ${template}`;
  execFileSync('psql', ['-qX', cluster.OWNER_URL!, '-c', `create database ${name}${like}`]);
  const env = {
    OWNER_URL: inDatabase(cluster.OWNER_URL!),
    DATABASE_URL: inDatabase(cluster.DATABASE_URL!),
    LOG_LEVEL: 'silent',
  };
  if (template === null)
    execFileSync(process.execPath, ['--import', 'tsx', 'src/prepare.ts', '--demo'], {
      cwd: `${root}/apps/server`,
      env: { ...process.env, ...env },
    });
  return env;
}

/** Loads the demo home once; the servers of this run, also of its workers, begin with a copy. */
export function prepareTemplate(): void {
  process.env[TEMPLATE] = new URL(demoDatabase(null).OWNER_URL).pathname.slice(1);
}

/** A real server on a real PostgreSQL, with the demo home loaded, that can be stopped and started. */
export class HomeServer {
  private child: ChildProcess | null = null;
  private constructor(
    readonly url: string,
    private readonly env: Record<string, string>,
  ) {}

  /** @param dist the built app to serve; another one than this tree's to compare two */
  static async create(dist = `${root}/apps/app/dist`): Promise<HomeServer> {
    const env = { ...demoDatabase(process.env[TEMPLATE] ?? null), SIGN_IN_TRIES: '1000' };
    const port = await freePort();
    const server = new HomeServer(`http://127.0.0.1:${port}`, {
      ...env,
      PORT: String(port),
      STATIC_DIR: dist,
    });
    await server.start();
    return server;
  }

  /** A copy of the data as it is now. The server must be stopped. */
  backUp(): string {
    const copy = `${this.database}_copy`;
    this.admin(`create database ${copy} template ${this.database}`);
    return copy;
  }

  /** Puts a copy in the place of the data, as after a loss. The server must be stopped. */
  putBack(copy: string): void {
    this.admin(`drop database ${this.database} with (force)`);
    this.admin(`alter database ${copy} rename to ${this.database}`);
  }

  /** Every phone was last in touch so many minutes ago; the next that asks is in touch again. */
  phonesWereSeen(minutesAgo: number): void {
    const sql = `update session set last_seen_at = now() - interval '${minutesAgo} minutes' where revoked_at is null`;
    execFileSync('psql', ['-qX', this.env.OWNER_URL!, '-c', sql]);
  }

  private get database(): string {
    return new URL(this.env.OWNER_URL!).pathname.slice(1);
  }

  private admin(sql: string): void {
    execFileSync('psql', ['-qX', this.env.OWNER_URL!.replace(/\/[^/]*$/, '/every_nook'), '-c', sql]);
  }

  async start(): Promise<void> {
    this.child = spawn(process.execPath, ['--import', 'tsx', 'src/main.ts'], {
      cwd: `${root}/apps/server`,
      env: { ...process.env, ...this.env },
      stdio: 'inherit',
    });
    for (let tries = 0; tries < 150; tries++) {
      const up = await fetch(`${this.url}/api/status`).then(
        (response) => response.ok,
        () => false,
      );
      if (up) return;
      await new Promise((done) => setTimeout(done, 100));
    }
    throw new Error('the server did not come up');
  }

  async stop(): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGTERM');
    await gone;
  }
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });
}
