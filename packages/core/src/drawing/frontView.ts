import type { BinRow, ShelfRow, SpaceRow } from '../household';

/** Tenths of a millimetre, origin at the top left of the space's outer front, y downwards as drawings have it. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}
export interface DrawnBin {
  bin: BinRow;
  box: Box;
}
/** A shelf with its bins as it is drawn; boxes in tenths of a millimetre. */
export interface DrawnShelf {
  shelf: ShelfRow;
  /** The room above the surface: clear width by clear height. */
  clear: Box;
  /** The board, basket rim or rail itself. */
  board: Box;
  bins: DrawnBin[];
  /** True where measures are missing and even shares were drawn instead. */
  assumed: boolean;
}
/** A space as it is seen from the front with its doors open. */
export interface FrontView {
  outer: Box;
  inner: Box;
  shelves: DrawnShelf[];
  /** Shelves that hang in the door: drawn beside the body. */
  doorShelves: DrawnShelf[];
  doorOuter: Box | null;
  /** Where the floor of a chest is raised, over the compressor. */
  step: Box | null;
  hasLid: boolean;
  assumed: boolean;
}

/** What is drawn when nothing has been measured: a cupboard of 80 by 180 cm (own default). */
const UNMEASURED: Readonly<Record<string, { width: number; height: number }>> = {
  chest_freezer: { width: 9600, height: 8600 },
  storage_rack: { width: 18000, height: 21000 },
  drawer_unit: { width: 6000, height: 8000 },
  vehicle: { width: 12000, height: 6000 },
  medicine_cupboard: { width: 4500, height: 6000 },
};
const UNMEASURED_OTHER = { width: 8000, height: 18000 };
const BOARD = 180;
const BIN_GAP = 120;
const DOOR_GAP = 500;
const DOOR_SHARE = 0.34;
const LEAST_BIN = 300;
/** Nothing smaller than 20 cm is drawn as a space; boards and gaps would fill it. */
const LEAST_SPACE = 2000;

/**
 * Lays a space out from the front, to scale. Missing measures are shared out evenly and marked `assumed`; bins without
 * a place stand side by side from the left, squeezed when they are wider than the shelf.
 *
 * @param shelves from top to bottom, not retired
 * @param binsOf the bins standing directly on a shelf, from left to right
 * @returns boxes that lie inside `outer` (door shelves: inside `doorOuter`)
 */
export function layOutFront(
  space: SpaceRow,
  shelves: readonly ShelfRow[],
  binsOf: (shelfId: string) => readonly BinRow[],
): FrontView {
  const usual = UNMEASURED[space.kind] ?? UNMEASURED_OTHER;
  const outer: Box = {
    x: 0,
    y: 0,
    width: Math.max(LEAST_SPACE, space.widthTenthMm ?? usual.width),
    height: Math.max(LEAST_SPACE, space.heightTenthMm ?? usual.height),
  };
  const post = Math.min(space.postWidthTenthMm ?? 250, outer.width / 8);
  const inner: Box = { x: post, y: post / 2, width: outer.width - 2 * post, height: outer.height - post };
  const inBody = shelves.filter((shelf) => shelf.kind !== 'door_rack');
  const inDoor = shelves.filter((shelf) => shelf.kind === 'door_rack');
  const body = space.kind === 'chest_freezer' ? layOutChest(inBody, inner, binsOf) : layOutStack(inBody, inner, binsOf);
  const doorOuter: Box | null =
    inDoor.length === 0
      ? null
      : { x: outer.width + DOOR_GAP, y: 0, width: Math.round(outer.width * DOOR_SHARE), height: outer.height };
  const doorInner = doorOuter && inset(doorOuter, 150);
  return {
    outer,
    inner,
    shelves: body,
    doorShelves: doorInner ? layOutStack(inDoor, doorInner, binsOf) : [],
    doorOuter,
    step: space.kind === 'chest_freezer' ? stepOf(body, inner) : null,
    hasLid: space.kind === 'chest_freezer',
    assumed: space.widthTenthMm === null || space.heightTenthMm === null || body.some((drawn) => drawn.assumed),
  };
}

const inset = (box: Box, by: number): Box => ({
  x: box.x + by,
  y: box.y + by,
  width: Math.max(1, box.width - 2 * by),
  height: Math.max(1, box.height - 2 * by),
});

/** Shelves one above the other: at their measured heights when these fit the space, otherwise in even shares. */
function layOutStack(
  shelves: readonly ShelfRow[],
  inner: Box,
  binsOf: (shelfId: string) => readonly BinRow[],
): DrawnShelf[] {
  if (shelves.length === 0) return [];
  const bottoms = shelves.map((shelf) => shelf.bottomTenthMm);
  const measured =
    bottoms.every((bottom) => bottom !== null && bottom < inner.height) &&
    bottoms.every((bottom, at) => at === 0 || bottom! < bottoms[at - 1]! - BOARD);
  const share = inner.height / shelves.length;
  return shelves.map((shelf, at) => {
    const surface = measured
      ? inner.y + inner.height - Math.max(BOARD / 2, shelf.bottomTenthMm!)
      : inner.y + share * (at + 1) - BOARD;
    const above =
      at === 0
        ? inner.y
        : measured
          ? inner.y + inner.height - shelves[at - 1]!.bottomTenthMm! + BOARD
          : inner.y + share * at;
    const width = Math.min(shelf.widthTenthMm ?? inner.width, inner.width);
    const left = Math.min(shelf.leftTenthMm ?? 0, inner.width - width);
    const clear: Box = { x: inner.x + left, y: above, width, height: Math.max(1, surface - above) };
    return drawShelf(shelf, clear, binsOf(shelf.id), !measured);
  });
}

