import {
  forbiddenShelves,
  groupThings,
  groupUses,
  HouseholdState,
  lotsWithin,
  placeBulky,
  plainRoom,
  planProblem,
  searchPlan,
  seededRandom,
  splitBulky,
  withLoose,
  type PlanProblem,
} from '@ours/core';
import { buildDemoHome } from '@ours/demo';
import { table } from './table';

const TODAY = '2026-11-26';
/** As many as the app tries. */
const TRIES = 6000;
const MOST_MS = 20_000;

/** A space in which so many bins are needed: three in each group, on shelves that carry some eight. */
function space(bins: number, seed: number): PlanProblem {
  const random = seededRandom(seed);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  const groups = Array.from({ length: Math.ceil(bins / 3) }, (_, at) => ({
    id: `g${at}`,
    name: `g${at}`,
    volumeMl: whole(5000, 60_000),
    grams: whole(500, 9000),
  }));
  const container = (containerId: string, width: number, depth: number, height: number, free: number) => ({
    containerId,
    widthTenthMm: width,
    depthTenthMm: depth,
    heightTenthMm: height,
    footShare: 1,
    stackPitchTenthMm: null,
    volumeMl: Math.round((width * depth * height) / 1.1e6),
    weightGrams: 800,
    maxLoadGrams: null,
    free,
    priceMinor: null,
    family: '',
  });
  const uses = [30, 4.3, 1, 0.3];
  return {
    shelves: Array.from({ length: Math.ceil(bins / 6) }, (_, at) => ({
      shelfId: `s${at}`,
      bottomTenthMm: (at % 5) * 4000,
      room: plainRoom(24_000, 4500, 3600),
      loadGrams: null,
      adjustable: false,
      inBody: true,
    })),
    holes: null,
    holeCount: 0,
    heightTenthMm: 20_000,
    containers: [
      container('large', 4200, 4400, 3200, bins),
      container('middle', 3200, 3800, 2200, bins),
      container('small', 2000, 3400, 1300, bins),
    ],
    groups,
    locked: [],
    budgetMinor: null,
    family: null,
    moveShelves: false,
    seed,
    handling: {
      footMm: 0,
      groups: Object.fromEntries(
        groups.map(({ id }) => [
          id,
          {
            uses: uses[whole(0, 3)]!,
            usesFrom: 'said' as const,
            who: [{ reachMm: 1900, steps: true, share: 1 }],
            largestMl: 0,
            pieceMl: null,
          },
        ]),
      ),
    },
  };
}

function measured(name: string, problem: PlanProblem): string[] {
  const start = performance.now();
  const search = searchPlan(problem);
  const first = performance.now() - start;
  let longest = 0;
  let tries = 0;
  for (let more = true; more && tries < TRIES && performance.now() - start < MOST_MS; tries++) {
    const before = performance.now();
    more = search.step(1);
    longest = Math.max(longest, performance.now() - before);
  }
  const { placed, price, boundMinutes } = search.best();
  const over = price!.groups.filter(({ bins, fewest }) => bins.length > fewest).length;
  return [
    name,
    String(problem.groups.length),
    String(placed.length),
    `${Math.round(first)} ms`,
    `${Math.round(performance.now() - start)} ms`,
    `${Math.round(longest)} ms`,
    `${(price!.sum - price!.left).toFixed(1)}${price!.left > 0 ? ` + ${price!.left.toFixed(0)}` : ''}`,
    `${(((price!.sum - boundMinutes!) / boundMinutes!) * 100).toFixed(1)} %`,
    String(over),
  ];
}

/** Plans of groups: how soon, how good, how far from the bound at most. */
export function benchPlans(): void {
  const state = new HouseholdState();
  for (const row of buildDemoHome(TODAY).rows) state.put(row);
  const spaces = ['Rack 1', 'Rack 2', 'Stair press', 'Pantry alcove', 'Porch freezer'].flatMap((name) => {
    const found = state.all('space').find((one) => one.name === name);
    if (!found) return [];
    const all = groupThings(state, lotsWithin(state, found.id), found.build?.school ?? 'order', TODAY);
    const { groups: things, bulky } = splitBulky(state, found, all, null);
    const built = planProblem(state, found.id, {
      containerIds: [],
      groups: things.map(({ id, volumeMl, grams, binIds }) => ({ id, name: id, volumeMl, grams, binIds })),
      uses: groupUses(state, things, TODAY),
      forbidden: forbiddenShelves(state, found.id, things),
      locked: [],
      budgetMinor: null,
      family: null,
      moveShelves: true,
      seed: 1,
    });
    if (!built) return [];
    const loose = placeBulky(state, found, built.problem, bulky);
    return [measured(name, withLoose(built.problem, loose))];
  });
  const random = [10, 60, 150, 500].map((bins) => measured(`${bins} bins`, space(bins, bins)));
  table('Plans of groups, minutes a month (+ what finds no room)', [
    [
      'space',
      'groups',
      'bins',
      'first answer',
      'all',
      'longest step',
      'minutes',
      'at most over the best',
      'over more bins',
    ],
    ...spaces,
    ...random,
  ]);
}
