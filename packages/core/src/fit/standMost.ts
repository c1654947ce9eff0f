import { slidesIn, standsFree, type Body, type Compartment, type StandingBody } from './compartment';

/** Places tried in all, and those that hold a bin; more are left to the quicker ways. */
const MOST_PLACES = 2500;
const MOST_STANDING = 500;
/** Steps of the search before it answers with what it has. */
const STEPS = 1200;
/** Points of the grid that the bound counts; finer is nearer to the truth and slower. */
const MOST_POINTS = 240;

/**
 * The most equal straight bins that stand on a floor with anything in the way, each reached by being pushed straight in: an exact
 * search while it is small. A bin can always be shifted to the left and to the front until it meets a wall, the frame, an
 * obstacle or another bin, and it can still be reached there; so that only such places are tried. Branches on the grid point that
 * the fewest places cover; the bound is the covered points over those that one bin covers at least.
 *
 * @param least how many are known to stand already
 * @returns `bins` null when none better than `least` was found; `proven` when no straight arrangement of reached bins holds more
 */
export function standMost(
  body: Body,
  room: Compartment,
  least: number,
  steps = STEPS,
): { bins: StandingBody[] | null; proven: boolean } {
  const places = placesOf(body, room);
  if (places === null) return { bins: null, proven: false };
  return new PlaceSearch(places, body, room, steps).most(least);
}

/** Where a bin may stand, shifted to the left and to the front; null when there are too many such places. */
function placesOf(body: Body, room: Compartment): StandingBody[] | null {
  const { width: w, depth: d } = body;
  const front = room.access === 'front';
  const places: StandingBody[] = [];
  let looked = 0;
  for (const turned of w === d ? [false] : [false, true]) {
    const [bw, bd] = turned ? [d, w] : [w, d];
    const left = front ? room.openingLeft : 0;
    const right = front ? room.openingLeft + room.openingWidth : room.width;
    const xs = sums([left, ...edges(body, room, 'x', bw)], w, d, right - bw);
    const ys = sums([0, ...edges(body, room, 'y', bd)], w, d, room.depth - bd);
    looked += xs.length * ys.length;
    if (looked > MOST_PLACES) return null;
    for (const x of xs)
      for (const y of ys) {
        const bin: StandingBody = { ...body, cx: x + bw / 2, cy: y + bd / 2, z: 0, degrees: turned ? 90 : 0 };
        if (!standsFree(bin, room) || !slidesIn(bin, room)) continue;
        places.push(bin);
        if (places.length > MOST_STANDING) return null;
      }
  }
  return places;
}

/** The right (or rear) edges of what is in the way, less what a leaning wall reaches over a low one. */
function edges(body: Body, room: Compartment, along: 'x' | 'y', side: number): number[] {
  const foot = body.footShare ?? 1;
  return room.obstacles
    .filter((one) => one.z < body.height + room.lip && one.z + one.height > 0)
    .map((one) => {
      const shared = Math.min(1, (one.z + one.height) / body.height);
      const lean = (side * (1 - foot) * (1 - shared)) / 2;
      return along === 'x' ? one.x + one.width - lean : one.y + one.depth - lean;
    });
}

/** All sums of whole widths and depths from some starts, up to a limit, ascending. */
function sums(starts: readonly number[], w: number, d: number, limit: number): number[] {
  const found = new Set<number>();
  for (const start of starts)
    for (let a = Math.max(0, start); a <= limit + 0.25; a += w)
      for (let b = a; b <= limit + 0.25 && found.size <= MOST_PLACES; b += d) found.add(Math.round(b * 4) / 4);
  return [...found].sort((a, b) => a - b);
}

/** Which places go together: bit sets over places, one for each grid point and each place. */
class PlaceSearch {
  private readonly words: number;
  private readonly meets: Uint32Array[] = [];
  private readonly points: Uint32Array[] = [];
  /** Grid points that a place covers at the least. */
  private readonly each: number;
  private best: number[] | null = null;
  private bestCount = 0;
  private stopped = false;

