/**
 * A home that nobody looked after for a year, in the built app in Chromium: 10,000 things in 25,000 lots, of which all that can end has
 * ended, and its rounds missed week by week. How long each page takes until it is there, its longest task, and how long a tap takes.
 * `npm run bench:year`; it wants the app built.
 */
import { chromium, type Page } from '@playwright/test';
import { HomeServer } from '../e2e/HomeServer';
import { launchOptions } from '../e2e/launchOptions';
import { grow, LARGE } from './grow';
import { table } from './table';

const YEAR_MS = 366 * 86_400_000;

/** The longest task of a deed, and how long it took all in all; ms. */
async function measured(page: Page, deed: () => Promise<unknown>): Promise<{ all: number; longest: number }> {
  await page.evaluate(() => {
    const scope = globalThis as unknown as { longest: number; seen?: PerformanceObserver };
    scope.longest = 0;
    scope.seen?.disconnect();
    scope.seen = new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) scope.longest = Math.max(scope.longest, duration);
    });
    scope.seen.observe({ type: 'longtask' });
  });
  const from = performance.now();
  await deed();
  const all = performance.now() - from;
  await page.waitForTimeout(1500);
  return { all, longest: await page.evaluate(() => (globalThis as unknown as { longest: number }).longest) };
}

const server = await HomeServer.create();
const browser = await chromium.launch(launchOptions);
try {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  page.setDefaultTimeout(120_000);
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await page.getByText('Where you were').waitFor();
  await page.waitForTimeout(2000);
  await page.goto(`${server.url}/favicon.ico`);
  await page.evaluate(grow, LARGE);
  // A year later by this device's clock.
  await page.clock.install({ time: Date.now() + YEAR_MS });
  await page.goto(server.url);
  await page.getByText('Where you were').waitFor();
  await page.waitForTimeout(15_000);
  const rows: (string | number)[][] = [['', 'until it is there', 'longest task']];
  const note = async (name: string, deed: () => Promise<unknown>): Promise<void> => {
    const { all, longest } = await measured(page, deed);
    rows.push([name, `${all.toFixed(0)} ms`, `${longest.toFixed(0)} ms`]);
  };
  await note('Rounds', async () => {
    await page.getByRole('navigation').getByRole('link', { name: 'Rounds' }).click();
    await page.getByText(/turns of \d+ rounds? were missed/).waitFor();
  });
  await note('the expiry round', async () => {
    await page.getByText('Expiry round', { exact: true }).first().click();
    await page.getByText(/of [\d,]+ steps done/).waitFor();
  });
  rows.push(['its steps', (await page.getByText(/of [\d,]+ steps done/).textContent()) ?? '', '']);
  await note('one step ticked', async () => {
    await page.getByTestId('round-steps').getByRole('checkbox').first().click();
    await page.getByText(/^1 of [\d,]+ steps done/).waitFor();
  });
  await note('one thing thrown away', async () => {
    const thrown = page.getByTestId('round-steps').getByRole('button', { name: /hrown$/ });
    await thrown.first().click();
    await page.getByText(/^Thrown away: /).waitFor();
  });
  await note('back, and all begun afresh', async () => {
    await page.getByRole('navigation').getByRole('link', { name: 'Rounds' }).click();
    await page.getByRole('button', { name: /^Begin afresh/ }).click();
    await page.getByText(/turns of \d+ rounds? were missed/).waitFor({ state: 'detached' });
  });
  await note('As planned?', async () => {
    await page.getByRole('button', { name: 'Look' }).first().click();
    await page
      .getByText(/as set up|in the week of|can be compared/)
      .first()
      .waitFor();
  });
  table('a year away, 25,000 lots, phone', rows);
  if (process.argv[2]) await page.screenshot({ path: process.argv[2] });
} finally {
  await browser.close();
  await server.stop();
}
