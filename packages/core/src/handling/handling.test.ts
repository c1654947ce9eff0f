import highsLoader from 'highs';
import { seededRandom } from '../base/seededRandom';
import type { HandlingHome } from './handlingTypes';
import { pacesBetween } from './handlingTypes';
import { findMoves } from './moves';
import { Placement, priceOf, strayMinutes, sumOf } from './Placement';
import { placementBound } from './placementBound';
import { homeOf, randomHome, reachers, shelf, unit } from './handling.test-support';
import { bandAt, liftMinutes, reacherOf, reachSeconds } from './reach';
import { layRow, type RowBody } from './shelfRow';

// Hand-computed from the table of constants; MTM-1 times behind bending and pacing are from memory.
describe('what a reach costs', () => {
  const runa = { reachMm: 2050, steps: true };
  const alma = { reachMm: 1700, steps: false };
  it.each([
    [runa, 902, 0],
    [runa, 901, 2.2],
    [alma, 340, 2.2],
    [alma, 339, 5.3],
    [alma, 1190, 0],
    [alma, 1191, 1],
    [alma, 1701, 30],
    [runa, 2051, 14],
  ])('%j at %i mm: %f s', (who, grip, seconds) => expect(reachSeconds(who, grip)).toBe(seconds));
  it('bands follow from top to bottom without a gap', () => {
    const seen = Array.from({ length: 230 }, (_, at) => bandAt(2050, 2300 - at * 10));
    expect([...new Set(seen)]).toEqual(['step', 'stretch', 'easy', 'bend', 'floor']);
    expect(seen).toEqual([...seen].sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b)));
  });
  it('a reach nobody wrote down is a default, and says so', () => {
    const person = { id: 'p', seq: 0, retired: false, name: 'P', note: '', reachTenthMm: null, takesSteps: null };
    expect(reacherOf({ ...person, role: 'child', ageYears: 4 })).toMatchObject({
      reachMm: 1000,
      steps: false,
      guessed: true,
    });
    expect(reacherOf({ ...person, role: 'adult', ageYears: 40 })).toMatchObject({ reachMm: 1900, steps: true });
    expect(reacherOf({ ...person, role: 'adult', ageYears: 76, takesSteps: false }).steps).toBe(false);
    for (const role of ['adult', 'child', 'helper'] as const)
      expect(reacherOf({ ...person, role, ageYears: 17 }).reachMm).toBeLessThanOrEqual(1900);
  });
  it.each([
    [14.8, 1260, 1.0881],
    [14.8, 560, 0.0829],
    [10, 1900, 1.29],
    [4, 1900, 0.076],
  ])('%f kg at %i mm', (kg, grip, minutes) => expect(liftMinutes(kg, grip)).toBeCloseTo(minutes, 4));
  it('26 takings by three people: with a lid, three paces away, at 1520 mm', () => {
    const bin = unit({
      uses: 26,
      lid: true,
      grams: 0,
      body: { width: 400, depth: 300, height: 240, pitch: null, type: null, uses: 26 },
      who: [0, 1, 2].map((at) => ({ at, share: 1 / 3 })),
    });
    const home = homeOf(
      [bin],
      [shelf({ footMm: 1400, row: { width: 800, depth: 400, height: 400, fromAbove: false } })],
    );
    // 8 + 3 × 1.08 + 2 + 2 + (1 + 0 + 1) / 3 seconds; by the middle one 1520 is within easy reach.
    expect(sumOf(priceOf(home, bin, 0))).toBeCloseTo((26 * (8 + 3 * 1.08 + 4 + 2 / 3)) / 60, 9);
    expect(sumOf(priceOf(home, bin, 0))).toBeCloseTo(6.893, 3);
  });
  it('a stray with three uses', () => expect(strayMinutes(3)).toBeCloseTo(1.15, 9));
});
const ORDER = ['step', 'stretch', 'easy', 'bend', 'floor'];

