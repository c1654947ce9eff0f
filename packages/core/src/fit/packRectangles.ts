import type { FloorRect } from '../base';

/** A rectangle to be packed, with what it is worth. */
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
  let [best, turned, bestShort, bestLong] = [-1, false, Infinity, Infinity];
  const mayTurn = piece.mayTurn && piece.width !== piece.depth;
  for (let way = 0; way < (mayTurn ? 2 : 1); way++) {
    const w = way === 0 ? piece.width : piece.depth;
    const d = way === 0 ? piece.depth : piece.width;
    for (let at = 0; at < free.length; at++) {
      const restX = free[at]!.width - w;
      const restY = free[at]!.depth - d;
      if (restX < 0 || restY < 0) continue;
      const short = restX < restY ? restX : restY;
      if (short > bestShort) continue;
      const long = restX < restY ? restY : restX;
      // Of two that are alike the first rectangle is taken, and in it the way not turned.
      if (short === bestShort && (long > bestLong || (long === bestLong && (way === 0 || at >= best)))) continue;
      best = at;
      turned = way === 1;
      bestShort = short;
      bestLong = long;
    }
  }
  if (best < 0) return null;
  const [width, depth] = turned ? [piece.depth, piece.width] : [piece.width, piece.depth];
  return { x: free[best]!.x, y: free[best]!.y, width, depth, turned, gap: bestShort };
}

/** The maximal free rectangles after one is taken; the list given stays as it is. */
export function cutOut(free: readonly FloorRect[], taken: FloorRect): FloorRect[] {
  const { x, y } = taken;
  const [right, back] = [x + taken.width, y + taken.depth];
  const whole: FloorRect[] = [];
  const left: FloorRect[] = [];
  for (const room of free) {
    const roomRight = room.x + room.width;
    const roomBack = room.y + room.depth;
    if (x >= roomRight || right <= room.x || y >= roomBack || back <= room.y) {
      whole.push(room);
      continue;
    }
    if (x > room.x) left.push({ x: room.x, y: room.y, width: x - room.x, depth: room.depth });
    if (right < roomRight) left.push({ x: right, y: room.y, width: roomRight - right, depth: room.depth });
    if (y > room.y) left.push({ x: room.x, y: room.y, width: room.width, depth: y - room.y });
    if (back < roomBack) left.push({ x: room.x, y: back, width: room.width, depth: roomBack - back });
  }
  const untouched = whole.length;
  for (let at = 0; at < left.length; at++) if (!isHeld(left, at, whole, untouched)) whole.push(left[at]!);
  return whole;
}

/** Whether a cut rectangle lies in an untouched one or in another cut one; of two that are alike the first stays. */
function isHeld(cut: readonly FloorRect[], at: number, whole: readonly FloorRect[], untouched: number): boolean {
  const room = cut[at]!;
  for (let other = 0; other < untouched; other++) if (holds(whole[other]!, room)) return true;
  for (let other = 0; other < cut.length; other++) {
    if (other !== at && holds(cut[other]!, room) && (other < at || !holds(room, cut[other]!))) return true;
  }
  return false;
}

const holds = (a: FloorRect, b: FloorRect): boolean =>
  b.x >= a.x && b.y >= a.y && b.x + b.width <= a.x + a.width && b.y + b.depth <= a.y + a.depth;

export interface PackAnswer {
  packed: PackedPiece[];
  value: number;
  /** True when every piece is in, or the search was through: nothing better exists. */
  provenBest: boolean;
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
  let best: PackAnswer = { packed: [], value: -1, provenBest: false };
  const offer = (packed: PackedPiece[]): number => {
    const value = valueOf(packed);
    if (value > best.value) best = { packed, value, provenBest: value >= total - 1e-9 };
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
      for (let n = 0; n < tries && !best.provenBest; n++) {
        const next = shuffleSome(order, random);
        const value = offer(packInOrder(width, depth, pieces, next, obstacles));
        const slack = total * 0.02 * random() * random();
        if (value >= current - slack) {
          stale = value > current ? 0 : stale + 1;
          [order, current] = [next, value];
        } else stale++;
        if (stale > 400) [order, current, stale] = [[...indices].sort(() => random() - 0.5), -1, 0];
      }
      return !best.provenBest;
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
