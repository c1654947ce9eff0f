/**
 * How fast the screens answer: the built app in Chromium with the CPU slowed four times, over the demo home as it is and grown
 * to 10,000 items, 25,000 lots and 75,000 retired rows. `npm run bench:screens`; it wants the app built. With the folder of another
 * build, `npm run bench:screens -- DIR`, both are measured in turn over the demo home, with a second word `large` over the grown one:
 * a machine's speed changes while it measures.
 */
import { chromium, type Page } from '@playwright/test';
import { HomeServer } from '../e2e/HomeServer';
import { launchOptions } from '../e2e/launchOptions';
import { resolve } from 'node:path';
import { grow, LARGE, type Growth } from './grow';
import { quantile, table } from './table';

const SLOWDOWN = 4;
const COMMAND_SETTLES_MS = 2500;
const COLD_RUNS = 3;
const COMPARED_RUNS = 4;
/** Retired rows are read while nobody does anything; only then is the memory what it will be. */
const ALL_IS_READ_MS = 25_000;
const WORDS = ['rice', 'soup', 'candle', 'towel', 'batt'];
const SCREENS = [
  { name: 'Find', path: '/', ready: 'Where you were' },
  { name: 'Nooks', path: '/nooks', ready: 'Containers' },
  { name: 'Restock', path: '/restock', ready: 'Running out' },
  { name: 'Rounds', path: '/rounds', ready: 'Too late: look' },
] as const;

interface Measured {
  fixedMs: number;
  coldMs: number;
  openMs: Map<string, number>;
  /** The longest task after a command, by the screen that is open. */
  taskMs: Map<string, number>;
  keysMs: number[];
  megabytes: number;
}

/** Milliseconds that the same small piece of work takes in this page: what the machine was worth while the rest was measured. */
function fixedWork(page: Page): Promise<number> {
  return page.evaluate(() => {
    const times = Array.from({ length: 5 }, () => {
      const started = performance.now();
      const known = new Map<string, number>();
      for (let at = 0, seed = 1; at < 60_000; at++) {
        seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0;
        known.set(`row ${seed % 20_000}`, (known.get(`row ${seed % 20_000}`) ?? 0) + at);
      }
      [...known.keys()].sort();
      return performance.now() - started;
    });
    return times.sort((a, b) => a - b)[2]!;
  });
}

/** Milliseconds of the longest task, and until two frames after something was done in the page. */
async function watched(page: Page, deed: () => Promise<unknown>, settle: number): Promise<number> {
  await page.evaluate(() => {
    const scope = globalThis as unknown as { longest: number; watch?: PerformanceObserver };
    scope.longest = 0;
    scope.watch?.disconnect();
    scope.watch = new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) scope.longest = Math.max(scope.longest, entry.duration);
    });
    scope.watch.observe({ type: 'longtask' });
  });
  await deed();
  await page.waitForTimeout(settle);
  return page.evaluate(() => (globalThis as unknown as { longest: number }).longest);
}

/** Milliseconds from a press on a link of the bar until the screen's words are painted. */
function opened(page: Page, name: string, ready: string): Promise<number> {
  return page.evaluate(
    async ([link, words]) => {
      const button = document.querySelector<HTMLElement>(`nav [aria-label="${link}"]`)!;
      await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
      const started = performance.now();
      button.click();
      const isThere = (): boolean => document.body.innerText.includes(words!);
      while (!isThere()) await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
      return performance.now() - started;
    },
    [name, ready],
  );
}

