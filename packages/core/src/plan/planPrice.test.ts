import highsLoader from 'highs';
import { seededRandom } from '../base/seededRandom';
import { plainRoom } from '../fit/spaceModel';
import { groundOf } from './filling';
import { searchGroups } from './groupSearch';
import { capacityMl } from './groupUse';
import { mixesOf, standsIn } from './mixes';
import {
  airMinutes,
  hiddenBy,
  moneyMinutes,
  pricedGroups,
  pricePlan,
  spreadMinutes,
  type PricedBin,
  type PricedShelf,
} from './planPrice';
import type { GroupUse, PlanContainer, PlanProblem } from './planTypes';
import { settingNow } from './shelfSettings';

const type = (
  containerId: string,
  sides: [number, number, number],
  more: Partial<PlanContainer> = {},
): PlanContainer => ({
  containerId,
  widthTenthMm: sides[0],
  depthTenthMm: sides[1],
  heightTenthMm: sides[2],
  footShare: 1,
  stackPitchTenthMm: null,
  volumeMl: Math.round((sides[0] * sides[1] * sides[2]) / 1e6),
  weightGrams: 500,
  maxLoadGrams: null,
  free: 3,
  priceMinor: null,
  family: '',
  ...more,
});
const use = (uses: number, more: Partial<GroupUse> = {}): GroupUse => ({
  uses,
  usesFrom: 'said',
  who: [{ reachMm: 1900, steps: true, share: 1 }],
  largestMl: 0,
  pieceMl: null,
  ...more,
});
const problem = (more: Partial<PlanProblem>): PlanProblem => ({
  shelves: [],
  holes: null,
  holeCount: 0,
  heightTenthMm: 20_000,
  containers: [],
  groups: [],
  locked: [],
  budgetMinor: null,
  family: null,
  moveShelves: false,
  seed: 1,
  ...more,
});
const shelfAt = (shelfId: string, bottomTenthMm: number, width: number, depth: number, height: number) => ({
  shelfId,
  bottomTenthMm,
  room: plainRoom(width, depth, height),
  loadGrams: null,
  adjustable: false,
  inBody: true,
});

