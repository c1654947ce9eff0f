import { bestShelfHoles, holeOf, surfaceAt } from './shelfHeights';
import { seededRandom } from '../base/seededRandom';

/** Every choice of holes, the outside check of the dynamic programme. */
function byEnumeration(holes: number, shelves: number, worth: (a: number | null, b: number | null) => number): number {
  let best = -Infinity;
  const choose = (from: number, chosen: number[]): void => {
    if (chosen.length === shelves) {
      const whole = [null, ...chosen, null].slice(0, -1).reduce<number>((sum, below, at) => {
        const above = at === chosen.length ? null : chosen[at]!;
        return sum + worth(below, above);
      }, 0);
      best = Math.max(best, whole);
      return;
    }
    for (let hole = from; hole <= holes; hole++) choose(hole + 1, [...chosen, hole]);
  };
  choose(1, []);
  return best;
}

describe('shelf heights on a hole pitch', () => {
  it('agrees with trying every choice of holes, on 200 random racks', () => {
    const random = seededRandom(8);
    for (let run = 0; run < 200; run++) {
      const holes = 3 + Math.floor(random() * 8);
      const shelves = Math.floor(random() * Math.min(5, holes + 1));
      const table = Array.from({ length: 400 }, () => Math.floor(random() * 20));
      const worth = (a: number | null, b: number | null): number => table[(a ?? 0) * 17 + (b ?? 16)]!;
      const answer = bestShelfHoles({ holes, shelves, now: [], worth })!;
      expect(answer.worth).toBe(byEnumeration(holes, shelves, worth));
      expect(answer.holes).toHaveLength(shelves);
      expect([...answer.holes].sort((a, b) => a - b)).toEqual(answer.holes);
    }
  });
  it('leaves shelves where they are when nothing is gained', () => {
    const answer = bestShelfHoles({ holes: 9, shelves: 2, now: [3, 7], worth: () => 1 });
    expect(answer).toEqual({ holes: [3, 7], worth: 3, moved: 0 });
  });
  it('says so when there are more shelves than holes', () => {
    expect(bestShelfHoles({ holes: 1, shelves: 2, now: [], worth: () => 1 })).toBeNull();
  });
  it('32 mm system: hole 12 of a rack whose first is at 96 mm, boards of 18 mm', () => {
    const holes = { pitch: 320, firstHole: 960, board: 180 };
    expect(surfaceAt(12, holes)).toBe(960 + 11 * 320 + 180);
    expect(holeOf(surfaceAt(12, holes), holes)).toBe(12);
    expect(holeOf(surfaceAt(12, holes) + 150, holes)).toBeNull();
  });
});
