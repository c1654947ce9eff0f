import { chromium } from '@playwright/test';
import {
  packInOrder,
  plainRoom,
  searchPacking,
  searchPlan,
  seededRandom,
  type PackPiece,
  type PlanProblem,
} from '@ours/core';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { HomeServer } from '../e2e/HomeServer';
import { launchOptions } from '../e2e/launchOptions';
import { quantile, table } from './table';

const SHELVES = 1000;
const TRIES = 150;

interface Shelf {
  width: number;
  depth: number;
  post: number;
  pieces: PackPiece[];
}

function randomShelves(posts: boolean): Shelf[] {
  const random = seededRandom(posts ? 2 : 1);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  return Array.from({ length: SHELVES }, () => {
    const [width, depth] = [whole(600, 1800), whole(300, 600)];
    const kinds = Array.from({ length: whole(2, 4) }, () => [whole(100, 450), whole(100, 400)] as const);
    const pieces = Array.from({ length: whole(8, 24) }, () => {
      const [w, d] = kinds[whole(0, kinds.length - 1)]!;
      return { width: w, depth: d, value: w * d, mayTurn: true };
    });
    return { width, depth, post: posts ? whole(25, 45) : 0, pieces };
  });
}

/** Containers that stand and area that stays free, beside the general package; it knows no posts and gets the part between them. */
function benchPacking(): void {
  const rows: (string | number)[][] = [
    ['1,000 random shelves', 'placed', 'free area %', 'ms a shelf', 'placed / package'],
  ];
  for (const posts of [false, true]) {
    const shelves = randomShelves(posts);
    const measure = (pack: (shelf: Shelf) => { width: number; depth: number }[]) => {
      let [placed, used, floor] = [0, 0, 0];
      const started = performance.now();
      for (const shelf of shelves) {
        const packed = pack(shelf);
        placed += packed.length;
        used += packed.reduce((sum, one) => sum + one.width * one.depth, 0);
        floor += shelf.width * shelf.depth;
      }
      return { placed, free: 100 * (1 - used / floor), ms: (performance.now() - started) / shelves.length };
    };
    const obstacles = ({ width, depth, post }: Shelf) =>
      post === 0
        ? []
        : [0, width - post].flatMap((x) => [0, depth - post].map((y) => ({ x, y, width: post, depth: post })));
    const byPackage = measure(({ width, depth, post, pieces }) => {
      const packer = new MaxRectsPacker(width - 2 * post, depth, 0, {
        smart: false,
        pot: false,
        square: false,
        allowRotation: true,
      });
      packer.addArray(pieces.map((piece) => ({ x: 0, y: 0, width: piece.width, height: piece.depth })) as never);
      return packer.bins[0]!.rects.map((rect) => ({ width: rect.width, depth: rect.height }));
    });
    const once = measure((shelf) => {
      const order = shelf.pieces.map((_, at) => at).sort((a, b) => shelf.pieces[b]!.value - shelf.pieces[a]!.value);
      return packInOrder(shelf.width, shelf.depth, shelf.pieces, order, obstacles(shelf));
    });
    const searched = measure((shelf) => {
      const search = searchPacking(shelf.width, shelf.depth, shelf.pieces, obstacles(shelf), seededRandom(1));
      search.step(TRIES);
      return search.best().packed;
    });
    const name = posts ? 'with posts' : 'without posts';
    for (const [how, result] of [
      ['maxrects-packer', byPackage],
      ['ours, one order', once],
      [`ours, ${TRIES} orders`, searched],
    ] as const)
      rows.push([`${name}, ${how}`, result.placed, result.free, result.ms, result.placed / byPackage.placed]);
  }
  table('Containers on shelves', rows);
}