describe('what a plan costs', () => {
  // Worked by hand from the constants; they are own defaults.
  it('hand-checked terms', () => {
    expect(airMinutes(61_200, 10_000)).toBeCloseTo(0.1558, 4);
    expect(airMinutes(7400, 2000)).toBeCloseTo(0.0157, 4);
    expect(spreadMinutes({ uses: 26 }, 0, 2)).toBeCloseTo(2.3167, 4);
    // One bought at 14.90 against one more owned bin: 0.1 and 3 s each taking; even at 47.7 takings a month.
    expect(moneyMinutes(1490) + 0.1).toBeCloseTo(2.583, 3);
    expect(2 * 0.1 + spreadMinutes({ uses: 47.66 }, 1, 1)).toBeCloseTo(moneyMinutes(1490) + 0.1, 2);
  });

  it('a bin in front hides the one behind it but not its neighbour; one on top is lifted off in a chest as well', () => {
    const body = (cx: number, cy: number, z = 0) => ({ cx, cy, z, degrees: 0, width: 1000, depth: 1000, height: 800 });
    const bins = [body(500, 500), body(500, 1500), body(1600, 1500), body(500, 500, 800)].map((standing) => ({
      shelfId: 's',
      standing,
    }));
    const shelf = (access: 'front' | 'top'): PricedShelf[] => [
      { shelfId: 's', bottomTenthMm: 0, movedHoles: 0, room: { height: 3000, access } },
    ];
    expect(hiddenBy(bins, shelf('front'))).toEqual([1, 2, 0, 0]);
    expect(hiddenBy(bins, shelf('top'))).toEqual([1, 0, 0, 0]);
  });

  it('a second, slow writing of it agrees on 3,000 random states', () => {
    const random = seededRandom(41);
    const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
    for (let run = 0; run < 3000; run++) {
      const shelves: PricedShelf[] = Array.from({ length: whole(1, 5) }, (_, at) => ({
        shelfId: `s${at}`,
        bottomTenthMm: whole(0, 19_000),
        movedHoles: whole(0, 1),
        room: { height: whole(2000, 5000), access: random() < 0.8 ? 'front' : 'top' },
      }));
      const types = Array.from({ length: 4 }, (_, at) =>
        type(`t${at}`, [whole(800, 5000), whole(800, 5000), whole(500, 3500)], {
          lid: random() < 0.4,
          weightGrams: whole(0, 3000),
          priceMinor: whole(0, 3000),
          maxLoadGrams: random() < 0.3 ? whole(100, 20_000) : null,
        }),
      );
      const groups = Array.from({ length: whole(1, 5) }, (_, at) => ({
        name: `g${at}`,
        volumeMl: whole(10, 90_000),
        grams: whole(0, 40_000),
      }));
      const handling = {
        footMm: whole(0, 1500),
        groups: Object.fromEntries(
          groups.map(({ name }) => [
            name,
            use(random() * 40, {
              who: [
                { reachMm: whole(900, 2300), steps: random() < 0.5, share: 0.25 },
                { reachMm: whole(900, 2300), steps: random() < 0.5, share: 0.75 },
              ],
              largestMl: random() < 0.5 ? 0 : whole(1, 12_000),
              pieceMl: random() < 0.3 ? whole(100, 9000) : null,
            }),
          ]),
        ),
      };
      const given = problem({ containers: types, groups, handling });
      const bins: PricedBin[] = Array.from({ length: whole(0, 12) }, () => {
        const one = types[whole(0, 3)]!;
        return {
          type: one,
          shelfId: shelves[whole(0, shelves.length - 1)]!.shelfId,
          standing: {
            cx: whole(0, 9000),
            cy: whole(0, 5000),
            z: random() < 0.2 ? 1000 : 0,
            degrees: 0,
            width: one.widthTenthMm,
            depth: one.depthTenthMm,
            height: one.heightTenthMm,
          },
          group: random() < 0.1 ? null : `g${whole(0, groups.length - 1)}`,
          buy: random() < 0.3,
        };
      });
      const fewest = groups.map(() => whole(0, 3));
      const price = pricePlan(given, pricedGroups(given, fewest), bins, shelves);
      expect(Math.abs(price.sum - slowly(given, fewest, bins, shelves))).toBeLessThan(1e-9);
    }
  });
});

