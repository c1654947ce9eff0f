import { slidesIn, standsFree, type Compartment, type StandingBody } from './compartment';
import { MOST_STACKED } from '../containers';
import { cutOut, narrowestPlace, type PackPiece } from './packRectangles';
import { findSlantedRow, type SlantedRow } from './slantedRow';
import { floorBox, overlap, type FloorRect } from '../base';

interface Kind {
  containerId: string;
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
  footShare: number;
  stackPitchTenthMm: number | null;
  /** `under_shelf`: hung from the shelf above, off the floor. */
  form?: string;
}

/** A shelf with nothing on it, and its free floor for bins of a height. Shared by all that fill the same space. */
export class EmptyShelf {
  /** By height: which of the floors. */
  private readonly known = new Map<number, number>();
  private readonly floors: { key: string; rects: FloorRect[] }[] = [];

  constructor(
    readonly shelfId: string,
    readonly bottomTenthMm: number,
    readonly room: Compartment,
    readonly loadGrams: number | null,
    /** Slanted rows found before. */
    readonly rows: Map<string, SlantedRow | null>,
    /** Above it is another shelf, from which something can hang. */
    readonly underShelf = false,
  ) {}

  /** A number for the obstacles that are in the way of a bin this high: bins with one number have one free floor. */
  floorAt(height: number): number {
    const known = this.known.get(height);
    if (known !== undefined) return known;
    const { room } = this;
    const lift = room.access === 'front' ? room.lip : 0;
    const inTheWay = room.obstacles.filter((one) => one.z < height + lift);
    const key = inTheWay.map((one) => room.obstacles.indexOf(one)).join();
    let at = this.floors.findIndex((floor) => floor.key === key);
    if (at < 0) at = this.floors.push({ key, rects: emptyFloor(room, inTheWay) }) - 1;
    this.known.set(height, at);
    return at;
  }

  rectsOf(floor: number): FloorRect[] {
    return this.floors[floor]!.rects;
  }
}

/** Within the way in, less what is in the way; what stands in the way of pushing in takes all that is behind it, too. */
function emptyFloor(room: Compartment, inTheWay: readonly FloorRect[]): FloorRect[] {
  const front = room.access === 'front';
  let rects: FloorRect[] = [
    { x: front ? room.openingLeft : 0, y: 0, width: front ? room.openingWidth : room.width, depth: room.depth },
  ];
  for (const one of inTheWay) rects = cutOut(rects, front ? { ...one, depth: room.depth - one.y } : one);
  return rects;
}

/** One shelf being filled: what stands on it, what room is free, what it carries. */
export class ShelfFloor {
  private readonly room: Compartment;
  private readonly bins: StandingBody[] = [];
  private readonly hung: StandingBody[] = [];
  private readonly stacks: { containerId: string; foot: StandingBody; count: number }[] = [];
  /** Free rectangles by the number of the floor (see EmptyShelf.floorAt), where they were asked for. */
  private readonly free: (FloorRect[] | undefined)[] = [];
  private grams = 0;

  /** @param slim bins stand only the way round that takes less of the shelf's width */
  constructor(
    private readonly shelf: EmptyShelf,
    private readonly slim: boolean,
  ) {
    this.room = shelf.room;
  }

  get shelfId(): string {
    return this.shelf.shelfId;
  }

  get bottomTenthMm(): number {
    return this.shelf.bottomTenthMm;
  }

  /** Puts one on the floor where it leaves the narrowest gap, or at a slant where it fits in no other way. */
  place(kind: Kind, weightGrams: number): StandingBody | null {
    if (kind.form === 'under_shelf') return this.hang(kind);
    if (kind.heightTenthMm > this.room.height || !this.carries(weightGrams)) return null;
    const { piece, turn } = this.pieceOf(kind);
    const place = narrowestPlace(this.freeAt(kind.heightTenthMm), piece);
    if (place) {
      const quarter = place.turned !== turn;
      const bin = this.body(kind, place.x + place.width / 2, place.y + place.depth / 2, quarter ? 90 : 0);
      if (standsFree(bin, this.room) && slidesIn(bin, this.room)) return this.take(kind, bin, weightGrams);
    }
    return this.placeSlanted(kind, weightGrams);
  }

  /** Hangs one under the shelf above, which carries it, where nothing stands as high. */
  private hang(kind: Kind): StandingBody | null {
    const { room } = this;
    const z = room.height - kind.heightTenthMm;
    if (!this.shelf.underShelf || z < 0) return null;
    let rects = emptyFloor(
      room,
      room.obstacles.filter((one) => one.z + one.height > z),
    );
    for (const bin of [...this.bins.filter((one) => one.z + one.height > z), ...this.hung])
      rects = cutOut(rects, floorBox(bin));
    const { piece, turn } = this.pieceOf(kind);
    const place = narrowestPlace(rects, piece);
    if (!place) return null;
    const quarter = place.turned !== turn;
    const bin = { ...this.body(kind, place.x + place.width / 2, place.y + place.depth / 2, quarter ? 90 : 0), z };
    if (!standsFree(bin, room) || !slidesIn(bin, room)) return null;
    this.hung.push(bin);
    return bin;
  }

