import { slidesIn, standsFree, type Compartment, type Standing } from './compartment';
import { MOST_STACKED } from './container';
import { cutOut, narrowestPlace, type PackPiece } from './packRectangles';
import { findSlantedRow, type SlantedRow } from './slantedRow';
import { floorBox, overlap, type FloorRect } from './turnedRectangle';

interface Kind {
  containerId: string;
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
  footShare: number;
  stackPitchTenthMm: number | null;
}

/** One shelf being filled: what stands on it, what room is free, what it carries. */
export class ShelfFloor {
  private readonly bins: Standing[] = [];
  private readonly stacks: { containerId: string; foot: Standing; count: number }[] = [];
  /** Free rectangles by which obstacles are in the way at a height. */
  private readonly free = new Map<string, FloorRect[]>();
  private grams = 0;

  constructor(
    readonly shelfId: string,
    private readonly room: Compartment,
    private readonly loadGrams: number | null,
    /** Slanted rows found before, shared by all that fill the same space. */
    private readonly rows: Map<string, SlantedRow | null>,
  ) {}

  /**
   * Puts one on the floor where it leaves the narrowest gap, or at a slant where it fits in no other way.
   *
   * @param slim only the way round that takes less of the shelf's width
   */
  place(kind: Kind, weightGrams: number, slim = false): Standing | null {
    if (kind.heightTenthMm > this.room.height || !this.carries(weightGrams)) return null;
    const { piece, turn } = this.pieceOf(kind, slim);
    const place = narrowestPlace(this.freeAt(kind.heightTenthMm), piece);
    if (place) {
      const quarter = place.turned !== turn;
      const bin = this.body(kind, place.x + place.width / 2, place.y + place.depth / 2, quarter ? 90 : 0);
      if (standsFree(bin, this.room) && slidesIn(bin, this.room)) return this.take(kind, bin, weightGrams);
    }
    return this.placeSlanted(kind, weightGrams);
  }

  /** How narrow a gap one would leave on the floor; null when there is no room for it. */
  gapFor(kind: Kind, weightGrams: number, slim = false): number | null {
    if (kind.heightTenthMm > this.room.height || !this.carries(weightGrams)) return null;
    const { piece } = this.pieceOf(kind, slim);
    return narrowestPlace(this.freeAt(kind.heightTenthMm), piece)?.gap ?? null;
  }

  private pieceOf({ widthTenthMm: w, depthTenthMm: d }: Kind, slim: boolean): { piece: PackPiece; turn: boolean } {
    const turn = slim && Math.max(w, d) <= this.room.depth && d < w;
    const mayTurn = !slim || Math.max(w, d) > this.room.depth;
    return { piece: { width: turn ? d : w, depth: turn ? w : d, value: 1, mayTurn }, turn };
  }

  private placeSlanted(kind: Kind, weightGrams: number): Standing | null {
    const straight =
      Math.max(kind.widthTenthMm, kind.depthTenthMm) <= Math.max(this.room.openingWidth, this.room.depth);
    const long = kind.widthTenthMm > this.room.openingWidth && kind.widthTenthMm > this.room.depth;
    if (straight && !long) return null;
    const { width, depth, openingWidth, obstacles } = this.room;
    const shape = obstacles.map((one) => [one.x, one.y, one.z, one.width, one.depth].join(' ')).join();
    const key = [kind.containerId, width, depth, openingWidth, shape].join('/');
    let row = this.rows.get(key);
    if (row === undefined) {
      row = findSlantedRow(
        { width: kind.widthTenthMm, depth: kind.depthTenthMm, height: kind.heightTenthMm, footShare: kind.footShare },
        this.room,
      );
      this.rows.set(key, row);
    }
    if (!row?.getsIn) return null;
    const bin = row.bins.find((one) => this.bins.every((other) => other.z > 0 || !overlap(one, other)));
    return bin ? this.take(kind, bin, weightGrams) : null;
  }

  /** Puts one on top of others of its kind. */
  onStack(kind: Kind, weightGrams: number): Standing | null {
    if (kind.stackPitchTenthMm === null || !this.carries(weightGrams)) return null;
    for (const stack of this.stacks) {
      if (stack.containerId !== kind.containerId || stack.count >= MOST_STACKED) continue;
      const bin = { ...stack.foot, z: stack.foot.z + stack.count * kind.stackPitchTenthMm };
      if (!standsFree(bin, this.room) || !slidesIn(bin, this.room)) continue;
      stack.count++;
      this.bins.push(bin);
      this.grams += weightGrams;
      return bin;
    }
    return null;
  }

  /** Takes up the room of a bin that stands fast. */
  occupy(bin: Standing, weightGrams: number): void {
    this.bins.push(bin);
    this.grams += weightGrams;
    const box = floorBox(bin);
    for (const [key, rects] of this.free) this.free.set(key, cutOut(rects, box));
  }

  /** Free volume over this shelf, millilitres, by outside measures. */
  freeMl(): number {
    const taken = this.bins.reduce((sum, bin) => sum + bin.width * bin.depth * bin.height, 0);
    return Math.max(0, (this.room.width * this.room.depth * this.room.height - taken) / 1e6);
  }

  private carries(grams: number): boolean {
    return this.loadGrams === null || this.grams + grams <= this.loadGrams;
  }

  private body(kind: Kind, cx: number, cy: number, degrees: number): Standing {
    return {
      cx,
      cy,
      z: 0,
      degrees,
      width: kind.widthTenthMm,
      depth: kind.depthTenthMm,
      height: kind.heightTenthMm,
      footShare: kind.footShare,
    };
  }

  private take(kind: Kind, bin: Standing, weightGrams: number): Standing {
    this.occupy(bin, weightGrams);
    this.stacks.push({ containerId: kind.containerId, foot: bin, count: 1 });
    return bin;
  }

  /** Within the way in, less what is in the way of a bin this high, less the bins that stand. */
  private freeAt(height: number): FloorRect[] {
    const { room } = this;
    const lift = room.access === 'front' ? room.lip : 0;
    const inTheWay = room.obstacles.filter((one) => one.z < height + lift);
    const key =
      inTheWay.length === room.obstacles.length ? 'all' : inTheWay.map((one) => room.obstacles.indexOf(one)).join();
    const known = this.free.get(key);
    if (known) return known;
    const front = room.access === 'front';
    let rects: FloorRect[] = [
      { x: front ? room.openingLeft : 0, y: 0, width: front ? room.openingWidth : room.width, depth: room.depth },
    ];
    // What stands in the way of pushing in takes all that is behind it, too.
    for (const one of inTheWay) rects = cutOut(rects, front ? { ...one, depth: room.depth - one.y } : one);
    for (const bin of this.bins) rects = cutOut(rects, floorBox(bin));
    this.free.set(key, rects);
    return rects;
  }
}