/** The price of a plan, written from the definition term by term, with no helper of the other writing. */
function slowly(given: PlanProblem, fewest: number[], bins: PricedBin[], shelves: PricedShelf[]): number {
  let minutes = 0;
  for (const shelf of shelves) if (shelf.movedHoles !== 0) minutes += 6 / 12;
  for (const bin of bins) if (bin.buy) minutes += (bin.type.priceMinor! / 100) * (2 / 12);
  given.groups.forEach((group, g) => {
    const { uses, who, largestMl, pieceMl } = given.handling!.groups[group.name]!;
    minutes += (uses * (8 + 3 * 1.08)) / 60;
    const own = bins.filter((bin) => bin.group === group.name);
    const density = group.grams / group.volumeMl;
    const holds = own.map(({ type: t }) => {
      const side = Math.min(t.widthTenthMm, t.depthTenthMm, t.heightTenthMm) / 100;
      if (largestMl > t.volumeMl || side < 0.8 * Math.cbrt(largestMl)) return 0;
      let ml = 0.8 * t.volumeMl;
      if (t.maxLoadGrams !== null && density > 0) ml = Math.min(ml, t.maxLoadGrams / density);
      if (pieceMl === null) return ml;
      let pieces = Math.floor(ml / pieceMl + 1e-6);
      const bearsOne = t.maxLoadGrams === null || density === 0 || pieceMl * density <= t.maxLoadGrams + 1e-9;
      if (pieces === 0 && pieceMl <= t.volumeMl && bearsOne) pieces = 1;
      return pieces * pieceMl;
    });
    const all = holds.reduce((sum, ml) => sum + ml, 0);
    const housed = Math.min(all, group.volumeMl);
    if (group.volumeMl - all > 0.5) minutes += 20 + (5 * (group.volumeMl - all)) / 1000;
    own.forEach((bin, nth) => {
      const shelf = shelves.find(({ shelfId }) => shelfId === bin.shelfId)!;
      const content = all === 0 ? 0 : (holds[nth]! * housed) / all;
      const share = content / group.volumeMl;
      const grip = given.handling!.footMm + (shelf.bottomTenthMm + bin.standing.z + bin.type.heightTenthMm / 2) / 10;
      let seconds = 0;
      for (const { reachMm: R, steps, share: part } of who) {
        if (grip > R) seconds += part * (steps ? 14 : 30);
        else if (grip > 0.7 * R) seconds += part;
        else if (grip < 0.2 * R) seconds += part * 5.3;
        else if (grip < 0.44 * R) seconds += part * 2.2;
      }
      if (bin.type.lid) seconds += 2;
      const gap = (shelf.room.height - bin.standing.z - bin.type.heightTenthMm) / 10;
      if (shelf.room.access === 'front' && (bin.type.lid || gap < 100)) seconds += 2;
      for (const other of bins) {
        if (other === bin || other.shelfId !== bin.shelfId) continue;
        const [a, b] = [bin.standing, other.standing];
        const across =
          Math.min(a.cx + a.width / 2, b.cx + b.width / 2) - Math.max(a.cx - a.width / 2, b.cx - b.width / 2);
        if (across <= 50) continue;
        const deep =
          Math.min(a.cy + a.depth / 2, b.cy + b.depth / 2) - Math.max(a.cy - a.depth / 2, b.cy - b.depth / 2);
        const above = b.z > a.z && deep > 50;
        const before =
          shelf.room.access === 'front' && b.cy + b.depth / 2 <= a.cy - a.depth / 2 + 50 && b.z + b.height > a.z;
        if (above || before) seconds += 5;
      }
      const kg = (bin.type.weightGrams + content * density) / 1000;
      minutes += (seconds * share * uses) / 60;
      minutes += 0.01 * kg * (grip / 1000) + 0.2 * Math.max(0, kg - 5) * Math.max(0, grip / 1000 - 0.8);
      minutes += 0.1 + 0.004 * Math.max(0, (0.8 * bin.type.volumeMl - content) / 1000);
    });
    minutes += (3 * uses * Math.max(0, own.length - fewest[g]!)) / 60;
    const on = new Set(own.map(({ shelfId }) => shelfId)).size;
    minutes += Math.max(0, on - 1) * (0.15 + (5 * uses) / 60);
  });
  return minutes;
}

describe('what goes into a container', () => {
  // A life jacket of 12 l: a cube of 229 mm; through the narrowest 0.8 of it, 183 mm.
  const jackets = { largestMl: 12_000, pieceMl: null };
  it.each([
    ['a shoe box', type('shoe', [3500, 2000, 1300]), 0],
    ['a flat box', type('flat', [6000, 4000, 1800]), 0],
    ['a crate', type('crate', [5200, 4400, 3000]), 0.8 * 68_640],
  ])('bulky things and %s', (_, container, ml) => expect(capacityMl(container, jackets, 0)).toBeCloseTo(ml, 6));
  it('whole pieces, one large one alone, and no more than its load', () => {
    const crate = type('crate', [5000, 4000, 3000]);
    expect(capacityMl(crate, { largestMl: 7000, pieceMl: 7000 }, 0)).toBe(42_000);
    expect(capacityMl(crate, { largestMl: 55_000, pieceMl: 55_000 }, 0)).toBe(0);
    const cube = type('cube', [4000, 4000, 4000]);
    expect(capacityMl(cube, { largestMl: 60_000, pieceMl: 60_000 }, 0)).toBe(60_000);
    expect(capacityMl({ ...crate, maxLoadGrams: 10_000 }, { largestMl: 0, pieceMl: null }, 1)).toBe(10_000);
  });
});

