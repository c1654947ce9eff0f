import type { FloorRect } from '../base';

export interface SameFit {
  places: (FloorRect & { turned: boolean })[];
  /** True when no arrangement of straight ones can hold more: the count equals what the area allows. */
  provenBest: boolean;
}

/** Blocks tried before the search is content with what it has; about a tenth of a second. */
const BUDGET = 1_500_000;

/**
 * How many equal containers stand on a rectangular floor, each straight or turned by a quarter. Whole grids both ways, then
 * five blocks around one in the middle, repeated inside each block (Morabito and Morales 1998), remembered by size.
 *
 * @param roomWidth, roomDepth whole numbers from 0
 * @param width, depth whole numbers over 0, the same unit
 * @returns places inside the floor that do not overlap; `most` only when proven by area. One short of the best on rare sizes.
 * @example countSame(400, 250, 70, 30).places.length //=> 47
 */
export function countSame(
  roomWidth: number,
  roomDepth: number,
  width: number,
  depth: number,
  budget = BUDGET,
): SameFit {
  const [roomW, roomD] = [Math.floor(roomWidth), Math.floor(roomDepth)];
  const places = new FiveBlocks(roomW, roomD, width, depth, budget).places();
  return { places, provenBest: places.length >= areaBound(roomW, roomD, width, depth) };
}

/** No arrangement holds more: floor of the areas' ratio, after cutting the room to lengths that can be filled. */
export function areaBound(roomWidth: number, roomDepth: number, width: number, depth: number): number {
  const [w, d] = [fillable(roomWidth, width, depth), fillable(roomDepth, width, depth)];
  return Math.floor((w * d) / (width * depth) + 1e-9);
}

/** The longest sum of whole widths and depths that is not over `room`. */
function fillable(room: number, width: number, depth: number): number {
  let best = 0;
  for (let n = 0; n * width <= room; n++)
    best = Math.max(best, n * width + Math.floor((room - n * width) / depth) * depth);
  return best;
}

type How = { kind: 'grid'; turned: boolean } | { kind: 'five'; cut: [x1: number, x2: number, y1: number, y2: number] };

/** Sizes are counted in raster points: sums of whole widths and depths, the only lengths that can be filled. */
class FiveBlocks {
  private readonly xs: Raster;
  private readonly ys: Raster;
  private readonly counts: Int32Array;
  private readonly bounds: Int32Array;
  private readonly how = new Map<number, How>();

  constructor(
    roomWidth: number,
    roomDepth: number,
    private readonly width: number,
    private readonly depth: number,
    private budget: number,
  ) {
    this.xs = rasterOf(roomWidth, width, depth);
    this.ys = rasterOf(roomDepth, width, depth);
    const size = this.xs.points.length * this.ys.points.length;
    this.counts = new Int32Array(size).fill(-1);
    this.bounds = new Int32Array(size);
    this.xs.points.forEach((x, i) =>
      this.ys.points.forEach((y, j) => (this.bounds[this.key(i, j)] = Math.floor((x * y) / (width * depth) + 1e-9))),
    );
  }

  private key(i: number, j: number): number {
    return i * this.ys.points.length + j;
  }

  /** The most that stand in the whole room, as far as the budget went. */
  places(): SameFit['places'] {
    const [i, j] = [this.xs.points.length - 1, this.ys.points.length - 1];
    this.best(i, j);
    return this.placesIn(i, j, 0, 0);
  }

  private best(i: number, j: number): number {
    const key = this.key(i, j);
    const known = this.counts[key]!;
    if (known >= 0) return known;
    const [w, d] = [this.xs.points[i]!, this.ys.points[j]!];
    const straight = Math.floor(w / this.width) * Math.floor(d / this.depth);
    const turned = Math.floor(w / this.depth) * Math.floor(d / this.width);
    this.counts[key] = Math.max(straight, turned);
    this.how.set(key, { kind: 'grid', turned: turned > straight });
    if (this.counts[key]! < this.bounds[key]!) this.improve(i, j, key);
    return this.counts[key]!;
  }

