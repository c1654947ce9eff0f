import fc from 'fast-check';
import { packExactly } from './packExactly';
import { packInOrder, searchPacking, type PackedPiece, type PackPiece } from './packRectangles';
import { areaBound, countSame } from './sameContainers';
import { seededRandom } from '../base/seededRandom';
import type { FloorRect } from '../base/turnedRectangle';

const meets = (a: FloorRect, b: FloorRect): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.depth && b.y < a.y + a.depth;

function expectSound(
  packed: readonly (FloorRect & { at?: number })[],
  width: number,
  depth: number,
  obstacles: readonly FloorRect[] = [],
): void {
  const wrong = packed.filter(
    (one, at) =>
      one.x < 0 ||
      one.y < 0 ||
      one.x + one.width > width ||
      one.y + one.depth > depth ||
      packed.slice(at + 1).some((other) => meets(one, other)) ||
      obstacles.some((obstacle) => meets(one, obstacle)),
  );
  expect(wrong).toEqual([]);
  const used = packed.map((one) => one.at).filter((at) => at !== undefined);
  expect(new Set(used).size).toBe(used.length);
}

describe('equal containers on a floor', () => {
  // Optima from 6-math's list of pallet instances, re-proved there with an exact solver. Five blocks may be one short.
  it.each([
    [40, 25, 7, 3, 47],
    [52, 33, 9, 4, 47],
    [57, 44, 12, 5, 41],
    [56, 52, 12, 5, 48],
    [43, 26, 7, 3, 53],
    [49, 28, 8, 3, 57],
  ])('%i × %i by %i × %i holds %i, or one less and no claim to the most', (W, D, w, d, optimum) => {
    const { places, provenBest: most } = countSame(W, D, w, d);
    expectSound(places, W, D);
    expect(places.length).toBeLessThanOrEqual(optimum);
    expect(places.length).toBeGreaterThanOrEqual(optimum - 1);
    if (most) expect(places.length).toBe(optimum);
  });
  it('finds the optimum of at least four of the six', () => {
    const found = [
      [40, 25, 7, 3, 47],
      [52, 33, 9, 4, 47],
      [57, 44, 12, 5, 41],
      [56, 52, 12, 5, 48],
      [43, 26, 7, 3, 53],
      [49, 28, 8, 3, 57],
    ].filter(([W, D, w, d, optimum]) => countSame(W!, D!, w!, d!).places.length === optimum);
    expect(found.length).toBeGreaterThanOrEqual(4);
  });
  it('is never beaten by plain grids, never over the area bound, always sound', () => {
    const side = fc.integer({ min: 5, max: 300 });
    fc.assert(
      fc.property(side, side, side, side, (W, D, w, d) => {
        const { places } = countSame(W, D, w, d, 20_000);
        expectSound(places, W, D);
        const plain = Math.max(Math.floor(W / w) * Math.floor(D / d), Math.floor(W / d) * Math.floor(D / w));
        expect(places.length).toBeGreaterThanOrEqual(plain);
        expect(places.length).toBeLessThanOrEqual(areaBound(W, D, w, d));
      }),
      { seed: 7, numRuns: 400 },
    );
  });
});

const pieces = (text: string): PackPiece[] =>
  text.split(' ').map((one) => {
    const [width = 0, depth = 0] = one.split('x').map(Number);
    return { width, depth, value: width * depth, mayTurn: false };
  });