describe('plans for groups', () => {
  const big = type('big', [5200, 4400, 3000], { free: 2 });
  const shoe = type('shoe', [3500, 2000, 1300], { free: 9 });
  it('a bulky group stays together in the fewest bins, in none that it does not go into', () => {
    const given = problem({
      shelves: [shelfAt('low', 4000, 12_000, 4500, 3500), shelfAt('high', 9000, 12_000, 4500, 3500)],
      containers: [shoe, big],
      groups: [
        { name: 'jackets', volumeMl: 72_000, grams: 5400 },
        { name: 'whistles', volumeMl: 1500, grams: 200 },
      ],
      handling: { footMm: 0, groups: { jackets: use(1, { largestMl: 12_000 }), whistles: use(1) } },
    });
    const search = searchGroups(given);
    search.step(300);
    const { placed, price } = search.best();
    const jackets = placed.filter(({ group }) => group === 'jackets');
    expect(jackets.map(({ containerId }) => containerId)).toEqual(['big', 'big']);
    expect(new Set(jackets.map(({ shelfId }) => shelfId)).size).toBe(1);
    expect(price!.groups[0]).toMatchObject({ fewest: 2, shelves: 1, leftMl: 0 });
  });
  it('what is taken every day stands at the better height', () => {
    const given = problem({
      shelves: [shelfAt('floor', 0, 2600, 4500, 3500), shelfAt('eye', 11_000, 2600, 4500, 3500)],
      containers: [type('box', [2500, 4400, 1500], { free: 2 })],
      groups: ['seldom', 'daily'].map((name) => ({ name, volumeMl: 5000, grams: 0 })),
      handling: { footMm: 0, groups: { seldom: use(0.3), daily: use(30) } },
    });
    const search = searchGroups(given);
    search.step(200);
    const at = new Map(search.best().placed.map(({ group, shelfId }) => [group, shelfId]));
    expect([at.get('daily'), at.get('seldom')]).toEqual(['eye', 'floor']);
  });
  it('says that nothing is better only where it meets the bound', () => {
    const one = problem({
      shelves: [shelfAt('eye', 9000, 6000, 4500, 4000)],
      containers: [type('box', [2500, 4400, 1500])],
      groups: [{ name: 'tins', volumeMl: 9000, grams: 2000 }],
    });
    const alone = searchGroups(one);
    expect(alone.step(10)).toBe(false);
    expect(alone.best()).toMatchObject({ provenBest: true, left: [] });
    expect(alone.best().price!.sum).toBeCloseTo(alone.best().boundMinutes!, 9);
    // Two that want the same place: one has to give way, and the bound does not know it.
    const narrow = { ...one, shelves: [shelfAt('eye', 9000, 2600, 4500, 4000), shelfAt('floor', 0, 2600, 4500, 4000)] };
    const groups = ['a', 'b'].map((name) => ({ name, volumeMl: 9000, grams: 2000 }));
    const two = searchGroups({ ...narrow, groups });
    expect(two.step(50)).toBe(true);
    expect(two.best().provenBest).toBe(false);
    expect(two.best().price!.sum).toBeGreaterThan(two.best().boundMinutes!);
  });
});

/** A row of one bin after the other, each group in one bin: which type on which shelf, by an exact solver (HiGHS). */
async function leastOf(given: PlanProblem, cost: (g: number, t: number, s: number) => number): Promise<number> {
  const highs = await highsLoader();
  const terms: string[] = [];
  const rows: string[] = [];
  const names: string[] = [];
  const each = <T>(count: number, of: (at: number) => T): T[] => Array.from({ length: count }, (_, at) => of(at));
  const [G, T, S] = [given.groups.length, given.containers.length, given.shelves.length];
  for (let g = 0; g < G; g++)
    for (let t = 0; t < T; t++)
      for (let s = 0; s < S; s++) {
        names.push(`x${g}_${t}_${s}`);
        terms.push(`${cost(g, t, s)} x${g}_${t}_${s}`);
      }
  for (let g = 0; g < G; g++)
    rows.push(`g${g}: ${each(T, (t) => each(S, (s) => `x${g}_${t}_${s}`).join(' + ')).join(' + ')} = 1`);
  given.containers.forEach((one, t) =>
    rows.push(`f${t}: ${each(G, (g) => each(S, (s) => `x${g}_${t}_${s}`).join(' + ')).join(' + ')} <= ${one.free}`),
  );
  given.shelves.forEach(({ room }, s) =>
    rows.push(
      `w${s}: ${each(G, (g) => given.containers.map((one, t) => `${one.widthTenthMm} x${g}_${t}_${s}`).join(' + ')).join(' + ')} <= ${room.width}`,
    ),
  );
  const solved = highs.solve(
    `Minimize\n obj: ${terms.join(' + ')}\nSubject To\n ${rows.join('\n ')}\nBinary\n ${names.join(' ')}\nEnd\n`,
    { mip_rel_gap: 0 },
  );
  return solved.Status === 'Optimal' ? solved.ObjectiveValue : Infinity;
}

