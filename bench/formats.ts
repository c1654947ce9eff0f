/**
 * Open formats at their limits, in the built app in Chromium: a table of 20,000 rows read and written (it is read in a worker; the longest
 * task of the page says whether the page still answers), and a home of that size saved and read into an empty one.
 * `npm run bench:formats`; it wants the app built.
 */
import { chromium, type Page } from '@playwright/test';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { HomeServer } from '../e2e/HomeServer';
import { launchOptions } from '../e2e/launchOptions';
import { table } from './table';

const ROWS = Number(process.argv[2] ?? 20_000);
/** As the screens write it: grouped from ten thousand on. */
const SHOWN = ROWS < 10_000 ? String(ROWS) : ROWS.toLocaleString('en');
/** Longer than anything here takes: a name that never comes is to fail, not to wait. */
const LONG_MS = 120_000;
const folder = mkdtempSync(join(tmpdir(), 'formats-'));

const opened = async (page: Page, server: HomeServer): Promise<void> => {
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await page.getByText('All saved ✓').first().waitFor();
};
const started = async (page: Page, server: HomeServer): Promise<void> => {
  await page.goto(server.url);
  await page.getByRole('radio', { name: 'New home' }).click();
  await page.getByLabel('Your name').fill('Runa');
  await page.getByLabel('Name of the home').fill('Ferry house');
  await page.getByLabel('E-mail').fill(`bench.${Date.now()}@ferry-house.example`);
  await page.getByLabel('Password').fill('a ferry on the river');
  await page.getByRole('button', { name: 'Start the home' }).click();
  await page.getByText('Start with one cupboard.').waitFor();
};

/** Notes every task of the page over 50 ms from now on. */
const watchTasks = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const own = window as unknown as { longTasks: number[] };
    own.longTasks = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) own.longTasks.push(entry.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
const longest = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const own = window as unknown as { longTasks: number[] };
    const most = Math.max(0, ...own.longTasks);
    own.longTasks = [];
    return most;
  });
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const from = performance.now();
  await work();
  return performance.now() - from;
};
const choose = async (page: Page, path: string): Promise<void> => {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    page.getByRole('button', { name: 'Choose a file …' }).click(),
  ]);
  await chooser.setFiles(path);
};

const server = await HomeServer.create();
const browser = await chromium.launch(launchOptions);
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  page.setDefaultTimeout(LONG_MS);
  await opened(page, server);
  const codes = await page.evaluate(async () => {
    const me = (await (await fetch('/api/me')).json()) as { householdId: string };
    const answer = await fetch('/api/home-file', { headers: { 'nook-household': me.householdId } });
    const { rows } = (await answer.json()) as { rows: { entity: string; row: { code: string; retired: boolean } }[] };
    return rows.flatMap(({ entity, row }) => (entity === 'bin' && !row.retired ? [row.code] : []));
  });
  const csv = join(folder, 'large.csv');
  const lines = Array.from({ length: ROWS }, (_, at) =>
    `Thing ${at};${(at % 40) + 0.5};kg;${codes[at % codes.length]!};${String((at % 27) + 1).padStart(2, '0')}.03.2028`.replace(
      '.5;',
      ',5;',
    ),
  );
  writeFileSync(csv, `Bezeichnung;Menge;Einheit;Ort;MHD\r\n${lines.join('\r\n')}\r\n`);

  await page.goto(`${server.url}/data/table`);
  await page.getByRole('button', { name: 'Choose a file …' }).waitFor();
  await watchTasks(page);
  const readMs = await timed(async () => {
    await choose(page, csv);
    await page.getByRole('button', { name: `Write ${SHOWN} rows` }).waitFor();
  });
  const readTask = await longest(page);
  const writeMs = await timed(async () => {
    await page.getByRole('button', { name: `Write ${SHOWN} rows` }).click();
    await page.getByText(`${SHOWN} rows were written.`).waitFor();
  });
  const writeTask = await longest(page);
  const sendMs = await timed(() => page.getByTestId('sync-state').first().getByText('All saved ✓').waitFor());

  await page.goto(`${server.url}/data`);
  const zip = join(folder, 'home.zip');
  await page.getByRole('button', { name: 'Save home' }).waitFor();
  // What is read of the device's own rows after the page has opened is not part of it.
  await page.waitForTimeout(5000);
  await watchTasks(page);
  const saveMs = await timed(async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save home' }).click(),
    ]);
    await download.saveAs(zip);
  });
  const saveTask = await longest(page);

  const other = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  other.setDefaultTimeout(LONG_MS);
  await started(other, server);
  await other.goto(`${server.url}/data/home`);
  await other.getByRole('button', { name: 'Choose a file …' }).waitFor();
  await watchTasks(other);
  const openMs = await timed(async () => {
    await choose(other, zip);
    await other.getByTestId('in-the-file').waitFor();
  });
  const restoreMs = await timed(async () => {
    await other.getByRole('button', { name: 'Make this home so' }).click();
    await other.getByText(/^This home is now as it was on/).waitFor();
  });
  const restoreTask = await longest(other);
  table(`A table of ${ROWS.toLocaleString('en')} rows, and the home with it`, [
    ['', 'seconds', 'longest task, ms'],
    ['read, with the preview', readMs / 1000, readTask],
    ['written on the device', writeMs / 1000, writeTask],
    ['then sent', sendMs / 1000, '–'],
    ['the home saved as an archive', saveMs / 1000, saveTask],
    ['opened again', openMs / 1000, '–'],
    ['and made the home', restoreMs / 1000, restoreTask],
  ]);
} finally {
  await browser.close();
  await server.stop();
}
