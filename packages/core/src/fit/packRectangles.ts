import type { FloorRect } from './turnedRectangle';

export interface PackPiece {
  width: number;
  depth: number;
  /** What it is worth to have it in; area unless something else matters. */
  value: number;
  mayTurn: boolean;
}
export interface PackedPiece extends FloorRect {
  /** The piece's place in the list given. */
  at: number;
  turned: boolean;
}

/**
 * Puts pieces, in their order, into a floor with obstacles already cut out: each goes where it leaves the narrowest gap.
 * Maximal free rectangles are kept (Jylänki 2010, "best short side fit"); pieces that find no room are left out.
 *
 * @returns places that overlap neither each other nor an obstacle and lie inside the floor
 */
export function packInOrder(
  width: number,
  depth: number,
  pieces: readonly PackPiece[],
  order: readonly number[],
  obstacles: readonly FloorRect[] = [],
): PackedPiece[] {
  let free: FloorRect[] = [{ x: 0, y: 0, width, depth }];
  for (const obstacle of obstacles) free = cutOut(free, obstacle);
  const packed: PackedPiece[] = [];
  for (const at of order) {
    const piece = pieces[at]!;
    const place = narrowestPlace(free, piece);
    if (!place) continue;
    const { gap: _, ...spot } = place;
    packed.push({ ...spot, at });
    free = cutOut(free, place);
  }
  return packed;
}

/** The place among free rectangles where a piece leaves the narrowest gap ("best short side fit"), and that gap. */
export function narrowestPlace(
  free: readonly FloorRect[],
  piece: PackPiece,
): (FloorRect & { turned: boolean; gap: number }) | null {
  let best: (FloorRect & { turned: boolean; gap: number }) | null = null;
  let bestShort = Infinity;
  let bestLong = Infinity;
  const ways = piece.mayTurn && piece.width !== piece.depth ? [false, true] : [false];
  for (const room of free) {
    for (const turned of ways) {
      const [w, d] = turned ? [piece.depth, piece.width] : [piece.width, piece.depth];
      const [restX, restY] = [room.width - w, room.depth - d];
      if (restX < 0 || restY < 0) continue;
      const [short, long] = restX < restY ? [restX, restY] : [restY, restX];
      if (short > bestShort || (short === bestShort && long >= bestLong)) continue;
      best = { x: room.x, y: room.y, width: w, depth: d, turned, gap: short };
      [bestShort, bestLong] = [short, long];
    }
  }
  return best;
}

export function cutOut(free: readonly FloorRect[], taken: FloorRect): FloorRect[] {
  const left: FloorRect[] = [];
  const whole: FloorRect[] = [];
  const right = taken.x + taken.width;
  const back = taken.y + taken.depth;
  for (const room of free) {
    const roomRight = room.x + room.width;
    const roomBack = room.y + room.depth;
    if (taken.x >= roomRight || right <= room.x || taken.y >= roomBack || back <= room.y) {
      whole.push(room);
      continue;
    }
    if (taken.x > room.x) left.push({ ...room, width: taken.x - room.x });
    if (right < roomRight) left.push({ ...room, x: right, width: roomRight - right });
    if (taken.y > room.y) left.push({ ...room, depth: taken.y - room.y });
    if (back < roomBack) left.push({ ...room, y: back, depth: roomBack - back });
  }
  const holds = (a: FloorRect, b: FloorRect): boolean =>
    b.x >= a.x && b.y >= a.y && b.x + b.width <= a.x + a.width && b.y + b.depth <= a.y + a.depth;
  const kept = left.filter(
    (room, at) =>
      !whole.some((other) => holds(other, room)) &&
      !left.some((other, otherAt) => otherAt !== at && holds(other, room) && (!holds(room, other) || otherAt < at)),
  );
  return [...whole, ...kept];
}

export interface PackAnswer {
  packed: PackedPiece[];
  value: number;
  /** True when every piece is in, or the search was through: nothing better exists. */
  most: boolean;
}

export interface PackSearch {
  /** Works on for about this many tries and answers whether it is worth going on. */
  step(tries: number): boolean;
  best(): PackAnswer;
}

/**
 * Searches for the pieces that are worth most together: first greedy orders, then an exact search by corners while it is small
 * enough, then seeded changes of the order, keeping what gets better and sometimes what gets a little worse.
 *
 * @param obstacles straight rectangles that nothing may stand on
 * @param random a seeded stream; the same stream gives the same answers
 */
export function searchPacking(
  width: number,
  depth: number,
  pieces: readonly PackPiece[],
  obstacles: readonly FloorRect[],
  random: () => number,
): PackSearch {
  const total = pieces.reduce((sum, piece) => sum + piece.value, 0);
  const valueOf = (packed: readonly PackedPiece[]): number =>
    packed.reduce((sum, one) => sum + pieces[one.at]!.value, 0);
  let best: PackAnswer = { packed: [], value: -1, most: false };
  const offer = (packed: PackedPiece[]): number => {
    const value = valueOf(packed);
    if (value > best.value) best = { packed, value, most: value >= total - 1e-9 };
    return value;
  };
  const indices = pieces.map((_, at) => at);
  const by = (key: (piece: PackPiece) => number): number[] =>
    [...indices].sort((a, b) => key(pieces[b]!) - key(pieces[a]!) || a - b);
  const starts = [
    by((piece) => piece.width * piece.depth),
    by((piece) => Math.max(piece.width, piece.depth)),
    by((piece) => piece.value / (piece.width * piece.depth)),
    by((piece) => piece.depth),
    by((piece) => piece.width),
  ];
  let order = starts[0]!;
  let current = -1;
  for (const start of starts) {
    const value = offer(packInOrder(width, depth, pieces, start, obstacles));
    if (value > current) [order, current] = [start, value];
  }
  let stale = 0;
  return {
    step(tries) {
      for (let n = 0; n < tries && !best.most; n++) {
        const next = shuffleSome(order, random);
        const value = offer(packInOrder(width, depth, pieces, next, obstacles));
        const slack = total * 0.02 * random() * random();
        if (value >= current - slack) {
          stale = value > current ? 0 : stale + 1;
          [order, current] = [next, value];
        } else stale++;
        if (stale > 400) [order, current, stale] = [[...indices].sort(() => random() - 0.5), -1, 0];
      }
      return !best.most;
    },
    best: () => best,
  };
}

function shuffleSome(order: readonly number[], random: () => number): number[] {
  const next = [...order];
  const pick = (): number => Math.floor(random() * next.length);
  if (random() < 0.5) {
    const [a, b] = [pick(), pick()];
    [next[a], next[b]] = [next[b]!, next[a]!];
  } else {
    const [moved] = next.splice(pick(), 1);
    next.splice(pick(), 0, moved!);
  }
  return next;
}
