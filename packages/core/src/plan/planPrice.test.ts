import { seededRandom } from '../base/seededRandom';
import { capacityMl } from './groupUse';
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
import { problem, slowly, type, use } from './planPrice.test-support';

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
          ...(random() < 0.4
            ? { form: (['turntable', 'pull_out', 'under_shelf', 'bare'] as const)[whole(0, 3)]! }
            : random() < 0.3
              ? { sections: 4 }
              : {}),
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
              floorMm2PerMl: random() < 0.5 ? 40 * random() : 0,
              smallestMl: whole(0, 600),
              kin: ['', 'towels', 'tools'][whole(0, 2)]!,
              ...(random() < 0.5
                ? {
                    now: Array.from({ length: whole(0, 4) }, () => ({
                      containerId: random() < 0.2 ? 'on_shelf' : `t${whole(0, 3)}`,
                      shelfId: `s${whole(0, 4)}`,
                    })),
                  }
                : {}),
            }),
          ]),
        ),
      };
      const given = problem({ containers: types, groups, handling });
      const bins: PricedBin[] = Array.from({ length: whole(0, 12) }, () => {
        const one = types[whole(0, 3)]!;
        const first = whole(0, groups.length - 1);
        const also = groups.flatMap(({ name }, at) => (at !== first && random() < 0.15 ? [name] : []));
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
          ...(random() < 0.1 ? { group: null } : { group: `g${first}`, also }),
          buy: random() < 0.3,
        };
      });
      const fewest = groups.map(() => whole(0, 3));
      const price = pricePlan(given, pricedGroups(given, fewest), bins, shelves);
      expect(Math.abs(price.sum - slowly(given, fewest, bins, shelves))).toBeLessThan(1e-9);
    }
  });
});

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