  /** How narrow a gap one would leave on the floor; null when there is no room for it. */
  gapFor(kind: Kind, weightGrams: number): number | null {
    if (kind.heightTenthMm > this.room.height || !this.carries(weightGrams)) return null;
    return narrowestPlace(this.freeAt(kind.heightTenthMm), this.pieceOf(kind).piece)?.gap ?? null;
  }

  private pieceOf({ widthTenthMm: w, depthTenthMm: d }: Kind): { piece: PackPiece; turn: boolean } {
    const { slim } = this;
    const turn = slim && Math.max(w, d) <= this.room.depth && d < w;
    const mayTurn = !slim || Math.max(w, d) > this.room.depth;
    return { piece: { width: turn ? d : w, depth: turn ? w : d, value: 1, mayTurn }, turn };
  }

  private placeSlanted(kind: Kind, weightGrams: number): StandingBody | null {
    const straight =
      Math.max(kind.widthTenthMm, kind.depthTenthMm) <= Math.max(this.room.openingWidth, this.room.depth);
    const long = kind.widthTenthMm > this.room.openingWidth && kind.widthTenthMm > this.room.depth;
    if (straight && !long) return null;
    const { width, depth, openingWidth, obstacles } = this.room;
    const shape = obstacles.map((one) => [one.x, one.y, one.z, one.width, one.depth].join(' ')).join();
    const key = [kind.containerId, width, depth, openingWidth, shape].join('/');
    let row = this.shelf.rows.get(key);
    if (row === undefined) {
      row = findSlantedRow(
        { width: kind.widthTenthMm, depth: kind.depthTenthMm, height: kind.heightTenthMm, footShare: kind.footShare },
        this.room,
      );
      this.shelf.rows.set(key, row);
    }
    if (!row?.getsIn) return null;
    const bin = row.bins.find(
      (one) => !this.touchesHung(one) && this.bins.every((other) => other.z > 0 || !overlap(one, other)),
    );
    return bin ? this.take(kind, bin, weightGrams) : null;
  }

  /** Puts one on top of others of its kind. */
  onStack(kind: Kind, weightGrams: number): StandingBody | null {
    if (kind.stackPitchTenthMm === null || !this.carries(weightGrams)) return null;
    for (const stack of this.stacks) {
      if (stack.containerId !== kind.containerId || stack.count >= MOST_STACKED) continue;
      const bin = { ...stack.foot, z: stack.foot.z + stack.count * kind.stackPitchTenthMm };
      if (!standsFree(bin, this.room) || !slidesIn(bin, this.room) || this.touchesHung(bin)) continue;
      stack.count++;
      this.bins.push(bin);
      this.grams += weightGrams;
      return bin;
    }
    return null;
  }

  /** Takes up the room of a bin that stands fast, or hangs. */
  occupy(bin: StandingBody, weightGrams: number, form?: string): void {
    if (form === 'under_shelf') {
      this.hung.push(bin);
      return;
    }
    this.bins.push(bin);
    this.grams += weightGrams;
    const box = floorBox(bin);
    for (let at = 0; at < this.free.length; at++) {
      const rects = this.free[at];
      if (rects) this.free[at] = cutOut(rects, box);
    }
  }

  /** Free volume over this shelf, millilitres, by outside measures. */
  freeMl(): number {
    const taken = this.bins.reduce((sum, bin) => sum + bin.width * bin.depth * bin.height, 0);
    return Math.max(0, (this.room.width * this.room.depth * this.room.height - taken) / 1e6);
  }

  private carries(grams: number): boolean {
    return this.shelf.loadGrams === null || this.grams + grams <= this.shelf.loadGrams;
  }

  private body(kind: Kind, cx: number, cy: number, degrees: number): StandingBody {
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

  private take(kind: Kind, bin: StandingBody, weightGrams: number): StandingBody {
    this.occupy(bin, weightGrams);
    if (kind.stackPitchTenthMm !== null) this.stacks.push({ containerId: kind.containerId, foot: bin, count: 1 });
    return bin;
  }

  /** Within the way in, less what is in the way of a bin this high, less the bins that stand. */
  private freeAt(height: number): FloorRect[] {
    const at = this.shelf.floorAt(height);
    const known = this.free[at];
    if (known) return this.belowHung(known, height);
    let rects = this.shelf.rectsOf(at);
    for (const bin of this.bins) rects = cutOut(rects, floorBox(bin));
    this.free[at] = rects;
    return this.belowHung(rects, height);
  }

  /** Of a free floor what something this high has, beside what hangs so low. */
  private belowHung(rects: FloorRect[], height: number): FloorRect[] {
    const low = this.hung.filter(({ z }) => z < height);
    return low.reduce((left, one) => cutOut(left, floorBox(one)), rects);
  }

  private touchesHung(bin: StandingBody): boolean {
    return this.hung.some((one) => one.z < bin.z + bin.height && overlap(one, bin));
  }
}