describe('a row', () => {
  const body = (width: number, depth: number, height: number, uses: number, pitch: number | null = null): RowBody => ({
    width,
    depth,
    height,
    uses,
    pitch,
    type: pitch === null ? null : 'crate',
  });
  it('three of 400 on 800: the least used goes behind, 100 mm stay free', () => {
    const bodies = [body(400, 300, 240, 10), body(400, 300, 240, 2), body(400, 300, 240, 1)];
    const row = layRow({ width: 800, depth: 650, height: 400, fromAbove: false }, bodies);
    expect(row).toMatchObject({ over: 0, free: 100 });
    expect(row.spots.map(({ inFront }) => inFront)).toEqual([0, 0, 1]);
  });
  it('stacked when there is no room behind: the most used on top', () => {
    const bodies = [body(330, 320, 160, 8, 160), body(330, 320, 160, 3, 160), body(330, 320, 160, 1, 160)];
    const row = layRow({ width: 700, depth: 340, height: 340, fromAbove: false }, bodies);
    expect(row.over).toBe(0);
    expect(row.spots.map(({ inFront, lift }) => [inFront, lift])).toEqual([
      [0, 160],
      [0, 0],
      [1, 0],
    ]);
    expect(layRow({ width: 700, depth: 340, height: 300, fromAbove: false }, bodies).over).toBe(260);
  });
  it('what is laid without being over stands inside, and nothing in anything else', () => {
    const random = seededRandom(5);
    const pick = (n: number): number => Math.floor(random() * n);
    let laid = 0;
    for (let run = 0; run < 2000; run++) {
      const bodies = Array.from({ length: 1 + pick(6) }, () =>
        pick(2)
          ? body(240, 180, 130, pick(30), 110)
          : body(100 + pick(300), 100 + pick(300), 100 + pick(150), pick(30)),
      );
      const on = { width: 700 + pick(400), depth: 250 + pick(400), height: 200 + pick(250), fromAbove: pick(4) === 0 };
      const row = layRow(on, bodies);
      if (row.over > 0) continue;
      laid++;
      const boxes = row.spots.map(({ left, back, lift, turned }, at) => {
        const { width, depth, height } = bodies[at]!;
        const [w, d] = turned ? [depth, width] : [width, depth];
        return { x0: left, x1: left + w, y0: back, y1: back + d, z0: lift, z1: lift + height };
      });
      for (const [at, one] of boxes.entries()) {
        expect(one.x1).toBeLessThanOrEqual(on.width + 1e-9);
        expect(one.y1).toBeLessThanOrEqual(on.depth + 1e-9);
        expect(one.z1).toBeLessThanOrEqual(on.height + 1e-9);
        for (const other of boxes.slice(at + 1)) {
          const apart =
            one.x1 <= other.x0 || other.x1 <= one.x0 || one.y1 <= other.y0 || other.y1 <= one.y0 || one.z0 !== other.z0;
          expect(apart).toBe(true);
        }
      }
    }
    expect(laid).toBeGreaterThan(500);
  });
});

/** The price written a second time: everything from scratch, one sum. */
function slowly(home: HandlingHome, at: readonly number[]): { minutes: number; once: number } {
  let minutes = 0;
  home.shelves.forEach((on, nth) => {
    const here = home.units.flatMap((one, index) => (at[index] === nth ? [{ one, index }] : []));
    const { over, spots } = layRow(
      { ...on.row, width: on.capMm },
      here.map(({ one }) => one.body),
    );
    if (over > 0.5) minutes += 10 + 0.3 * over;
    const grams = here.reduce((sum, { one }) => sum + one.grams, 0);
    if (on.loadGrams !== null && grams > on.loadGrams && here.some(({ one }) => one.origin !== nth))
      minutes += 10 + (grams - on.loadGrams) / 1000;
    here.forEach(({ one }, place) => {
      const spot = spots[place]!;
      const z = on.footMm + spot.lift + one.body.height / 2;
      let seconds = 8 + 1.08 * pacesBetween(home, one.roomId, on.roomId) + 5 * spot.inFront + (one.lid ? 2 : 0);
      if (!on.row.fromAbove && (one.lid || on.row.height - spot.lift - one.body.height < 100)) seconds += 2;
      for (const { at: who, share } of one.who) {
        const { reachMm: r, steps } = reachers[who]!;
        seconds += share * (z > r ? (steps ? 14 : 30) : z > 0.7 * r ? 1 : z >= 0.44 * r ? 0 : z >= 0.2 * r ? 2.2 : 5.3);
      }
      minutes += (one.uses * seconds) / 60;
      const kg = one.grams / 1000;
      minutes += (0.01 * kg * z) / 1000 + 0.2 * Math.max(0, kg - 5) * Math.max(0, z / 1000 - 0.8);
      if (home.shelves[one.origin]!.spaceId !== on.spaceId && one.purpose !== on.purpose)
        minutes += 0.5 + (10 * one.uses) / 60;
    });
  });
  for (const tag of new Set(home.units.map((one) => one.tag).filter((one) => one !== ''))) {
    const members = home.units.flatMap((one, index) => (one.tag === tag ? [at[index]!] : []));
    if (members.length < 2) continue;
    minutes += 0.05 * (new Set(members).size - 1);
    minutes += 0.3 * (new Set(members.map((nth) => home.shelves[nth]!.spaceId)).size - 1);
  }
  const once = home.units.reduce((sum, one, index) => sum + (at[index] === one.origin ? 0 : one.moveMinutes), 0);
  return { minutes, once };
}