/** Baskets hang at the top side by side; the floor, and the floor raised over the compressor, below. */
function layOutChest(
  shelves: readonly ShelfRow[],
  inner: Box,
  binsOf: (shelfId: string) => readonly BinRow[],
): DrawnShelf[] {
  const baskets = shelves.filter((shelf) => shelf.kind === 'hanging_basket');
  const floors = shelves.filter((shelf) => shelf.kind !== 'hanging_basket');
  const basketDepth = baskets.length === 0 ? 0 : inner.height * 0.32;
  const drawn = baskets.map((shelf, at) => {
    const share = inner.width / baskets.length;
    const height = Math.max(200, Math.min(shelf.heightTenthMm ?? basketDepth, basketDepth) - 200);
    const clear: Box = { x: inner.x + share * at + 80, y: inner.y + 120, width: share - 160, height };
    return drawShelf(shelf, clear, binsOf(shelf.id), shelf.heightTenthMm === null);
  });
  const measured = floors.every((shelf) => shelf.widthTenthMm !== null);
  let x = inner.x;
  const total = floors.reduce((sum, shelf) => sum + (shelf.widthTenthMm ?? 0), 0);
  for (const shelf of floors) {
    const share = measured && total > 0 ? (inner.width * shelf.widthTenthMm!) / total : inner.width / floors.length;
    const raised = Math.min(shelf.bottomTenthMm ?? 0, (inner.height - basketDepth) * 0.8);
    const top = inner.y + basketDepth;
    const clear: Box = { x, y: top, width: share, height: inner.y + inner.height - raised - top };
    drawn.push(drawShelf(shelf, clear, binsOf(shelf.id), !measured));
    x += share;
  }
  return drawn;
}

function stepOf(drawn: readonly DrawnShelf[], inner: Box): Box | null {
  const raised = drawn.find((one) => one.shelf.kind === 'floor' && (one.shelf.bottomTenthMm ?? 0) > 0);
  if (!raised) return null;
  const top = raised.clear.y + raised.clear.height;
  return { x: raised.clear.x, y: top, width: raised.clear.width, height: inner.y + inner.height - top };
}

function drawShelf(shelf: ShelfRow, clear: Box, bins: readonly BinRow[], assumed: boolean): DrawnShelf {
  const board: Box = { x: clear.x, y: clear.y + clear.height, width: clear.width, height: BOARD };
  return { shelf, clear, board, bins: standSideBySide(bins, clear, shelf), assumed };
}

function standSideBySide(bins: readonly BinRow[], clear: Box, shelf: ShelfRow): DrawnBin[] {
  if (bins.length === 0) return [];
  const gap = Math.min(BIN_GAP, clear.width / (4 * (bins.length + 1)));
  const room = clear.width - gap * (bins.length + 1);
  const usual = room / Math.max(bins.length, 2);
  const wanted = bins.map((bin) => Math.max(LEAST_BIN, bin.widthTenthMm ?? usual));
  const sum = wanted.reduce((total, width) => total + width, 0);
  const squeeze = sum > room ? Math.max(0, room) / sum : 1;
  if (bins.every((bin) => bin.standing && bin.leftTenthMm !== null && bin.widthTenthMm !== null))
    return standAsPlanned(bins, clear);
  const placed = bins.every((bin) => bin.leftTenthMm !== null) && noneOverlap(bins, clear.width);
  let x = clear.x + gap;
  return bins.map((bin, at) => {
    const width = placed ? bin.widthTenthMm! : wanted[at]! * squeeze;
    const left = placed ? clear.x + bin.leftTenthMm! : x;
    x += width + gap;
    const most = clear.height * 0.94;
    const height = Math.min(bin.heightTenthMm ?? most * 0.72, most);
    const hangs = shelf.kind === 'hook_rail';
    const y = hangs ? clear.y + clear.height * 0.06 : clear.y + clear.height - height;
    return { bin, box: { x: left, y, width, height } };
  });
}

/** Bins with a place of their own: those behind are drawn first, stacked ones where they stand. */
function standAsPlanned(bins: readonly BinRow[], clear: Box): DrawnBin[] {
  return [...bins]
    .sort(
      (a, b) =>
        b.standing!.frontTenthMm - a.standing!.frontTenthMm || a.standing!.liftTenthMm - b.standing!.liftTenthMm,
    )
    .map((bin) => {
      const width = Math.min(bin.widthTenthMm!, clear.width);
      const height = Math.min(bin.heightTenthMm ?? clear.height / 2, clear.height);
      const lift = Math.min(bin.standing!.liftTenthMm, clear.height - height);
      const left = Math.min(bin.leftTenthMm!, clear.width - width);
      return { bin, box: { x: clear.x + left, y: clear.y + clear.height - lift - height, width, height } };
    });
}

function noneOverlap(bins: readonly BinRow[], width: number): boolean {
  const spans = bins
    .map((bin) => [bin.leftTenthMm ?? 0, (bin.leftTenthMm ?? 0) + (bin.widthTenthMm ?? Infinity)] as const)
    .sort((a, b) => a[0] - b[0]);
  return spans.every(([start, end], at) => start >= 0 && end <= width && (at === 0 || start >= spans[at - 1]![1]));
}
