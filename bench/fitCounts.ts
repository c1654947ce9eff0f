import {
  boxesOf,
  groundOf,
  OrderedPlan,
  fitContainer,
  plainRoom,
  searchPlan,
  seededRandom,
  settingNow,
  type Compartment,
  type PlanAnswer,
  type PlanContainer,
  type PlanProblem,
} from '@ours/core';
import { quantile, table } from './table';

type Whole = (least: number, most: number) => number;
const ROOMS = 300;
const SPACES = 200;
const ORDERS = 2000;

const wholeOf =
  (random: () => number): Whole =>
  (least, most) =>
    least + Math.floor(random() * (most - least + 1));

function randomRoom(random: () => number, whole: Whole): Compartment {
  const [width, depth, height] = [whole(4000, 11_000), whole(2500, 6000), whole(1500, 4000)];
  const room = plainRoom(width, depth, height);
  const pipe = {
    kind: 'pipe' as const,
    x: whole(0, width - 600),
    y: whole(0, depth - 600),
    width: 600,
    depth: 600,
    z: 0,
    height,
  };
  const opening = random() < 0.3 ? whole(Math.floor(width * 0.7), width) : width;
  return {
    ...room,
    obstacles: random() < 0.4 ? [pipe] : [],
    openingWidth: opening,
    openingLeft: Math.floor((width - opening) / 2),
  };
}

const boxOf = (whole: Whole, random: () => number) => {
  const height = whole(900, 3500);
  return {
    topWidthTenthMm: whole(600, 4500),
    topDepthTenthMm: whole(600, 4000),
    baseWidthTenthMm: null,
    baseDepthTenthMm: null,
    heightTenthMm: height,
    openHeightTenthMm: null,
    hasLid: false,
    stackPitchTenthMm: random() < 0.4 ? height : null,
  };
};

/** How long counting one kind of container in one room takes. */
function benchCounting(): void {
  const random = seededRandom(4);
  const whole = wholeOf(random);
  const samples = Array.from({ length: ROOMS }, () => {
    const [room, box] = [randomRoom(random, whole), boxOf(whole, random)];
    const started = performance.now();
    fitContainer(box, room);
    return performance.now() - started;
  });
  table('Counting one container in one room', [
    ['rooms', 'median ms', 'p95 ms', 'most ms'],
    [ROOMS, quantile(samples, 0.5), quantile(samples, 0.95), Math.max(...samples)],
  ]);
}

function randomSpace(run: number, withGroups: boolean): PlanProblem {
  const random = seededRandom(1000 + run);
  const whole = wholeOf(random);
  const shelves = Array.from({ length: whole(1, 4) }, (_, at) => ({
    shelfId: `s${at}`,
    bottomTenthMm: at * 4200,
    room: randomRoom(random, whole),
    loadGrams: null,
    adjustable: false,
    inBody: true,
  }));
  const containers = Array.from({ length: whole(3, 7) }, (_, at): PlanContainer => {
    const [w, d, h] = [whole(1200, 4500), whole(1200, 4000), whole(900, 3500)];
    const volumeMl = Math.round((w * d * h) / 1e6);
    return {
      containerId: `c${at}`,
      widthTenthMm: w,
      depthTenthMm: d,
      heightTenthMm: h,
      footShare: 1,
      stackPitchTenthMm: random() < 0.4 ? h : null,
      volumeMl,
      weightGrams: 500,
      maxLoadGrams: null,
      free: whole(1, 5),
      priceMinor: null,
      family: '',
    };
  });
  const total = containers.reduce((sum, { free, volumeMl }) => sum + free * volumeMl, 0);
  const groups = Array.from({ length: withGroups ? whole(2, 5) : 0 }, (_, at) => ({
    name: `g${at}`,
    volumeMl: Math.round(total * 0.2 * (0.5 + random())),
    grams: 0,
  }));
  const none = { holes: null, holeCount: 0, locked: [], budgetMinor: null, family: null, moveShelves: false };
  return { ...none, shelves, heightTenthMm: 17_000, containers, groups, seed: run + 1 };
}

/** The mix search beside random orders of single boxes, in the time that those take. */
function benchMix(): void {
  const rows: (string | number)[][] = [[`${SPACES} random spaces`, 'better', 'equal', 'worse', 'most behind %']];
  for (const withGroups of [false, true]) {
    let [better, equal, worse, behind] = [0, 0, 0, 0];
    for (let run = 0; run < SPACES; run++) {
      const problem = randomSpace(run, withGroups);
      const volumes = new Map(problem.containers.map(({ containerId, volumeMl }) => [containerId, volumeMl]));
      const worth = ({ left, placed }: PlanAnswer): number =>
        withGroups
          ? -left.reduce((sum, { volumeMl }) => sum + volumeMl, 0)
          : placed.reduce((sum, { containerId }) => sum + volumes.get(containerId)!, 0);
      const random = seededRandom(run + 77_777);
      const ground = groundOf(problem, settingNow(problem), new Map());
      const boxes = boxesOf(problem);
      const order = boxes.map((_, at) => at);
      let orders = -Infinity;
      const started = performance.now();
      for (let n = 0; n < ORDERS; n++) {
        for (let at = order.length - 1; at > 0; at--) {
          const other = Math.floor(random() * (at + 1));
          [order[at], order[other]] = [order[other]!, order[at]!];
        }
        const answer = new OrderedPlan(ground, boxes, order, random).answer();
        orders = Math.max(orders, worth(answer));
      }
      const until = performance.now() + (performance.now() - started);
      const search = searchPlan(problem);
      while (performance.now() < until && search.step(1));
      const own = worth(search.best());
      if (own > orders + 1) better++;
      else if (own > orders - 1) equal++;
      else worse++;
      behind = Math.max(behind, (100 * (orders - own)) / Math.max(1, Math.abs(orders)));
    }
    rows.push([withGroups ? 'volume of groups left over' : 'volume of boxes that stand', better, equal, worse, behind]);
  }
  table(`The mix search beside ${ORDERS} random orders in equal time`, rows);
}

export function benchFitCounts(): void {
  benchCounting();
  benchMix();
}