describe('different containers on a floor', () => {
  it('Hopper and Turton C1P1: all sixteen fill 20 × 20', () => {
    const c1p1 = pieces('2x12 7x12 8x6 3x6 3x5 5x5 3x12 3x7 5x7 2x6 3x2 4x2 3x4 4x4 9x2 11x2');
    const answer = packExactly(20, 20, c1p1);
    expectSound(answer.packed, 20, 20);
    expect(answer).toMatchObject({ value: 400, provenBest: true });
  });
  it('cgcut1: the most valuable choice on 15 × 10 is worth 244', () => {
    const kinds = '8,4,2,66 3,7,1,35 8,2,3,24 3,4,5,17 3,3,2,11 3,2,2,8 2,1,1,2';
    const all = kinds.split(' ').flatMap((kind) => {
      const [width = 0, depth = 0, most = 0, value = 0] = kind.split(',').map(Number);
      return Array.from({ length: most }, () => ({ width, depth, value, mayTurn: false }));
    });
    const answer = packExactly(15, 10, all, 200_000);
    expectSound(answer.packed, 15, 10);
    expect(answer.value).toBe(244);
    const search = searchPacking(15, 10, all, [], seededRandom(1));
    search.step(4000);
    expect(search.best().value).toBeGreaterThanOrEqual(240);
    expect(search.best().value).toBeLessThanOrEqual(244);
  });

  const small = fc.record({
    width: fc.integer({ min: 1, max: 5 }),
    depth: fc.integer({ min: 1, max: 5 }),
    mayTurn: fc.boolean(),
  });
  it('exact search agrees with trying every cell for every piece, on small floors', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 6 }),
        fc.integer({ min: 2, max: 6 }),
        fc.array(small, { minLength: 1, maxLength: 4 }),
        (width, depth, kinds) => {
          const list = kinds.map((kind) => ({ ...kind, value: kind.width * kind.depth }));
          const answer = packExactly(width, depth, list);
          expectSound(answer.packed, width, depth);
          expect(answer.provenBest).toBe(true);
          expect(answer.value).toBe(tryEveryCell(width, depth, list));
        },
      ),
      { seed: 11, numRuns: 300 },
    );
  });
  it('thousands of random floors with posts: never an overlap, never outside, never through a post', () => {
    const random = seededRandom(5);
    const whole = (least: number, most: number): number => least + Math.floor(random() * (most - least + 1));
    for (let run = 0; run < 3000; run++) {
      const [width, depth] = [whole(200, 1800), whole(200, 600)];
      const post = whole(0, 60);
      const obstacles = post === 0 ? [] : corners(width, depth, post);
      const list = Array.from({ length: whole(1, 12) }, () => {
        const [w, d] = [whole(30, 500), whole(30, 400)];
        return { width: w, depth: d, value: w * d, mayTurn: random() < 0.7 };
      });
      const order = list.map((_, at) => at);
      expectSound(packInOrder(width, depth, list, order, obstacles), width, depth, obstacles);
    }
  });
  it('the same seed gives the same answer', () => {
    const list = pieces('5x3 4x4 7x2 3x3 6x1 2x2 5x5');
    const run = (): PackedPiece[] => {
      const search = searchPacking(10, 8, list, [], seededRandom(3));
      search.step(300);
      return search.best().packed;
    };
    expect(run()).toEqual(run());
  });
});

const corners = (width: number, depth: number, post: number): FloorRect[] =>
  [0, width - post].flatMap((x) => [0, depth - post].map((y) => ({ x, y, width: post, depth: post })));

/** Each piece nowhere or at any cell, either way round. */
function tryEveryCell(
  width: number,
  depth: number,
  list: readonly PackPiece[],
  at = 0,
  placed: FloorRect[] = [],
): number {
  const piece = list[at];
  if (!piece) return 0;
  let best = tryEveryCell(width, depth, list, at + 1, placed);
  for (const [w, d] of piece.mayTurn
    ? [
        [piece.width, piece.depth],
        [piece.depth, piece.width],
      ]
    : [[piece.width, piece.depth]])
    for (let x = 0; x + w! <= width; x++)
      for (let y = 0; y + d! <= depth; y++) {
        const here = { x, y, width: w!, depth: d! };
        if (placed.some((other) => meets(here, other))) continue;
        best = Math.max(best, piece.value + tryEveryCell(width, depth, list, at + 1, [...placed, here]));
      }
  return best;
}