  private improve(i: number, j: number, key: number): void {
    const { xs, ys, bounds, counts } = this;
    const [w, d] = [xs.points[i]!, ys.points[j]!];
    // By symmetry a pinwheel and its half turn hold the same: the first cut is left of the middle.
    for (let b = 0; b <= i; b++) {
      const x2 = xs.points[b]!;
      const rightOfX2 = xs.fit[w - x2]!;
      for (let a = 0; a <= b; a++) {
        const x1 = xs.points[a]!;
        if (x1 + x2 > w) break;
        const rightOfX1 = xs.fit[w - x1]!;
        const between = xs.fit[x2 - x1]!;
        for (let e = 0; e <= j; e++) {
          const y2 = ys.points[e]!;
          const behindY2 = ys.fit[d - y2]!;
          for (let c = 0; c <= e; c++) {
            if (--this.budget < 0) return;
            const y1 = ys.points[c]!;
            const parts = [
              this.key(b, c),
              this.key(rightOfX2, e),
              this.key(a, ys.fit[d - y1]!),
              this.key(rightOfX1, behindY2),
              this.key(between, ys.fit[y2 - y1]!),
            ];
            let open = 0;
            for (const part of parts) open += bounds[part]!;
            if (open <= counts[key]! || parts.includes(key)) continue;
            let count = 0;
            for (const part of parts) {
              open -= bounds[part]!;
              count += this.best(Math.floor(part / ys.points.length), part % ys.points.length);
              if (count + open <= counts[key]!) break;
            }
            if (count <= counts[key]!) continue;
            counts[key] = count;
            this.how.set(key, { kind: 'five', cut: [x1, x2, y1, y2] });
            if (count >= bounds[key]!) return;
          }
        }
      }
    }
  }

  private placesIn(i: number, j: number, x: number, y: number): SameFit['places'] {
    const how = this.how.get(this.key(i, j));
    const [w, d] = [this.xs.points[i]!, this.ys.points[j]!];
    if (!how || this.counts[this.key(i, j)] === 0) return [];
    if (how.kind === 'grid') return grid({ w, d }, this.width, this.depth, how.turned, x, y);
    return fiveParts(w, d, ...how.cut).flatMap((part) =>
      this.placesIn(this.xs.fit[part.width]!, this.ys.fit[part.depth]!, x + part.x, y + part.y),
    );
  }
}

interface Raster {
  points: number[];
  /** For each length the index of the longest point that is not over it. */
  fit: Int32Array;
}

function rasterOf(room: number, width: number, depth: number): Raster {
  const reachable = new Uint8Array(room + 1);
  reachable[0] = 1;
  for (let at = 1; at <= room; at++)
    if ((at >= width && reachable[at - width]) || (at >= depth && reachable[at - depth])) reachable[at] = 1;
  const points: number[] = [];
  const fit = new Int32Array(room + 1);
  for (let at = 0; at <= room; at++) {
    if (reachable[at]) points.push(at);
    fit[at] = points.length - 1;
  }
  return { points, fit };
}

/** The five parts of a pinwheel; with x1 = x2 or y1 = y2 plain cuts. */
function fiveParts(w: number, d: number, x1: number, x2: number, y1: number, y2: number): FloorRect[] {
  return [
    { x: 0, y: 0, width: x2, depth: y1 },
    { x: x2, y: 0, width: w - x2, depth: y2 },
    { x: x1, y: y1, width: x2 - x1, depth: y2 - y1 },
    { x: 0, y: y1, width: x1, depth: d - y1 },
    { x: x1, y: y2, width: w - x1, depth: d - y2 },
  ];
}

function grid(
  block: { w: number; d: number },
  width: number,
  depth: number,
  turned: boolean,
  x: number,
  y: number,
): SameFit['places'] {
  const [w, d] = turned ? [depth, width] : [width, depth];
  const places: SameFit['places'] = [];
  for (let row = 0; row < Math.floor(block.d / d); row++)
    for (let column = 0; column < Math.floor(block.w / w); column++)
      places.push({ x: x + column * w, y: y + row * d, width: w, depth: d, turned });
  return places;
}