async function measure(server: HomeServer, growth: Growth | null): Promise<Measured> {
  const browser = await chromium.launch(launchOptions);
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  // The loader of this script names functions by a helper that the page does not have.
  await context.addInitScript('globalThis.__name = (named) => named');
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await page.getByText('Where you were').waitFor();
  await page.waitForTimeout(2000);
  if (growth) {
    await page.goto(`${server.url}/favicon.ico`);
    await page.evaluate(grow, growth);
  }
  const devtools = await context.newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWDOWN });

  const coldRuns: number[] = [];
  for (let run = 0; run < COLD_RUNS; run++) {
    const started = performance.now();
    await page.goto(server.url);
    await page.getByTestId('find').fill('rice');
    await page.getByTestId('answer').waitFor();
    coldRuns.push(performance.now() - started);
    await page.waitForTimeout(3000);
  }
  const coldMs = quantile(coldRuns, 0.5);
  const fixedMs = await fixedWork(page);

  const keysMs: number[] = [];
  await page.evaluate(() => {
    const scope = globalThis as unknown as { keys: number[] };
    scope.keys = [];
    addEventListener(
      'keydown',
      (event) => {
        const at = event.timeStamp;
        requestAnimationFrame(() => setTimeout(() => scope.keys.push(performance.now() - at)));
      },
      true,
    );
  });
  for (const word of WORDS) {
    await page.getByTestId('find').fill('');
    await page.getByTestId('find').pressSequentially(word, { delay: 250 });
  }
  keysMs.push(...(await page.evaluate(() => (globalThis as unknown as { keys: number[] }).keys)));

  const openMs = new Map<string, number>();
  const taskMs = new Map<string, number>();
  await page.getByTestId('find').fill('');
  for (const { name, ready } of [...SCREENS.slice(1), SCREENS[0]]) {
    openMs.set(name, await opened(page, name, ready));
    await page.waitForTimeout(400);
  }
  // One is taken, and taken back by the line at the foot while a screen is open.
  for (const { name } of SCREENS) {
    await page.getByRole('navigation').getByRole('link', { name: 'Find' }).click();
    await page.getByTestId('find').fill('lantern wire hook');
    await page.getByTestId('answer').getByRole('button', { name: 'Take one' }).click();
    await page.getByTestId('find').fill('');
    await page.getByRole('navigation').getByRole('link', { name }).click();
    await page.waitForTimeout(1500);
    const undo = page.getByRole('button', { name: 'Undo' }).first();
    taskMs.set(name, await watched(page, () => undo.click(), COMMAND_SETTLES_MS));
  }
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await page.waitForTimeout(growth ? ALL_IS_READ_MS : COMMAND_SETTLES_MS);
  await devtools.send('HeapProfiler.collectGarbage');
  const { usedSize } = (await devtools.send('Runtime.getHeapUsage')) as { usedSize: number };
  await browser.close();
  return { fixedMs, coldMs, openMs, taskMs, keysMs, megabytes: usedSize / 1e6 };
}

const NAMES = [
  'a fixed piece of work ms',
  'cold open to first answer ms',
  'key to result ms, median',
  'p95',
  ...SCREENS.map(({ name }) => `${name} opens ms`),
  ...SCREENS.map(({ name }) => `${name} longest task ms`),
  'memory MB',
];
const figuresOf = ({ fixedMs, coldMs, keysMs, openMs, taskMs, megabytes }: Measured): number[] => [
  fixedMs,
  coldMs,
  quantile(keysMs, 0.5),
  quantile(keysMs, 0.95),
  ...SCREENS.map(({ name }) => openMs.get(name)!),
  ...SCREENS.map(({ name }) => taskMs.get(name)!),
  megabytes,
];
/** One row for each figure: there are more of them than columns. */
const show = (title: string, heads: readonly string[], columns: readonly (readonly number[])[]): void =>
  table(title, [heads, ...NAMES.map((name, at) => [name, ...columns.map((column) => column[at]!)])]);

async function benchScreens(): Promise<void> {
  const server = await HomeServer.create();
  try {
    const demo = await measure(server, null);
    const large = await measure(server, LARGE);
    const heads = ['', 'demo home', '10,000 items'];
    show(`Screens, CPU slowed ${SLOWDOWN} times`, heads, [figuresOf(demo), figuresOf(large)]);
  } finally {
    await server.stop();
  }
}

/** Medians of some runs each, in turn, and their ratio. */
async function compare(other: string, isLarge: boolean): Promise<void> {
  const servers = [await HomeServer.create(resolve(other)), await HomeServer.create()];
  const runs: number[][][] = [[], []];
  try {
    for (let run = 0; run < COMPARED_RUNS; run++)
      for (const [at, server] of servers.entries())
        runs[at]!.push(figuresOf(await measure(server, isLarge ? LARGE : null)));
  } finally {
    for (const server of servers) await server.stop();
  }
  const middle = (of: readonly number[][], at: number): number =>
    quantile(
      of.map((figures) => figures[at]!),
      0.5,
    );
  const [before, after] = runs.map((of) => NAMES.map((_, at) => middle(of, at))) as [number[], number[]];
  const ratios = after.map((figure, at) => figure / before[at]!);
  show(
    `Screens of two builds, ${isLarge ? '10,000 items' : 'demo home'}`,
    ['', 'the other build', 'this one', 'ratio'],
    [before, after, ratios],
  );
}

const [other, size] = process.argv.slice(2);
await (other === undefined ? benchScreens() : compare(other, size === 'large'));
