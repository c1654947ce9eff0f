import highsLoader from 'highs';
import { boxesOf, OrderedPlan } from './buildPlan';
import { groundOf } from './filling';
import { searchPlan } from './planSpace';
import { type PlanAnswer, type PlanContainer, type PlanProblem } from './planTypes';
import { seededRandom } from '../base/seededRandom';
import { settingNow } from './shelfSettings';
import { plainRoom } from '../fit/spaceModel';

type Whole = (least: number, most: number) => number;

function randomSpace(seed: number, sizes: (whole: Whole) => { shelf: [number, number, number]; box: () => number[] }) {
  const random = seededRandom(seed);
  const whole: Whole = (least, most) => least + Math.floor(random() * (most - least + 1));
  const shelves = Array.from({ length: whole(1, 3) }, (_, at) => ({
    shelfId: `s${at}`,
    bottomTenthMm: at * 4200,
    room: plainRoom(...sizes(whole).shelf),
    loadGrams: null,
    adjustable: false,
    inBody: true,
  }));
  const containers = Array.from({ length: whole(3, 6) }, (_, at): PlanContainer => {
    const [w, d, h] = sizes(whole).box() as [number, number, number];
    return {
      containerId: `c${at}`,
      widthTenthMm: w,
      depthTenthMm: d,
      heightTenthMm: h,
      footShare: 1,
      stackPitchTenthMm: null,
      volumeMl: Math.round((w * d * h) / 1e6),
      weightGrams: 500,
      maxLoadGrams: null,
      free: whole(1, 4),
      priceMinor: null,
      family: '',
    };
  });
  const none = { holes: null, holeCount: 0, groups: [], locked: [], budgetMinor: null, family: null };
  const problem: PlanProblem = { ...none, shelves, heightTenthMm: 17_000, containers, moveShelves: false, seed };
  const volumes = new Map(containers.map(({ containerId, volumeMl }) => [containerId, volumeMl]));
  const worth = ({ placed }: PlanAnswer): number =>
    placed.reduce((sum, { containerId }) => sum + volumes.get(containerId)!, 0);
  return { problem, worth };
}

it('boxes in single rows: the exact solver finds nothing better, on 60 spaces', async () => {
  const highs = await highsLoader();
  const DEPTH = 2400;
  for (let run = 0; run < 60; run++) {
    const { problem, worth } = randomSpace(500 + run, (whole) => ({
      shelf: [whole(6000, 12_000), DEPTH, 3000],
      box: () => [whole(1250, 4000), whole(1250, DEPTH), whole(900, 2900)],
    }));
    const { containers, shelves } = problem;
    const name = (i: number, j: number): string => `x${i}_${j}`;
    // The way round that takes less width, if it is no deeper than the shelf.
    const use = containers.map(({ widthTenthMm: w, depthTenthMm: d }) => (w <= DEPTH ? Math.min(w, d) : w));
    const sum = (terms: string[]): string => terms.join(' + ');
    const model = [
      `Maximize\n obj: ${sum(containers.flatMap((one, i) => shelves.map((_, j) => `${one.volumeMl} ${name(i, j)}`)))}`,
      'Subject To',
      ...containers.map((one, i) => ` f${i}: ${sum(shelves.map((_, j) => name(i, j)))} <= ${one.free}`),
      ...shelves.map(
        (s, j) => ` w${j}: ${sum(containers.map((_, i) => `${use[i]} ${name(i, j)}`))} <= ${s.room.width}`,
      ),
      `General\n ${containers.flatMap((_, i) => shelves.map((__, j) => name(i, j))).join(' ')}`,
      'End',
    ].join('\n');
    const search = searchPlan(problem);
    search.step(60);
    expect(worth(search.best())).toBe(Math.round(highs.solve(model).ObjectiveValue));
  }
});

it('is seldom beaten by as many random orders of single boxes, and then by little', () => {
  let worse = 0;
  for (let run = 0; run < 40; run++) {
    const { problem, worth } = randomSpace(900 + run, (whole) => ({
      shelf: [whole(5000, 11_000), whole(2500, 5000), whole(1500, 4000)],
      box: () => [whole(1200, 4500), whole(1200, 4000), whole(900, 3500)],
    }));
    const ground = groundOf(problem, settingNow(problem), new Map());
    const boxes = boxesOf(problem);
    const random = seededRandom(run);
    let orders = 0;
    for (let n = 0; n < 300; n++) {
      const order = boxes.map((_, at) => ({ at, key: random() })).sort((a, b) => a.key - b.key);
      const indices = order.map(({ at }) => at);
      const answer = new OrderedPlan(ground, boxes, indices, random).answer();
      orders = Math.max(orders, worth(answer));
    }
    const search = searchPlan(problem);
    search.step(300);
    const own = worth(search.best());
    if (own < orders - 1) worse++;
    expect(own).toBeGreaterThanOrEqual(orders * 0.97);
  }
  expect(worse).toBeLessThanOrEqual(2);
});