describe('the price of a home', () => {
  it('kept up over thousands of moves it is the price reckoned anew', () => {
    const random = seededRandom(11);
    for (let run = 0; run < 30; run++) {
      const home = randomHome(random, 12, 5);
      const placement = new Placement(home);
      for (let step = 0; step < 100; step++) {
        placement.move(Math.floor(random() * 12), Math.floor(random() * 5));
        const slow = slowly(home, placement.at);
        expect(Math.abs(placement.minutes - slow.minutes)).toBeLessThan(1e-8);
        expect(Math.abs(placement.onceMinutes - slow.once)).toBeLessThan(1e-9);
      }
      // However one came there.
      expect(new Placement(home, placement.at).minutes).toBeCloseTo(placement.minutes, 9);
    }
  });
});

/** Every way to put the bins on the shelves. */
function bestOfAll(home: HandlingHome): number {
  const placement = new Placement(home);
  let best = Infinity;
  const go = (at: number): void => {
    if (at === home.units.length) {
      if (placement.stands) best = Math.min(best, placement.objective);
      return;
    }
    for (const to of home.units[at]!.allowed) {
      placement.move(at, to);
      go(at + 1);
    }
  };
  go(0);
  return best;
}

describe('how good it is', () => {
  it('two bins that do not both fit: the bound lets no more be claimed than is so', () => {
    const at = (footMm: number, capMm: number, nth: number) =>
      shelf({ shelfId: `${nth}`, footMm, capMm, row: { width: capMm, depth: 400, height: 400, fromAbove: false } });
    const body = { width: 400, depth: 390, height: 240, pitch: null, type: null, uses: 10 };
    const units = [0, 1].map((nth) => unit({ binId: `${nth}`, uses: 10, body, origin: 1, allowed: [0, 1] }));
    const home = homeOf(units, [at(1000, 600, 0), at(100, 1200, 1)]);
    const bound = placementBound(home);
    const best = bestOfAll(home);
    expect(bound).toBeLessThanOrEqual(best + 1e-9);
    const { objectiveMinutes, boundMinutes } = findMoves(home);
    expect(objectiveMinutes).toBeCloseTo(best, 9);
    expect(boundMinutes).toBeLessThanOrEqual(objectiveMinutes);
  });

  it('on 60 small homes: never better than the best of all, the bound never above it', () => {
    const random = seededRandom(23);
    let equal = 0;
    let gap = 0;
    for (let run = 0; run < 60; run++) {
      const home = randomHome(random, 5, 3);
      const best = bestOfAll(home);
      if (best === Infinity) continue;
      const { objectiveMinutes, boundMinutes, complete } = findMoves(home);
      expect(complete).toBe(true);
      expect(boundMinutes).toBeLessThanOrEqual(best + 1e-9);
      if (new Placement(home).stands) expect(objectiveMinutes).toBeGreaterThanOrEqual(best - 1e-9);
      if (objectiveMinutes <= best + 0.5) equal++;
      gap += (best - boundMinutes) / best;
    }
    // Single moves and swaps find it, or come as near as it is worth carrying anything, in most.
    expect(equal).toBeGreaterThanOrEqual(45);
    expect(gap / 60).toBeLessThan(0.05);
  });

  it('the bound against HiGHS on the same relaxation', async () => {
    const highs = await highsLoader();
    const random = seededRandom(31);
    for (let run = 0; run < 12; run++) {
      const home = randomHome(random, 20, 6);
      for (const one of home.units) one.tag = '';
      const optimum = linearBound(highs, home);
      const bound = placementBound(home);
      expect(bound).toBeLessThanOrEqual(optimum + 1e-6);
      expect(bound).toBeGreaterThan(optimum * 0.98);
    }
  }, 60_000);
});

