import { seededRandom } from '../base/seededRandom';
import { divideDrawer, SECTION_SLACK_TENTH_MM, type SectionThing } from './divideDrawer';

const thing = (name: string, sides: [number, number, number], count = 1, upright = false): SectionThing => ({
  name,
  sides,
  count,
  upright,
});

test('two things side by side, each with its pieces beside each other: by hand', () => {
  // Candles 20 × 2 × 2 cm, six of them; matches 5 × 4 × 1.5. Drawer 40 × 30 × 5.
  const divided = divideDrawer(
    [thing('candles', [2000, 200, 200], 6), thing('matches', [500, 400, 150])],
    [4000, 3000, 500],
    50,
  );
  expect(divided.left).toEqual([]);
  expect(divided.sections).toHaveLength(2);
  // All in the one row takes least of the depth; one strip divides it, one closes it off.
  const rows = new Set(divided.sections.map(({ y }) => y));
  expect(rows.size).toBe(1);
  expect(divided.strips.map(({ name }) => name).sort()).toEqual(['front to back', 'side to side']);
  expect(divided.strips.find(({ name }) => name === 'side to side')!.length).toBe(4000);
  expect(divided.freeDepth).toBeGreaterThan(2000);
});

test('random drawers: sections lie inside, apart by a strip, hold their pieces, and the strips are those between them', () => {
  const random = seededRandom(3);
  const side = (most: number): number => 100 + Math.floor(random() * most);
  let all = 0;
  for (let run = 0; run < 40; run++) {
    const inside = [3000 + side(3000), 2500 + side(2500), 600 + side(900)] as const;
    const things = Array.from({ length: 2 + Math.floor(random() * 6) }, (_, at) =>
      thing(`t${at}`, [side(1200), side(800), side(500)], 1 + Math.floor(random() * 5), random() < 0.3),
    );
    const { sections, left, strips, freeDepth } = divideDrawer(things, inside, 60, run);
    if (left.length === 0) all += 1;
    expect(sections.length + left.length).toBe(things.length);
    for (const { thing: at, x, y, width, depth, across, along, layers } of sections) {
      expect(x + width).toBeLessThanOrEqual(inside[0] + 1e-6);
      expect(y + depth).toBeLessThanOrEqual(inside[1] + 1e-6);
      expect(across * along * layers).toBeGreaterThanOrEqual(things[at]!.count);
      const { sides, upright } = things[at]!;
      const ups = upright ? [2] : [0, 1, 2];
      // Some side up fits under the rim, and its other two in the section.
      const holds = ups.some((up) => {
        const [a, b] = [0, 1, 2].filter((one) => one !== up).map((one) => sides[one]!) as [number, number];
        if (sides[up]! * layers > inside[2]) return false;
        const fits = (w: number, d: number): boolean =>
          w * across + SECTION_SLACK_TENTH_MM <= width + 1e-6 && d * along + SECTION_SLACK_TENTH_MM <= depth + 1e-6;
        return fits(a, b) || fits(b, a);
      });
      expect(holds).toBe(true);
    }
    for (const a of sections)
      for (const b of sections)
        if (a !== b) {
          const apart = Math.max(a.x - b.x - b.width, b.x - a.x - a.width, a.y - b.y - b.depth, b.y - a.y - a.depth);
          expect(apart).toBeGreaterThanOrEqual(60 - 1e-6);
        }
    const rows = new Set(sections.map(({ y }) => y)).size;
    expect(strips.filter(({ name }) => name === 'front to back')).toHaveLength(sections.length - rows);
    const across = strips.filter(({ name }) => name === 'side to side').length;
    expect([rows - 1, rows]).toContain(across);
    if (across === rows && rows > 0) expect(freeDepth).toBeGreaterThanOrEqual(0);
  }
  expect(all).toBeGreaterThan(10);
});

test('what is too high for the drawer or finds no room is named', () => {
  const divided = divideDrawer(
    [thing('bottle', [800, 800, 3000], 1, true), thing('tray', [3900, 2900, 300]), thing('pens', [1500, 100, 100], 3)],
    [4000, 3000, 900],
    50,
  );
  // The tray takes nearly all; beside it the pens find no room, or the other way round.
  expect(divided.left).toContain(0);
  expect(divided.left).toHaveLength(2);
});

test('the same things and seed give the same sections', () => {
  const things = [thing('a', [900, 300, 200], 4), thing('b', [500, 500, 100], 3), thing('c', [1200, 200, 200], 2)];
  expect(divideDrawer(things, [4000, 3000, 600], 50, 4)).toEqual(divideDrawer(things, [4000, 3000, 600], 50, 4));
});
