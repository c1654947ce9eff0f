import { fitsAtSomeAngle, seededRandom } from '../base';
import type { ThingShape } from '../household';
import { goesInto, sidesUp } from './goesInto';

const thing = (sides: readonly [number, number, number], more: Partial<ThingShape> = {}): ThingShape => ({
  widthTenthMm: sides[0],
  depthTenthMm: sides[1],
  heightTenthMm: sides[2],
  rigid: true,
  kept: [],
  ...more,
});
const box = (width: number, depth: number, height: number) => ({
  widthTenthMm: width,
  depthTenthMm: depth,
  heightTenthMm: height,
});

/** Every way up and every angle of a fine grid, its bounding box against the floor: nothing of the formula. */
function byTurning([w, d, h]: readonly [number, number, number], room: ReturnType<typeof box>): boolean {
  const ways = [
    [w, d, h],
    [w, h, d],
    [d, h, w],
  ] as const;
  return ways.some(([wide, deep, high]) => {
    if (high > room.heightTenthMm) return false;
    for (let step = 0; step <= 500; step++) {
      const angle = (step / 500) * (Math.PI / 2);
      const across = wide * Math.cos(angle) + deep * Math.sin(angle);
      const along = wide * Math.sin(angle) + deep * Math.cos(angle);
      if (across <= room.widthTenthMm && along <= room.depthTenthMm) return true;
    }
    return false;
  });
}

test('rigid boxes in boxes agree with turning them about by brute force', () => {
  const random = seededRandom(7);
  const side = (): number => 50 + Math.floor(random() * 600);
  let yes = 0;
  let near = 0;
  for (let n = 0; n < 1200; n++) {
    const sides = [side(), side(), side()] as const;
    const room = box(side(), side(), side());
    const found = goesInto(thing(sides), room);
    // Between two angles of the grid a box a little larger or smaller may pass: those are left out.
    const [less, more] = [0.997, 1.003].map((by) => byTurning([sides[0] * by, sides[1] * by, sides[2] * by], room));
    if (less !== more) {
      near += 1;
      continue;
    }
    expect({ sides, room, found }).toEqual({ sides, room, found: less });
    if (found) yes += 1;
  }
  expect(yes).toBeGreaterThan(120);
  expect(near).toBeLessThan(100);
});

test('upright only keeps its height up; soft things give way', () => {
  const bottle = thing([800, 800, 3000]);
  expect(goesInto(bottle, box(3200, 1000, 1000))).toBe(true);
  expect(goesInto({ ...bottle, kept: ['upright'] }, box(3200, 1000, 1000))).toBe(false);
  expect(goesInto({ ...bottle, kept: ['upright'] }, box(1000, 1000, 3000))).toBe(true);
  // A rolled mat of 60 × 12 × 12 cm, 8.6 l: rigid it goes into no crate of 40 cm, soft it does.
  const mat = thing([6000, 1200, 1200]);
  expect(goesInto(mat, box(4000, 3000, 2500))).toBe(false);
  expect(goesInto({ ...mat, rigid: false }, box(4000, 3000, 2500))).toBe(true);
  // 0.8 · ∛8640 cm³ = 16.4 cm: not through 15.
  expect(goesInto({ ...mat, rigid: false }, box(9000, 9000, 1500))).toBe(false);
});

test('a diagonal is used: a rule of 50 cm lies across a box of 40 × 32 cm', () => {
  // √(40² + 32²) = 51.2; by Carver's inequality with a breadth of 0.5 cm.
  expect(fitsAtSomeAngle(5000, 50, 4000, 3200)).toBe(true);
  expect(goesInto(thing([5000, 50, 30]), box(4000, 3200, 500))).toBe(true);
  expect(goesInto(thing([5200, 50, 30]), box(4000, 3200, 500))).toBe(false);
});

test('three ways up, or one', () => {
  expect(sidesUp(thing([1, 2, 3]), true)).toEqual([[1, 2, 3]]);
  expect(sidesUp(thing([1, 2, 3]), false).map(([, , high]) => high)).toEqual([3, 2, 1]);
});
