import { seededRandom } from '../base/seededRandom';
import { EmptyShelf, ShelfFloor } from '../fit/shelfFloor';
import { plainRoom } from '../fit/spaceModel';
import { overlap } from '../base/turnedRectangle';
import { bareContainer, bareOf, bareParts, rowsOfStanding, standingIn } from './bareShelf';
import { searchGroups } from './groupSearch';
import { capacityMl, digSeconds, sectionOf, sectionsTaken } from './groupUse';
import { problem, shelfAt, type, use } from './planPrice.test-support';
import { holdsAll, mayShare, roomsIn } from './sharing';

const member = (needMl: number, more = {}) => ({ needMl, gramsPerMl: 0, use: use(1, more) });
const box = type('box', [3000, 4000, 2500]);

describe('groups in one bin', () => {
  it('each has what it needs where there is room for all, else less of each in the same measure', () => {
    // 30 l, of which 24 are filled.
    expect(roomsIn(box, [member(10_000), member(14_000)])).toEqual([10_000, 14_000]);
    const [a, b] = roomsIn(box, [member(24_000), member(8000)]);
    expect(a! / b!).toBeCloseTo(3, 9);
    expect(a! + b!).toBeCloseTo(24_000, 6);
    expect(holdsAll(box, [member(24_000), member(8000)])).toBe(false);
  });
  it('what does not go in has no room, and takes none from the others', () => {
    expect(roomsIn(box, [member(10_000), member(9000, { largestMl: 40_000 })])).toEqual([10_000, 0]);
  });
  it('in a divided one each has whole sections', () => {
    const divided = type('divided', [4000, 4000, 2000], { sections: 8 });
    // 32 l in eight sections of 4, of which 3.2 are filled: two, one and one.
    expect(holdsAll(divided, [member(6400), member(400), member(3200)])).toBe(true);
    expect(holdsAll({ ...divided, sections: 3 }, [member(6400 * 2), member(400), member(3200)])).toBe(false);
    expect(sectionsTaken(divided, member(0), 3300)).toBe(2);
    expect(capacityMl(divided, use(1), 0)).toBeCloseTo(25_600, 6);
    // Eight of 40 × 40 cm: four by two or two by four, 20 × 10.
    expect(sectionOf(divided).inside).toEqual({ widthTenthMm: 2000, depthTenthMm: 1000, heightTenthMm: 2000 });
  });
  it('what is kept apart, and what breaks, is not put with others', () => {
    expect(mayShare(use(1, { apart: 'food' }), use(1, { apart: 'chemical' }))).toBe(false);
    expect(mayShare(use(1, { fragile: true }), use(1))).toBe(false);
    expect(mayShare(use(1, { apart: 'food' }), use(1, { apart: 'food' }))).toBe(true);
  });
  it('a search puts kin that is seldom used together, and nothing that is kept apart', () => {
    const ids = ['bunting', 'lanterns', 'bleach'];
    const given = problem({
      shelves: [shelfAt('only', 9000, 9000, 4500, 3000)],
      containers: [box],
      groups: ids.map((id) => ({ name: id, id, volumeMl: 9000, grams: 500 })),
      handling: {
        footMm: 0,
        groups: {
          bunting: use(0.3, { kin: 'midsummer' }),
          lanterns: use(0.3, { kin: 'midsummer' }),
          bleach: use(0.3, { kin: 'midsummer', apart: 'chemical' }),
        },
      },
    });
    const search = searchGroups(given);
    search.step(400);
    const { placed, price } = search.best();
    const together = placed.map(({ group, also }) => [group, ...(also ?? [])].sort().join('+')).sort();
    expect(together).toEqual(['bleach', 'bunting+lanterns']);
    expect(price!.groups.map(({ shared }) => shared)).toEqual([1, 1, 0]);
    // Used every day each has its own: nobody looks past the other thirty times.
    const daily = { ...given.handling!.groups, bunting: use(30, { kin: 'midsummer' }) };
    const apart = searchGroups({ ...given, handling: { footMm: 0, groups: daily } });
    apart.step(400);
    expect(apart.best().placed).toHaveLength(3);
  });
});

