/** A real server on a real PostgreSQL for each worker, that a journey may stop and start; and the common first steps. */
import { expect, test as base, type Page } from '@playwright/test';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { createServer, type AddressInfo } from 'node:net';
import { resolve } from 'node:path';

const root = resolve(import.meta.dirname, '../..');

export class HomeServer {
  private child: ChildProcess | null = null;
  private constructor(
    readonly url: string,
    private readonly env: Record<string, string>,
  ) {}

  static async create(): Promise<HomeServer> {
    const printed = execFileSync('bash', [`${root}/tools/cluster.sh`, 'start', 'test'], { encoding: 'utf8' });
    const cluster = Object.fromEntries(
      printed
        .trim()
        .split('\n')
        .map((line) => line.split(/=(.*)/s).slice(0, 2)),
    ) as Record<string, string>;
    const name = `journey_${randomBytes(5).toString('hex')}`;
    const inDatabase = (url: string): string => url.replace(/\/[^/]*$/, `/${name}`);
    execFileSync('psql', ['-qX', cluster.OWNER_URL!, '-c', `create database ${name}`]);
    const env = {
      OWNER_URL: inDatabase(cluster.OWNER_URL!),
      DATABASE_URL: inDatabase(cluster.DATABASE_URL!),
      LOG_LEVEL: 'silent',
      SIGN_IN_TRIES: '1000',
    };
    execFileSync(process.execPath, ['--import', 'tsx', 'src/prepare.ts', '--demo'], {
      cwd: `${root}/apps/server`,
      env: { ...process.env, ...env },
    });
    const port = await freePort();
    const server = new HomeServer(`http://127.0.0.1:${port}`, {
      ...env,
      PORT: String(port),
      STATIC_DIR: `${root}/apps/app/dist`,
    });
    await server.start();
    return server;
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

export const test = base.extend<object, { server: HomeServer }>({
  server: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const server = await HomeServer.create();
      await use(server);
      await server.stop();
    },
    { scope: 'worker', timeout: 90_000 },
  ],
});

/** Opens the demo home in one tap. */
export async function openDemo(page: Page, server: HomeServer): Promise<void> {
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await expect(page.getByTestId('sync-state').first()).toHaveText('All saved ✓');
}

/** A new account with a home of its own. */
export async function startHome(
  page: Page,
  server: HomeServer,
  name = 'Runa',
): Promise<{ email: string; password: string }> {
  const email = `${name.toLowerCase()}.${randomBytes(4).toString('hex')}@ferry-house.example`;
  const password = 'a ferry on the river';
  await page.goto(server.url);
  await page.getByRole('radio', { name: 'New home' }).click();
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Name of the home').fill('Ferry house');
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Start the home' }).click();
  await expect(page.getByText('Start with one cupboard.')).toBeVisible();
  return { email, password };
}

/** Records lines one after the other; the place is chosen before. */
export async function recordLines(page: Page, lines: readonly string[]): Promise<void> {
  const field = page.getByTestId('record-line');
  for (const line of lines) {
    await field.fill(line);
    await field.press('Enter');
    await expect(field).toHaveValue('');
  }
}

/** Waits until this device has nothing left to send. */
export const allSaved = (page: Page): Promise<void> =>
  expect(page.getByTestId('sync-state').first()).toHaveText('All saved ✓');

/** Goes to one of the five places without reading the page anew. */
export async function goTo(page: Page, place: 'Find' | 'Nooks' | 'Record' | 'Restock' | 'Rounds'): Promise<void> {
  await page.getByRole('navigation').getByRole('link', { name: place }).click();
}

export { expect };