  constructor(
    private readonly places: readonly StandingBody[],
    body: Body,
    room: Compartment,
    private steps: number,
  ) {
    this.words = Math.ceil(places.length / 32);
    const short = Math.min(body.width, body.depth);
    const long = Math.max(body.width, body.depth);
    let parts = 1;
    while (parts < 4 && (room.width / short) * (room.depth / short) * (parts + 1) ** 2 <= MOST_POINTS) parts++;
    const step = short / parts;
    this.each = parts * Math.floor(long / step + 1e-9);
    const boxes = places.map(boxOf);
    for (const a of boxes) {
      const bits = new Uint32Array(this.words);
      boxes.forEach((b, at) => {
        if (a.x < b.right - 0.5 && b.x < a.right - 0.5 && a.y < b.back - 0.5 && b.y < a.back - 0.5) set(bits, at);
      });
      this.meets.push(bits);
    }
    for (let x = step / 2; x < room.width; x += step)
      for (let y = step / 2; y < room.depth; y += step) {
        const bits = new Uint32Array(this.words);
        let any = false;
        boxes.forEach((box, at) => {
          if (x < box.x || x >= box.right || y < box.y || y >= box.back) return;
          set(bits, at);
          any = true;
        });
        if (any) this.points.push(bits);
      }
  }

  most(least: number): { bins: StandingBody[] | null; proven: boolean } {
    this.bestCount = least;
    const all = new Uint32Array(this.words);
    this.places.forEach((_, at) => set(all, at));
    this.visit(all, []);
    return { bins: this.best?.map((at) => this.places[at]!) ?? null, proven: !this.stopped };
  }

  private visit(free: Uint32Array, chosen: number[]): void {
    if (chosen.length > this.bestCount) {
      this.bestCount = chosen.length;
      this.best = [...chosen];
    }
    let covered = 0;
    let narrow: Uint32Array | null = null;
    let fewest = Infinity;
    for (const point of this.points) {
      const count = shared(point, free);
      if (count === 0) continue;
      covered++;
      if (count < fewest) [fewest, narrow] = [count, point];
    }
    if (!narrow || chosen.length + Math.floor(covered / this.each + 1e-9) <= this.bestCount) return;
    const here: number[] = [];
    for (let at = 0; at < this.places.length; at++) if (has(narrow, at) && has(free, at)) here.push(at);
    for (const at of here) {
      if (--this.steps < 0) {
        this.stopped = true;
        return;
      }
      this.visit(without(free, this.meets[at]!), [...chosen, at]);
      if (this.stopped) return;
    }
    this.visit(without(free, narrow), chosen);
  }
}

function boxOf({ cx, cy, width, depth, degrees }: StandingBody): { x: number; y: number; right: number; back: number } {
  const [w, d] = degrees === 90 ? [depth, width] : [width, depth];
  return { x: cx - w / 2, y: cy - d / 2, right: cx + w / 2, back: cy + d / 2 };
}

const set = (bits: Uint32Array, at: number): void => {
  bits[at >>> 5] = bits[at >>> 5]! | (1 << (at & 31));
};
const has = (bits: Uint32Array, at: number): boolean => ((bits[at >>> 5]! >>> (at & 31)) & 1) === 1;

function without(a: Uint32Array, b: Uint32Array): Uint32Array {
  const left = new Uint32Array(a.length);
  for (let word = 0; word < a.length; word++) left[word] = a[word]! & ~b[word]!;
  return left;
}

function shared(a: Uint32Array, b: Uint32Array): number {
  let count = 0;
  for (let word = 0; word < a.length; word++) {
    let bits = a[word]! & b[word]!;
    while (bits !== 0) {
      bits &= bits - 1;
      count++;
    }
  }
  return count;
}