it('small spaces: what an exact solver finds, on 200 of them; the bound is never above it', async () => {
  const DEPTH = 2400;
  const random = seededRandom(73);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  let solved = 0;
  for (let run = 0; solved < 200; run++) {
    const containers = Array.from({ length: whole(2, 3) }, (_, at) =>
      type(`t${at}`, [whole(1000, 2300), DEPTH, whole(1200, 2500)], { lid: random() < 0.5, free: whole(2, 6) }),
    );
    const least = Math.min(...containers.map(({ volumeMl }) => volumeMl)) * 0.8;
    const groups = Array.from({ length: whole(2, 8) }, (_, at) => ({
      name: `g${at}`,
      volumeMl: whole(500, Math.floor(least)),
      grams: 0,
    }));
    const shelves = Array.from({ length: whole(2, 5) }, (_, at) =>
      shelfAt(`s${at}`, at * 4000, whole(2400, 7000), DEPTH, 3800),
    );
    const handling = {
      footMm: 0,
      groups: Object.fromEntries(groups.map(({ name }) => [name, use([30, 4.3, 1, 0.3][whole(0, 3)]!)])),
    };
    const given = problem({ shelves, containers, groups, handling, seed: run });
    const priced: PricedShelf[] = shelves.map((shelf) => ({ ...shelf, movedHoles: 0 }));
    const ones = groups.map(() => 1);
    const cost = (g: number, t: number, s: number): number => {
      const one = containers[t]!;
      const standing = {
        cx: one.widthTenthMm / 2,
        cy: DEPTH / 2,
        z: 0,
        degrees: 0,
        width: one.widthTenthMm,
        depth: DEPTH,
        height: one.heightTenthMm,
      };
      const bin = { type: one, shelfId: `s${s}`, standing, group: `g${g}`, buy: false };
      return slowly({ ...given, groups: [groups[g]!] }, [ones[g]!], [bin], priced);
    };
    const optimum = await leastOf(given, cost);
    if (optimum === Infinity) continue;
    solved++;
    const search = searchGroups(given);
    for (let tries = 0; tries < 40 && search.best().price!.sum > optimum + 1e-6; tries++) search.step(100);
    expect(search.best().left).toEqual([]);
    expect(search.best().price!.sum).toBeCloseTo(optimum, 6);
    expect(search.best().boundMinutes!).toBeLessThanOrEqual(optimum + 1e-6);
  }
}, 60_000);

it('the bound holds against every plan that is found, on random spaces; the fewest bins are the fewest of all ways', () => {
  const random = seededRandom(97);
  const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
  for (let run = 0; run < 150; run++) {
    const containers = Array.from({ length: whole(1, 4) }, (_, at) =>
      type(`t${at}`, [whole(1000, 5000), whole(1000, 4500), whole(800, 3300)], {
        free: whole(0, 4),
        priceMinor: random() < 0.4 ? whole(100, 2000) : null,
        lid: random() < 0.5,
      }),
    );
    const groups = Array.from({ length: whole(1, 5) }, (_, at) => ({
      name: `g${at}`,
      volumeMl: whole(500, 70_000),
      grams: whole(0, 30_000),
    }));
    const given = problem({
      shelves: Array.from({ length: whole(1, 4) }, (_, at) =>
        shelfAt(`s${at}`, at * 4000, whole(4000, 12_000), whole(2500, 6000), 3600),
      ),
      containers,
      groups,
      budgetMinor: random() < 0.5 ? whole(0, 6000) : null,
      seed: run,
    });
    const search = searchGroups(given);
    search.step(40);
    const { price, boundMinutes } = search.best();
    expect(boundMinutes!).toBeLessThanOrEqual(price!.sum + 1e-9);
    for (const own of price!.groups)
      if (own.leftMl === 0 && own.bins.length > 0) expect(own.bins.length).toBeGreaterThanOrEqual(own.fewest);
    const ground = groundOf(given, settingNow(given), new Map());
    const bare = pricedGroups(
      given,
      groups.map(() => 0),
    );
    bare.forEach((group) => {
      const { list, fewest } = mixesOf(ground, group, standsIn(ground, false), false);
      for (const { types } of list) expect(types.length).toBeGreaterThanOrEqual(fewest);
    });
  }
});