/** The same relaxation as a linear programme: each bin on shelves in parts, widths as in the bound. */
function linearBound(highs: Awaited<ReturnType<typeof highsLoader>>, home: HandlingHome): number {
  const narrowest = Math.min(...home.units.map(({ body }) => Math.min(body.width, body.depth)));
  const costs: string[] = [];
  const rows: string[] = [];
  const widths = home.shelves.map((): string[] => []);
  home.units.forEach((one, u) => {
    rows.push(one.allowed.map((s) => `x${u}_${s}`).join(' + ') + ' = 1');
    for (const s of one.allowed) {
      const { row } = home.shelves[s]!;
      const { width: w, depth: d, height: h, pitch } = one.body;
      const fronts = [...(d <= row.depth ? [w] : []), ...(w <= row.depth ? [d] : [])];
      const front = fronts.length > 0 ? Math.min(...fronts) : w;
      const least = Math.min(d <= row.depth ? d : Infinity, w <= row.depth ? w : Infinity);
      const takes =
        front * (least + narrowest <= row.depth ? 0.5 : 1) * (pitch !== null && h + pitch <= row.height ? 0.5 : 1);
      costs.push(
        `${(sumOf(priceOf(home, one, s)) + (s === one.origin ? 0 : one.moveMinutes / 6)).toFixed(9)} x${u}_${s}`,
      );
      widths[s]!.push(`${takes.toFixed(6)} x${u}_${s}`);
    }
  });
  widths.forEach((own, s) => rows.push(`${own.join(' + ')} <= ${home.shelves[s]!.capMm}`));
  const text = `Minimize\n obj: ${costs.join('\n + ')}\nSubject To\n${rows.map((row, at) => ` c${at}: ${row}`).join('\n')}\nEnd\n`;
  return highs.solve(text).ObjectiveValue;
}

describe('the moves', () => {
  it('a swap: out of reach for who takes no steps', () => {
    const low = shelf({
      shelfId: 'low',
      footMm: 1361,
      capMm: 400,
      row: { width: 400, depth: 300, height: 300, fromAbove: false },
    });
    const high = { ...low, shelfId: 'high', footMm: 1591 };
    const body = { width: 400, depth: 300, height: 240, pitch: null, type: null, uses: 1 };
    const a = unit({
      binId: 'a',
      uses: 17,
      body,
      who: [{ at: 2, share: 1 }],
      origin: 1,
      allowed: [0, 1],
      grams: 0,
      moveMinutes: 3,
    });
    const b = unit({
      binId: 'b',
      uses: 1,
      body,
      who: [0, 1, 2].map((at) => ({ at, share: 1 / 3 })),
      origin: 0,
      allowed: [0, 1],
      grams: 0,
      moveMinutes: 5,
    });
    const { moves } = findMoves(homeOf([a, b], [low, high]));
    expect(moves).toHaveLength(1);
    expect(moves[0]).toMatchObject({ ring: true, onceMinutes: 8, lead: 0 });
    // 17 × 29 s less for the one; for the other 29 s more for the third and a stretch more for the second of three people.
    expect(moves[0]!.savedMinutes).toBeCloseTo(8.217 - 0.1667, 3);
  });

  it('add up exactly, and each can be carried out when its turn comes', () => {
    const random = seededRandom(41);
    let proposed = 0;
    for (let run = 0; run < 40; run++) {
      const home = randomHome(random, 14, 6);
      const walk = new Placement(home);
      if (!walk.stands) continue;
      const { moves, now, then } = findMoves(home);
      expect(now.sum - moves.reduce((sum, move) => sum + move.savedMinutes, 0)).toBeCloseTo(then.sum, 6);
      for (const move of moves) {
        proposed++;
        expect(move.savedMinutes * 6).toBeGreaterThanOrEqual(move.onceMinutes - 1e-9);
        for (const { unit: which, to } of move.carries) {
          walk.move(which, to);
          if (!move.ring) expect(walk.stands).toBe(true);
        }
        expect(walk.stands).toBe(true);
      }
    }
    expect(proposed).toBeGreaterThan(20);
  });

  it('what is left as it is, is not proposed again', () => {
    const random = seededRandom(43);
    const home = randomHome(random, 14, 6);
    const [first] = findMoves(home).moves;
    const { binId } = home.units[first!.lead!]!;
    const to = home.shelves[first!.carries.at(-1)!.to]!.shelfId;
    const again = findMoves(home, new Set([`${binId} > ${to}`]));
    expect(
      again.moves.some(({ carries }) =>
        carries.some((one) => home.units[one.unit]!.binId === binId && home.shelves[one.to]!.shelfId === to),
      ),
    ).toBe(false);
  });
});
