import highsLoader from 'highs';
import { seededRandom } from '../base/seededRandom';
import { groundOf } from './filling';
import { searchGroups } from './groupSearch';
import { mixesOf, standsIn } from './mixes';
import { pricedGroups, type PricedShelf } from './planPrice';
import { problem, shelfAt, slowly, type, use } from './planPrice.test-support';
import type { PlanProblem } from './planTypes';
import { settingNow } from './shelfSettings';

describe('plans for groups', () => {
  it('a group never stands where the shelf is for something else, whatever it costs', () => {
    const random = seededRandom(19);
    for (let run = 0; run < 12; run++) {
      const ids = ['a', 'b', 'c', 'd'];
      const given = problem({
        shelves: ['low', 'middle', 'high'].map((id, at) => shelfAt(id, 500 + at * 5000, 9000, 4500, 4000)),
        containers: [type('box', [3000, 4000, 2500], { free: 12, stackPitchTenthMm: 1400 })],
        groups: ids.map((id) => ({ name: id, id, volumeMl: 12_000 + Math.round(random() * 30_000), grams: 4000 })),
        handling: { footMm: 0, groups: Object.fromEntries(ids.map((id) => [id, use(1 + 9 * random())])) },
        forbidden: { a: ['middle'], b: ['low', 'middle'], c: ['low', 'middle', 'high'] },
        seed: run + 1,
      });
      const search = searchGroups(given);
      search.step(200);
      const { placed, left } = search.best();
      for (const { group, shelfId } of placed) expect(given.forbidden![group!] ?? []).not.toContain(shelfId);
      expect(placed.some(({ group }) => group === 'd')).toBe(true);
      expect(left.map(({ group }) => group)).toContain('c');
    }
  });
  it('nothing is put on what breaks, unless a lid bears it', () => {
    for (const lid of [false, true]) {
      const given = problem({
        // Room for one on the floor and one on top of it.
        shelves: [shelfAt('only', 8000, 3200, 4200, 5600)],
        containers: [type('box', [3000, 4000, 2500], { free: 2, stackPitchTenthMm: 2600, lid })],
        groups: ['glass', 'cloth'].map((id) => ({ name: id, id, volumeMl: 10_000, grams: 3000 })),
        handling: { footMm: 0, groups: { glass: use(9, { fragile: true }), cloth: use(1) } },
      });
      const search = searchGroups(given);
      search.step(200);
      const { placed } = search.best();
      const glass = placed.find(({ group }) => group === 'glass');
      const below = placed.find(({ liftTenthMm }) => liftTenthMm === 0);
      // Two stand in either case; without lids the glass is on top.
      expect(placed).toHaveLength(2);
      if (!lid) expect([glass?.liftTenthMm, below?.group]).toEqual([2600, 'cloth']);
    }
  });
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
  it('a space that is right is left as it is; what is not is moved all the same', () => {
    const given = problem({
      shelves: [shelfAt('low', 4000, 6000, 4500, 3500), shelfAt('eye', 11_000, 6000, 4500, 3500)],
      containers: [type('box', [2500, 4400, 1500], { free: 4 }), type('case', [2600, 4300, 1500], { free: 4 })],
      groups: ['a', 'b'].map((name) => ({ name, volumeMl: 5000, grams: 0 })),
    });
    // Taken so seldom that it is not worth carrying anything for it.
    const now = [{ containerId: 'case', shelfId: 'low' }];
    const kept = { footMm: 0, groups: { a: use(0.3, { now }), b: use(0.3, { now }) } };
    const search = searchGroups({ ...given, handling: kept });
    search.step(300);
    expect(search.best().price!.groups.map(({ moved }) => moved)).toEqual([0, 0]);
    expect(search.best().placed.map(({ containerId, shelfId }) => `${containerId} ${shelfId}`)).toEqual([
      'case low',
      'case low',
    ]);
    const daily = { footMm: 0, groups: { a: use(30, { now }), b: use(0.3, { now }) } };
    const better = searchGroups({ ...given, handling: daily });
    better.step(300);
    expect(better.best().price!.groups.map(({ moved }) => moved)).toEqual([1, 0]);
    expect(better.best().price!.once).toBeCloseTo(3 / 12, 9);
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

/** One to three of so many, each once. */
function togethers(count: number, from = 0): number[][] {
  const all: number[][] = [];
  for (let at = from; at < count; at++)
    for (const more of [[], ...togethers(count, at + 1)]) if (more.length < 3) all.push([at, ...more]);
  return all;
}

/**
 * A row of one bin after the other, each group in one bin, up to three in the same: which type on which shelf, by an exact solver
 * (HiGHS).
 * @param cost of some groups in one bin; null: it does not hold them
 */
async function leastOf(
  given: PlanProblem,
  cost: (together: readonly number[], t: number, s: number) => number | null,
): Promise<number> {
  const highs = await highsLoader();
  const terms: string[] = [];
  const rows: string[] = [];
  const names: string[] = [];
  const each = <T>(count: number, of: (at: number) => T): T[] => Array.from({ length: count }, (_, at) => of(at));
  const [G, T, S] = [given.groups.length, given.containers.length, given.shelves.length];
  const bins: { name: string; together: readonly number[]; t: number; s: number }[] = [];
  for (const together of togethers(G))
    for (let t = 0; t < T; t++)
      for (let s = 0; s < S; s++) {
        const minutes = cost(together, t, s);
        if (minutes === null) continue;
        const name = `x${together.join('_')}_t${t}_${s}`;
        bins.push({ name, together, t, s });
        names.push(name);
        terms.push(`${minutes} ${name}`);
      }
  const sum = (of: readonly { name: string }[], factor = ''): string =>
    of.map(({ name }) => `${factor}${name}`).join(' + ');
  const housed = each(G, (g) => bins.filter(({ together }) => together.includes(g)));
  if (housed.some((of) => of.length === 0)) return Infinity;
  housed.forEach((of, g) => rows.push(`g${g}: ${sum(of)} = 1`));
  given.containers.forEach((one, t) => {
    const of = bins.filter((bin) => bin.t === t);
    if (of.length > 0) rows.push(`f${t}: ${sum(of)} <= ${one.free}`);
  });
  given.shelves.forEach(({ room }, s) => {
    const of = bins.filter((bin) => bin.s === s);
    if (of.length === 0) return;
    const widths = of.map(({ name, t }) => `${given.containers[t]!.widthTenthMm} ${name}`).join(' + ');
    rows.push(`w${s}: ${widths} <= ${room.width}`);
  });
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
      groups: Object.fromEntries(
        groups.map(({ name }) => [
          name,
          use([30, 4.3, 1, 0.3][whole(0, 3)]!, { kin: ['towels', 'tools', ''][whole(0, 2)]! }),
        ]),
      ),
    };
    const given = problem({ shelves, containers, groups, handling, seed: run });
    const priced: PricedShelf[] = shelves.map((shelf) => ({ ...shelf, movedHoles: 0 }));
    const cost = (together: readonly number[], t: number, s: number): number | null => {
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
      const needs = together.reduce((sum, g) => sum + groups[g]!.volumeMl, 0);
      if (needs > 0.8 * one.volumeMl) return null;
      const [group = '', ...also] = together.map((g) => `g${g}`);
      const bin = { type: one, shelfId: `s${s}`, standing, group, also, buy: false };
      const own = { ...given, groups: together.map((g) => groups[g]!) };
      return slowly(
        own,
        together.map(() => 1),
        [bin],
        priced,
      );
    };
    const optimum = await leastOf(given, cost);
    if (optimum === Infinity) continue;
    solved++;
    const search = searchGroups(given);
    search.step(0);
    for (let tries = 0; tries < 400 && search.best().price!.sum > optimum + 1e-6; tries++) search.step(100);
    expect(search.best().left).toEqual([]);
    expect(search.best().price!.sum).toBeCloseTo(optimum, 6);
    expect(search.best().boundMinutes!).toBeLessThanOrEqual(optimum + 1e-6);
  }
}, 180_000);

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
      handling: {
        footMm: 0,
        groups: Object.fromEntries(
          groups.map(({ name }) => [
            name,
            use(random() * 20, { now: [{ containerId: `t${whole(0, 3)}`, shelfId: `s${whole(0, 3)}` }] }),
          ]),
        ),
      },
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
