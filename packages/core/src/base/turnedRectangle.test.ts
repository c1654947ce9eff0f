import fc from 'fast-check';
import {
  anglesNoWiderThan,
  boundingBox,
  cornersOf,
  fitsAtSomeAngle,
  overlap,
  type TurnedRect,
} from './turnedRectangle';

/** By trying every angle in small steps; the outside check of the closed forms. */
function fitsByTrying(p: number, q: number, a: number, b: number): boolean {
  for (let degrees = 0; degrees <= 90; degrees += 0.05) {
    const box = boundingBox(p, q, degrees);
    if ((box.width <= a && box.depth <= b) || (box.width <= b && box.depth <= a)) return true;
  }
  return false;
}

describe('a turned rectangle', () => {
  it.each([
    ['10 × 1 in a room 9 wide needs a depth of 6.165757 (anchor proven by brute force)', 10, 1, 9, 6.165757],
    ['600 × 90 in a room 580 wide needs 340.380', 600, 90, 580, 340.38],
  ])('%s', (_, width, depth, room, needed) => {
    const [first] = anglesNoWiderThan(width, depth, room).filter(({ from }) => from > 0);
    expect(boundingBox(width, depth, first!.from).depth).toBeCloseTo(needed, 3);
    expect(fitsAtSomeAngle(width, depth, room, needed + 0.01)).toBe(true);
    expect(fitsAtSomeAngle(width, depth, room, needed - 0.01)).toBe(false);
  });
  it('600 × 90 passes 580 from 25.6° on: acos(580/606.71) + atan(90/600)', () => {
    expect(anglesNoWiderThan(600, 90, 580)).toEqual([{ from: expect.closeTo(25.6, 1), to: 90 }]);
  });
  it('is free at every angle when its diagonal is no longer than the room', () => {
    expect(anglesNoWiderThan(300, 400, 500)).toEqual([{ from: 0, to: 90 }]);
  });
  it('fits at some angle exactly when trying angle after angle finds one', () => {
    const side = fc.integer({ min: 10, max: 1000 });
    fc.assert(
      fc.property(side, side, side, side, (p, q, a, b) => {
        // A hair's breadth either way belongs to the step width of the trial, not to the formula.
        const tried = fitsByTrying(p, q, a, b);
        if (tried) expect(fitsAtSomeAngle(p, q, a * 1.0001, b * 1.0001)).toBe(true);
        else expect(fitsAtSomeAngle(p, q, a * 0.999, b * 0.999)).toBe(false);
      }),
      { seed: 20261125, numRuns: 300 },
    );
  });
});

/** Whether a grid of points laid over `a` has one well inside `b`: a check that knows no axes. */
function sharesPoint(a: TurnedRect, b: TurnedRect): boolean {
  const angle = (b.degrees * Math.PI) / 180;
  const [c0, c1, , c3] = cornersOf(a);
  for (let u = 0; u <= 1; u += 0.02)
    for (let v = 0; v <= 1; v += 0.02) {
      const x = c0!.x + (c1!.x - c0!.x) * u + (c3!.x - c0!.x) * v - b.cx;
      const y = c0!.y + (c1!.y - c0!.y) * u + (c3!.y - c0!.y) * v - b.cy;
      const along = Math.abs(x * Math.cos(angle) + y * Math.sin(angle));
      const across = Math.abs(-x * Math.sin(angle) + y * Math.cos(angle));
      if (along < b.width / 2 - 1 && across < b.depth / 2 - 1) return true;
    }
  return false;
}

it('overlap never misses two rectangles that share a point', () => {
  const rect = fc.record({
    cx: fc.integer({ min: 0, max: 800 }),
    cy: fc.integer({ min: 0, max: 800 }),
    width: fc.integer({ min: 20, max: 600 }),
    depth: fc.integer({ min: 20, max: 600 }),
    degrees: fc.integer({ min: 0, max: 90 }),
  });
  let shared = 0;
  fc.assert(
    fc.property(rect, rect, (a, b) => {
      if (!sharesPoint(a, b)) return;
      shared++;
      expect(overlap(a, b)).toBe(true);
      expect(overlap(b, a)).toBe(true);
    }),
    { seed: 4, numRuns: 800 },
  );
  expect(shared).toBeGreaterThan(100);
});
