/**
 * The table of stock in the built app in Chromium, over a home of 10,000 things in 25,000 lots: how long until it is there, which frames
 * are late while one scrolls and while a key is held, and how long the page does not answer after a count and a filter. Beside it a bare list
 * of rows of texts, with nothing of the app: what this browser on this machine makes of the same turns of the wheel.
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
/** Turns of the wheel, one after the other. */
async function turnTheWheel(page: Page, px: number, ms: number): Promise<void> {
  for (let turn = 0; turn < TURNS; turn++) {
    await page.mouse.wheel(0, px);
    await page.waitForTimeout(ms);
  }
}

/** A list of as many rows with ten texts each, of which those in sight are written anew; by the means of the browser alone. */
function bareList(): void {
  document.body.innerHTML =
    '<style>body{margin:0;font:16px sans-serif}.row{position:absolute;left:0;right:0;height:42px;display:flex;contain:strict}.row span{width:120px}</style><div id="view" style="height:650px;overflow:auto"><div id="rows" style="height:1050000px;position:relative"></div></div>';
  const view = document.getElementById('view')!;
  const rows = Array.from({ length: 24 }, () => {
    const row = document.createElement('div');
    row.className = 'row';
    for (let cell = 0; cell < 10; cell++) row.append(document.createElement('span'));
    document.getElementById('rows')!.append(row);
    return row;
  });
  const draw = (): void => {
    const first = Math.max(0, Math.floor(view.scrollTop / 42) - 4);
    for (let at = first; at < first + rows.length; at++) {
      const row = rows[at % rows.length]!;
      if (row.title === String(at)) continue;
      row.title = String(at);
      row.style.top = `${at * 42}px`;
      for (const [cell, span] of Array.from(row.children).entries()) span.textContent = `cell ${cell} of ${at}`;
    }
  };
  view.addEventListener('scroll', draw);
  draw();
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
  // What still comes of the one thing is not counted with the next.
  const rest = (): Promise<void> => page.waitForTimeout(2000);
  const [wheel, pages] = [
    [120, 16],
    [1200, 33],
  ] as const;
  add('scrolling by the wheel, 120 px at a time', await framesWhile(page, () => turnTheWheel(page, ...wheel)));
  await rest();
  add('scrolling by whole pages', await framesWhile(page, () => turnTheWheel(page, ...pages)));
  await page.getByRole('grid').focus();
  await page.keyboard.press('ArrowDown');
  await rest();
  add(
    'the key ↓, thirty times a second',
    await framesWhile(page, async () => {
      for (let turn = 0; turn < KEYS; turn++) {
        await page.keyboard.press('ArrowDown');
        await page.waitForTimeout(33);
      }
    }),
  );
  await rest();
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
  const bare = await context.newPage();
  await bare.evaluate(bareList);
  await bare.mouse.move(600, 300);
  await bare.waitForTimeout(1000);
  add('a bare list, by the wheel', await framesWhile(bare, () => turnTheWheel(bare, ...wheel)));
  await bare.waitForTimeout(2000);
  add('a bare list, by whole pages', await framesWhile(bare, () => turnTheWheel(bare, ...pages)));
  table(`stock table of 10,000 things in 25,000 lots: frame (or in all), longest, later than ${LATE_MS} ms`, rows);
} finally {
  await browser.close();
  await server.stop();
}
