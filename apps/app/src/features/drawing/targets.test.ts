import { seededRandom } from '@ours/core';
import { grown, LEAST_TARGET, nearest, targetsOf, type Area } from './targets';

const box = (x: number, width: number, y = 0, height = 60): Area => ({ x, y, width, height });

it.each([
  ['wide ones have their own', [box(0, 40), box(40, 40)], [[0], [1]]],
  [
    'a narrow one between wide ones has its own, a little wider',
    [box(0, 40), box(40, 20), box(60, 40)],
    [[0], [1], [2]],
  ],
  ['one that is hardly wide enough goes with the narrow one that lies over it', [box(0, 25), box(25, 18)], [[0, 1]]],
  ['two narrow ones beside each other share one', [box(0, 20), box(20, 20), box(40, 40)], [[0, 1], [2]]],
  [
    'five narrow ones: pairs, the last with three',
    [0, 20, 40, 60, 80].map((x) => box(x, 20)),
    [
      [0, 1],
      [2, 3, 4],
    ],
  ],
  ['flat ones on each other', [box(0, 60, 0, 14), box(0, 60, 14, 14)], [[0, 1]]],
  ['narrow ones far from each other', [box(0, 20), box(90, 20)], [[0], [1]]],
])('%s', (_, areas, members) => expect(targetsOf(areas).map((target) => target.members)).toEqual(members));

it('every bin has one target, none is too small, and those of small ones do not lie over each other: 300 random rows', () => {
  const random = seededRandom(5);
  for (let run = 0; run < 300; run++) {
    const areas: Area[] = [];
    for (let x = 0; x < 340;) {
      const width = 6 + random() * 50;
      areas.push(box(x, width));
      x += width;
    }
    const targets = targetsOf(areas);
    expect(targets.flatMap(({ members }) => members).sort((a, b) => a - b)).toEqual(areas.map((_, at) => at));
    for (const { area } of targets)
      expect(Math.min(area.width, area.height)).toBeGreaterThanOrEqual(LEAST_TARGET - 1e-9);
    const shared = targets.filter(({ members }) => members.some((at) => areas[at]!.width < LEAST_TARGET));
    // What the small ones leave of the others is large enough as well.
    for (const one of targets.filter((target) => !shared.includes(target)))
      for (const other of shared) {
        const seen = Math.min(one.area.x + one.area.width, other.area.x) - one.area.x;
        const after = one.area.x + one.area.width - Math.max(one.area.x, other.area.x + other.area.width);
        if (other.area.x < one.area.x + one.area.width && one.area.x < other.area.x + other.area.width)
          expect(Math.max(seen, after)).toBeGreaterThanOrEqual(LEAST_TARGET - 1e-9);
      }
    shared.forEach((one, at) => {
      for (const other of shared.slice(at + 1)) {
        const [a, b] = one.area.x < other.area.x ? [one.area, other.area] : [other.area, one.area];
        expect(a.x + a.width).toBeLessThanOrEqual(b.x + 0.02);
      }
    });
  }
});

it('a press goes to the bin that is nearest', () => {
  const areas = [box(0, 20), box(20, 20)];
  expect([nearest(areas, 3, 10), nearest(areas, 30, 10), nearest(areas, 90, -40)]).toEqual([0, 1, 1]);
  expect(grown(box(10, 20)).x).toBe(8);
  // A low one at the foot of a shelf, and one that hangs at its top, stay on it.
  const shelf = box(0, 200, 100, 50);
  expect(grown(box(0, 60, 138, 12), shelf)).toEqual(box(0, 60, 126, 24));
  expect(grown(box(0, 60, 100, 12), shelf)).toEqual(box(0, 60, 100, 24));
  // A shelf lower than a finger has no room to keep to.
  expect(grown(box(0, 60, 100, 12), box(0, 200, 100, 12)).y).toBe(94);
});
