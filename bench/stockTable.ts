/**
 * The table of stock in the built app in Chromium, over a home of 10,000 things in 25,000 lots: how long until it is there, which frames
 * are late while one scrolls and while a key is held, and how long the page does not answer after a count and a filter.
 * `npm run bench:table`; it wants the app built.
 */
import { chromium, type Page } from '@playwright/test';
import { HomeServer } from '../e2e/HomeServer';
import { launchOptions } from '../e2e/launchOptions';
import { grow, LARGE } from './grow';
import { quantile, table } from './table';

/** A frame that comes later than this is seen as a stutter. */
const LATE_MS = 32;
const TURNS = 150;
const KEYS = 60;

interface Frames {
  all: number;
  late: number;
  longest: number;
  median: number;
}

/** Notes the time between frames while something is done. */
async function framesWhile(page: Page, deed: () => Promise<unknown>): Promise<Frames> {
  await page.evaluate(() => {
    const scope = globalThis as unknown as { frames: number[]; watching: boolean };
    scope.frames = [];
    scope.watching = true;
    let last = performance.now();
    const next = (now: number): void => {
      scope.frames.push(now - last);
      last = now;
      if (scope.watching) requestAnimationFrame(next);
    };
    requestAnimationFrame(next);
  });
  await deed();
  const frames = await page.evaluate(() => {
    const scope = globalThis as unknown as { frames: number[]; watching: boolean };
    scope.watching = false;
    return scope.frames.slice(1);
  });
  return {
    all: frames.length,
    late: frames.filter((ms) => ms > LATE_MS).length,
    longest: Math.max(0, ...frames),
    median: quantile(frames, 0.5),
  };
}
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const from = performance.now();
  await work();
  return performance.now() - from;
};

const server = await HomeServer.create();
const browser = await chromium.launch(launchOptions);
try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  // The loader of this script names functions by a helper that the page does not have.
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  page.setDefaultTimeout(60_000);
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await page.getByText('Where you were').waitFor();
  await page.waitForTimeout(2000);
  await page.goto(`${server.url}/favicon.ico`);
  await page.evaluate(grow, LARGE);

  const rows: (string | number)[][] = [];
  const open = await timed(async () => {
    await page.goto(`${server.url}/stock`);
    await page.getByText(/^([\d,]+) of \1, worth/).waitFor();
  });
  rows.push(['open, a row for each thing', `${open.toFixed(0)} ms`, '', '']);
  // What is worked out aside after the page has opened is not part of the scrolling.
  await page.waitForTimeout(20_000);
  const each = await timed(async () => {
    await page.getByRole('button', { name: 'A row for each: thing' }).click();
    await page.getByRole('button', { name: 'lot', exact: true }).click();
    await page.getByText(/^2[\d,]+ of 2[\d,]+, worth/).waitFor();
  });
  rows.push(['a row for each lot', `${each.toFixed(0)} ms`, '', '']);
  await page.waitForTimeout(2000);
  await page.mouse.move(600, 500);
  const add = (name: string, { all, late, longest, median }: Frames): void =>
    void rows.push([name, `${median.toFixed(1)} ms`, `${longest.toFixed(0)} ms`, `${late} of ${all}`]);
  add(
    'scrolling by the wheel, 120 px at a time',
    await framesWhile(page, async () => {
      for (let turn = 0; turn < TURNS; turn++) {
        await page.mouse.wheel(0, 120);
        await page.waitForTimeout(16);
      }
    }),
  );
  add(
    'scrolling by whole pages',
    await framesWhile(page, async () => {
      for (let turn = 0; turn < TURNS; turn++) {
        await page.mouse.wheel(0, 1200);
        await page.waitForTimeout(33);
      }
    }),
  );
  await page.getByRole('grid').focus();
  add(
    'the key ↓, thirty times a second',
    await framesWhile(page, async () => {
      for (let turn = 0; turn < KEYS; turn++) {
        await page.keyboard.press('ArrowDown');
        await page.waitForTimeout(33);
      }
    }),
  );
  add(
    'typing in the filter',
    await framesWhile(page, async () => {
      await page.getByLabel('with these words, also of its place').pressSequentially('rice ', { delay: 200 });
      await page.waitForTimeout(500);
    }),
  );
  await page.getByRole('grid').focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('Enter');
  await page.keyboard.type('7');
  add(
    'a count',
    await framesWhile(page, async () => {
      await page.keyboard.press('Enter');
      await page.waitForTimeout(2500);
    }),
  );
  table(`stock table of 10,000 things in 25,000 lots: frame (or in all), longest, later than ${LATE_MS} ms`, rows);
} finally {
  await browser.close();
  await server.stop();
}
