import type { PackAnswer, PackedPiece, PackPiece } from './packRectangles';

/** Columns of the finest common grid that are still searched. */
const MOST_COLUMNS = 600;

/**
 * The most valuable pieces that fit a plain floor, proven: branch and bound over the lowest, leftmost corner of the skyline.
 * Every packing can be pushed down and left until each piece rests in such a corner; a corner is given up together with the
 * gap it begins, or alone when something may lean over it from its left. For up to about 20 pieces.
 *
 * @param nodes corners looked at before it gives up
 * @returns the best found; `most` is true when the search was through or every piece is in
 */
export function packExactly(width: number, depth: number, pieces: readonly PackPiece[], nodes = 2_000_000): PackAnswer {
  const unit = pieces.reduce((sum, piece) => gcd(gcd(sum, piece.width), piece.depth), 0) || 1;
  const [columns, rows] = [Math.floor(width / unit), Math.floor(depth / unit)];
  if (columns > MOST_COLUMNS) return { packed: [], value: 0, provenBest: false };
  const small = pieces.map((piece) => ({ ...piece, width: piece.width / unit, depth: piece.depth / unit }));
  const area = small.reduce((sum, piece) => sum + piece.width * piece.depth, 0);
  const total = small.reduce((sum, piece) => sum + piece.value, 0);
  // All of them in is a question of its own: then no more may be wasted than the floor has to spare.
  const whole = area <= columns * rows ? searchCorners(columns, rows, small, nodes, total - 1e-6) : null;
  const answer = whole?.packed.length === pieces.length ? whole : searchCorners(columns, rows, small, nodes, 0);
  const packed = answer.packed.map((one) => ({
    ...one,
    x: one.x * unit,
    y: one.y * unit,
    width: one.width * unit,
    depth: one.depth * unit,
  }));
  return { ...answer, packed };
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** @param over only packings worth more than this are looked for */
function searchCorners(
  width: number,
  depth: number,
  pieces: readonly PackPiece[],
  nodes: number,
  over: number,
): PackAnswer {
  const kinds = groupAlike(pieces);
  const floor = width * depth;
  const total = pieces.reduce((sum, piece) => sum + piece.value, 0);
  let best: PackAnswer = { packed: [], value: over, provenBest: false };
  let budget = nodes;
  const heights: number[] = new Array<number>(width).fill(0);
  const placed: PackedPiece[] = [];

  /** Value of what is left, taken by density until the free area is full. */
  const bound = (area: number): number => {
    let [sum, room] = [0, area];
    for (const kind of kinds) {
      const each = kind.piece.width * kind.piece.depth;
      const most = kind.left.length;
      const fits = Math.min(most, room / each);
      sum += fits * kind.piece.value;
      room -= fits * each;
      if (room <= 0) break;
    }
    return sum;
  };

  const visit = (value: number, area: number): boolean => {
    if (value > best.value) best = { packed: [...placed], value, provenBest: false };
    if (best.value >= total - 1e-9) return true;
    if (--budget < 0 || value + bound(area) <= best.value + 1e-9) return budget < 0;
    const low = Math.min(...heights);
    if (low >= depth) return false;
    const x = heights.indexOf(low);
    let gap = 0;
    while (x + gap < width && heights[x + gap] === low) gap++;
    for (const kind of kinds) {
      if (kind.left.length === 0) continue;
      const { piece } = kind;
      const ways = piece.mayTurn && piece.width !== piece.depth ? [false, true] : [false];
      for (const turned of ways) {
        const [w, d] = turned ? [piece.depth, piece.width] : [piece.width, piece.depth];
        if (w > gap || low + d > depth) continue;
        const at = kind.left.pop()!;
        placed.push({ at, x, y: low, width: w, depth: d, turned });
        heights.fill(low + d, x, x + w);
        const done = visit(value + piece.value, area - w * d);
        heights.fill(low, x, x + w);
        placed.pop();
        kind.left.push(at);
        if (done) return true;
      }
    }
    const left = heights[x - 1] ?? depth;
    const raised = Math.min(left, heights[x + gap] ?? depth);
    const giveUp = (columns: number, to: number): boolean => {
      heights.fill(to, x, x + columns);
      const done = visit(value, area - columns * (to - low));
      heights.fill(low, x, x + columns);
      return done;
    };
    return giveUp(gap, raised) || (x > 0 && gap > 1 && giveUp(1, left));
  };
  const stopped = visit(0, floor);
  return { ...best, provenBest: best.value >= total - 1e-9 || !stopped };
}

function groupAlike(pieces: readonly PackPiece[]): { piece: PackPiece; left: number[] }[] {
  const kinds: { piece: PackPiece; left: number[] }[] = [];
  pieces.forEach((piece, at) => {
    const alike = kinds.find(
      (kind) =>
        kind.piece.width === piece.width &&
        kind.piece.depth === piece.depth &&
        kind.piece.value === piece.value &&
        kind.piece.mayTurn === piece.mayTurn,
    );
    if (alike) alike.left.push(at);
    else kinds.push({ piece, left: [at] });
  });
  const density = ({ piece }: { piece: PackPiece }): number => piece.value / (piece.width * piece.depth);
  return kinds.sort((a, b) => density(b) - density(a) || b.piece.width * b.piece.depth - a.piece.width * a.piece.depth);
}
