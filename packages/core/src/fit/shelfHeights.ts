/** Where adjustable shelves go on their holes so that the compartments hold the most. */

export interface HolePattern {
  /** Distance from hole to hole. */
  pitch: number;
  /** From the foot of the space to the lowest hole. */
  firstHole: number;
  /** Thickness of a shelf board. */
  board: number;
}

/** The hole a surface rests on, counted from 1 at the foot; null when it lies between two. */
export function holeOf(bottomTenthMm: number, holes: HolePattern): number | null {
  const at = (bottomTenthMm - holes.board - holes.firstHole) / holes.pitch;
  return Math.abs(at - Math.round(at)) * holes.pitch <= 25 && at > -0.5 ? Math.round(at) + 1 : null;
}

/** The height of the surface of a board that lies on a hole. */
export const surfaceAt = (hole: number, holes: HolePattern): number =>
  holes.firstHole + (hole - 1) * holes.pitch + holes.board;

export interface HeightsProblem {
  /** Holes there are. */
  holes: number;
  /** Shelves to be set, all on holes, no two on one. */
  shelves: number;
  /** Where they are now (holes from below); answers that move fewer are taken among equals. */
  now: readonly number[];
  /** What the compartment between two neighbouring shelves (or foot and top) is worth. `above` null: up to the top. */
  worth: (belowHole: number | null, aboveHole: number | null) => number;
}

/** Pairs of holes looked at in all. */
const MOST_PAIRS = 1_000_000;

/** How many holes a shelf is moved at most, so that not too many pairs are looked at. */
function reachOf(holes: number, shelves: number): number {
  if ((shelves * holes * holes) / 2 <= MOST_PAIRS) return holes;
  return Math.max(3, Math.floor(Math.sqrt(MOST_PAIRS / shelves) / 2));
}

/**
 * The best set of holes for the shelves, by dynamic programming over (shelf, hole): exact for worths that depend on a
 * compartment's two neighbours only.
 *
 * With very many shelves and holes only those near where a shelf is now are looked at, so that an answer takes a fraction of a
 * second.
 *
 * @returns holes from below, ascending, and their worth; null when there are more shelves than holes
 */
export function bestShelfHoles(problem: HeightsProblem): { holes: number[]; worth: number; moved: number } | null {
  const { holes, shelves, now, worth } = problem;
  if (shelves > holes) return null;
  if (shelves === 0) return { holes: [], worth: worth(null, null), moved: 0 };
  const reach = reachOf(holes, shelves);
  const isNear = (shelf: number, hole: number): boolean => Math.abs(hole - (now[shelf] ?? hole)) <= reach;
  type Cell = { worth: number; moved: number; from: number };
  const better = (a: Cell, b: Cell | undefined): boolean =>
    b === undefined || a.worth > b.worth + 1e-9 || (Math.abs(a.worth - b.worth) <= 1e-9 && a.moved < b.moved);
  const moves = (shelf: number, hole: number): number => (now[shelf] === hole ? 0 : 1);
  const table: (Cell | undefined)[][] = [];
  for (let shelf = 0; shelf < shelves; shelf++) {
    const row: (Cell | undefined)[] = [];
    for (let hole = shelf + 1; hole <= holes - (shelves - 1 - shelf); hole++) {
      if (!isNear(shelf, hole)) continue;
      if (shelf === 0) {
        row[hole] = { worth: worth(null, hole), moved: moves(0, hole), from: 0 };
        continue;
      }
      for (let below = shelf; below < hole; below++) {
        const before = table[shelf - 1]![below];
        if (!before) continue;
        const cell = {
          worth: before.worth + worth(below, hole),
          moved: before.moved + moves(shelf, hole),
          from: below,
        };
        if (better(cell, row[hole])) row[hole] = cell;
      }
    }
    table.push(row);
  }
  let end = 0;
  let best: Cell | undefined;
  table[shelves - 1]!.forEach((cell, hole) => {
    if (!cell) return;
    const whole = { ...cell, worth: cell.worth + worth(hole, null) };
    if (better(whole, best)) [best, end] = [whole, hole];
  });
  if (!best) return null;
  const chosen: number[] = [];
  for (let shelf = shelves - 1, hole = end; shelf >= 0; shelf--) {
    chosen.unshift(hole);
    hole = table[shelf]![hole]!.from;
  }
  return { holes: chosen, worth: best.worth, moved: best.moved };
}