describe('the shelf itself', () => {
  it('a group of pieces of a quarter of a litre and more, or of folded cloth, stands on it; small things do not', () => {
    const part = bareContainer(6000, 4000, 2500);
    expect(capacityMl(part, use(1, { smallestMl: 250 }), 0)).toBeCloseTo(48_000, 6);
    expect(capacityMl(part, use(1, { smallestMl: 249 }), 0)).toBe(0);
    expect(capacityMl(part, use(1), 0)).toBe(0);
    expect(capacityMl(part, use(1, { smallestMl: 150, folded: true }), 0)).toBeCloseTo(48_000, 6);
  });
  it('closets and cupboards have it, as wide as they are and a hand lower; racks and drawers do not', () => {
    const shelves = [shelfAt('a', 0, 7000, 4000, 3000), shelfAt('b', 3200, 7000, 4000, 3000)];
    const parts = bareParts({ kind: 'closet' }, shelves);
    expect(parts.map(({ widthTenthMm }) => widthTenthMm)).toEqual([2000, 3000, 4500, 6000]);
    expect(parts.every(({ depthTenthMm, heightTenthMm }) => depthTenthMm === 4000 && heightTenthMm === 2500)).toBe(
      true,
    );
    expect(bareParts({ kind: 'storage_rack' }, shelves)).toEqual([]);
    expect(bareParts({ kind: 'cupboard' }, [shelfAt('low', 0, 7000, 4000, 1200)])).toEqual([]);
  });
  it('a plan keeps it beside its containers, and finds it again', () => {
    const bare = bareContainer(3000, 4000, 2500);
    const bin = {
      key: 'p0',
      containerId: bare.containerId,
      shelfId: 's',
      cxTenthMm: 1500,
      cyTenthMm: 2000,
      liftTenthMm: 0,
      degrees: 0,
      group: 'towels',
      locked: false,
      buy: false,
    };
    const crate = { ...bin, key: 'p1', containerId: 'crate' };
    const rows = rowsOfStanding([bin, crate]);
    expect(rows.placed).toEqual([crate]);
    expect(rows.onShelf).toMatchObject([{ key: 'p0', widthTenthMm: 3000, heightTenthMm: 2500, group: 'towels' }]);
    expect(standingIn(rows)).toEqual([crate, bin]);
    expect(bareOf('crate')).toBeNull();
    expect(bareOf(bare.containerId)).toEqual(bare);
  });
});

describe('what is not set down', () => {
  it('on a turntable nothing stands on anything else: as much as its circle takes', () => {
    // A circle of 40 cm: 1,256.6 cm², of which 0.9 are covered; 10 mm² for each millilitre.
    const turntable = type('turntable', [4000, 4000, 2500], { form: 'turntable', volumeMl: 31_416 });
    expect(capacityMl(turntable, use(1, { floorMm2PerMl: 10 }), 0)).toBeCloseTo((0.9 * 125_663.7) / 10, 0);
    expect(capacityMl(turntable, use(1), 0)).toBeCloseTo(0.8 * 31_416, 6);
  });
  it('digging: half the layers over the lowest', () => {
    const flat = { widthTenthMm: 2000, depthTenthMm: 1000 };
    expect(digSeconds(flat, 18_000)).toBe(0);
    expect(digSeconds(flat, 90_000)).toBeCloseTo(4, 9);
  });
  it('what hangs has another shelf over it, and nothing that stands runs into it: random shelves', () => {
    const random = seededRandom(5);
    const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
    let hung = 0;
    for (let run = 0; run < 200; run++) {
      const room = plainRoom(whole(6000, 12_000), whole(3000, 5000), whole(2500, 4000));
      const shelf = new EmptyShelf('s', 0, room, null, new Map(), run % 5 !== 0);
      const floor = new ShelfFloor(shelf, false);
      const bodies = Array.from({ length: 12 }, (_, at) =>
        floor.place(
          {
            ...type(`t${at}`, [whole(1500, 4000), whole(1500, 3000), whole(800, 3500)]),
            ...(random() < 0.3 ? { form: 'under_shelf' } : {}),
          },
          100,
        ),
      ).flatMap((body) => body ?? []);
      for (const body of bodies) {
        expect(body.z + body.height).toBeLessThanOrEqual(room.height);
        if (body.z > 0) {
          hung += 1;
          expect([body.z + body.height, shelf.underShelf]).toEqual([room.height, true]);
        }
        for (const other of bodies)
          if (other !== body && overlap(body, other))
            expect(body.z + body.height <= other.z || other.z + other.height <= body.z).toBe(true);
      }
    }
    expect(hung).toBeGreaterThan(100);
  });
});