/** Too little room for all groups, so that the search goes on to its end. */
function crowded(containers: number): PlanProblem {
  const random = seededRandom(containers);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const shelves = Math.max(2, Math.round(containers / 8));
  return {
    shelves: Array.from({ length: shelves }, (_, at) => ({
      shelfId: `s${at}`,
      bottomTenthMm: 200 + at * 3500,
      room: plainRoom(12_000, 4500, 3300),
      loadGrams: null,
      adjustable: true,
      inBody: true,
    })),
    holes: { pitch: 250, firstHole: 20, board: 180 },
    holeCount: Math.floor((shelves * 3500) / 250),
    heightTenthMm: shelves * 3500,
    containers: Array.from({ length: 6 }, (_, at) => {
      const [w, d, h] = [whole(1500, 5000), whole(1500, 4400), whole(1000, 3200)];
      return {
        containerId: `c${at}`,
        widthTenthMm: w,
        depthTenthMm: d,
        heightTenthMm: h,
        footShare: 1,
        stackPitchTenthMm: at % 2 === 0 ? h : null,
        volumeMl: Math.round((w * d * h) / 1e6),
        weightGrams: 800,
        maxLoadGrams: null,
        free: Math.ceil(containers / 4),
        priceMinor: 500 + at * 100,
        family: '',
      };
    }),
    groups: Array.from({ length: Math.round(containers / 2) }, (_, at) => ({
      name: `g${at}`,
      volumeMl: whole(20_000, 90_000),
      grams: 3000,
    })),
    locked: [],
    budgetMinor: 20_000,
    family: null,
    moveShelves: true,
    seed: 1,
  };
}

function benchPlans(): void {
  const rows: (string | number)[][] = [
    ['containers', 'placed', 'first ms', 'left over, first', 'best after ms', 'left over, best', 'best / first'],
  ];
  for (const containers of [10, 40, 150]) {
    const problem = crowded(containers);
    const left = (answer: { left: { volumeMl: number }[] }): number =>
      answer.left.reduce((sum, one) => sum + one.volumeMl, 0);
    const started = performance.now();
    const search = searchPlan(problem);
    const first = performance.now() - started;
    const firstLeft = left(search.best());
    let [seen, bestAt] = [search.version(), first];
    for (let tries = 0; tries < 1200; tries++) {
      if (!search.step(1)) break;
      if (search.version() > seen) [seen, bestAt] = [search.version(), performance.now() - started];
    }
    const bestLeft = left(search.best());
    rows.push([
      containers,
      search.best().placed.length,
      first,
      `${Math.round(firstLeft / 1000)} l`,
      bestAt,
      `${Math.round(bestLeft / 1000)} l`,
      firstLeft === 0 ? 1 : bestLeft / firstLeft,
    ]);
  }
  table('A whole space planned, 1,200 ways tried, shelves movable', rows);
}

/** The longest time between two frames while the worker solves, beside the longest while nothing is done. */
async function benchInterface(): Promise<void> {
  const server = await HomeServer.create();
  const browser = await chromium.launch(launchOptions);
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Open the demo home' }).click();
  await page.getByText('All saved ✓').first().waitFor();
  await page.getByRole('link', { name: 'Nooks' }).click();
  await page.getByRole('link', { name: 'Stair press' }).click();
  await page.getByRole('button', { name: 'Plan' }).click();
  await page.getByRole('radio', { name: 'Frost' }).click();
  const frames = (): Promise<number[]> =>
    page.evaluate(`new Promise((done) => {
      const gaps = [];
      const until = performance.now() + 3000;
      let last = performance.now();
      const next = () => {
        const now = performance.now();
        gaps.push(now - last);
        last = now;
        if (now < until) requestAnimationFrame(next);
        else done(gaps);
      };
      requestAnimationFrame(next);
    })`);
  const idle = await frames();
  const solving = frames();
  await page.getByRole('button', { name: 'Find the best mix' }).click();
  const busy = await solving;
  const row = (name: string, gaps: number[]): (string | number)[] => [
    name,
    quantile(gaps, 0.5),
    quantile(gaps, 0.99),
    Math.max(...gaps),
  ];
  table('Between two frames on the interface thread, ms', [
    ['3 seconds of', 'median', 'p99', 'longest'],
    row('nothing', idle),
    row('pressing Find and solving', busy),
  ]);
  await browser.close();
  await server.stop();
}

export async function benchFit(): Promise<void> {
  benchPacking();
  benchPlans();
  await benchInterface();
}
