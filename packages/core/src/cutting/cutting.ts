/** Cutting lists: strips for dividers, liners from a roll, risers from boards. Lengths in tenths of a millimetre. */

export interface CutPiece {
  name: string;
  length: number;
}
export interface CutBar {
  pieces: CutPiece[];
  /** Left over after the cuts. */
  rest: number;
}
/** What to cut from what; or the pieces that are longer than the stock. */
export type CutPlan =
  | { ok: true; bars: CutBar[]; /** No plan needs fewer bars. */ fewest: boolean; waste: number }
  | { ok: false; tooLong: CutPiece[] };

/** Choices looked at before the search is content; some hundredths of a second. */
const BUDGET = 200_000;

/**
 * Pieces from bars of stock length with the fewest bars: one-dimensional cutting stock. Each cut loses the saw kerf, except
 * that the last piece of a bar may end at the bar's end. First-fit decreasing at once, then branch and bound bar by bar.
 *
 * @param pieces lengths over 0; empty gives no bars
 * @param kerf width of the saw cut, 0 for shears
 * @returns bars with their pieces, or the pieces that are longer than a bar
 * For example pieces of 600, 600, 400, 400 from 1000 with no kerf: 2 bars, nothing wasted.
 */
export function cutBars(pieces: readonly CutPiece[], stock: number, kerf: number, budget = BUDGET): CutPlan {
  const tooLong = pieces.filter(({ length }) => length > stock);
  if (tooLong.length > 0) return { ok: false, tooLong };
  const sorted = [...pieces].sort((a, b) => b.length - a.length);
  // A kerf at the end of the bar is free: every piece and the bar grow by one kerf.
  const room = stock + kerf;
  const size = sorted.map(({ length }) => length + kerf);
  const least = Math.ceil(size.reduce((sum, one) => sum + one, 0) / room - 1e-9);
  let best = firstFit(size, room);
  const search = { left: budget };
  while (best.length > least && search.left > 0) {
    const fewer = packInto(size, room, best.length - 1, search);
    if (!fewer) break;
    best = fewer;
  }
  const bars = best.map((indices) => {
    const own = indices.map((at) => sorted[at]!);
    const used = own.reduce((sum, { length }) => sum + length, 0) + kerf * Math.max(0, own.length - 1);
    return { pieces: own, rest: Math.max(0, stock - used) };
  });
  return {
    ok: true,
    bars,
    fewest: best.length <= least || search.left > 0,
    waste: bars.reduce((sum, bar) => sum + bar.rest, 0),
  };
}

function firstFit(size: readonly number[], room: number): number[][] {
  const bars: { indices: number[]; left: number }[] = [];
  size.forEach((one, at) => {
    const bar = bars.find(({ left }) => left >= one);
    if (bar) {
      bar.indices.push(at);
      bar.left -= one;
    } else bars.push({ indices: [at], left: room - one });
  });
  return bars.map(({ indices }) => indices);
}

/** All pieces into at most `most` bars, or null: proven when the search has choices left. */
function packInto(size: readonly number[], room: number, most: number, search: { left: number }): number[][] | null {
  const left = new Array<number>(most).fill(room);
  const bars: number[][] = Array.from({ length: most }, () => []);
  const spare = most * room - size.reduce((sum, one) => sum + one, 0);
  const smallest = size.at(-1) ?? 0;
  const put = (at: number, lost: number): boolean => {
    if (at === size.length) return true;
    if (--search.left < 0) return false;
    const seen = new Set<number>();
    for (let bar = 0; bar < most; bar++) {
      const room = left[bar]!;
      if (room < size[at]! || seen.has(room)) continue;
      // Equal pieces go into bars in one order only.
      if (at > 0 && size[at] === size[at - 1] && bar < barOf[at - 1]!) continue;
      seen.add(room);
      const rest = room - size[at]!;
      const loss = rest < smallest ? rest : 0;
      if (lost + loss > spare) continue;
      left[bar] = rest;
      barOf[at] = bar;
      bars[bar]!.push(at);
      if (put(at + 1, lost + loss)) return true;
      bars[bar]!.pop();
      left[bar] = room;
    }
    return false;
  };
  const barOf = new Array<number>(size.length).fill(0);
  return put(0, 0) ? bars.filter((bar) => bar.length > 0) : null;
}

/**
 * Strips that divide a drawer or box into columns and rows of equal compartments, halved into each other where they cross.
 *
 * @param inside clear measures; `thickness` of the strips
 * @returns the strips, and the clear size of one compartment; null when the strips would fill the drawer
 * For example 400 × 300 in 3 columns and 2 rows of 5 mm strips: two of 300, one of 400; compartments 130 × 147.5.
 */
export function dividerStrips(
  inside: { widthTenthMm: number; depthTenthMm: number },
  columns: number,
  rows: number,
  thickness: number,
): { strips: CutPiece[]; compartment: { widthTenthMm: number; depthTenthMm: number }; slots: number } | null {
  const width = (inside.widthTenthMm - (columns - 1) * thickness) / columns;
  const depth = (inside.depthTenthMm - (rows - 1) * thickness) / rows;
  if (width <= 0 || depth <= 0) return null;
  const strips = [
    ...Array.from({ length: columns - 1 }, () => ({ name: 'front to back', length: inside.depthTenthMm })),
    ...Array.from({ length: rows - 1 }, () => ({ name: 'side to side', length: inside.widthTenthMm })),
  ];
  return {
    strips,
    compartment: { widthTenthMm: width, depthTenthMm: depth },
    slots: 2 * (columns - 1) * (rows - 1),
  };
}

export interface LinerCut {
  name: string;
  /** Along the roll. */
  length: number;
  across: number;
  strips: number;
}

/**
 * Shelf liners off a roll: in as few strips as can be, then in the direction that takes less of the roll.
 * @returns cuts and the length of roll they take together
 */
export function linersFromRoll(
  shelves: readonly { name: string; widthTenthMm: number; depthTenthMm: number }[],
  rollWidth: number,
): { cuts: LinerCut[]; rollLength: number } {
  const cuts = shelves.map(({ name, widthTenthMm, depthTenthMm }): LinerCut => {
    const ways = [
      { length: widthTenthMm, across: depthTenthMm },
      { length: depthTenthMm, across: widthTenthMm },
    ].map((way) => ({ ...way, strips: Math.ceil(way.across / rollWidth) }));
    const [one, other] = ways as [(typeof ways)[0], (typeof ways)[0]];
    return { name, ...(isBetter(one, other) ? one : other) };
  });
  return { cuts, rollLength: cuts.reduce((sum, { length, strips }) => sum + length * strips, 0) };
}

const isBetter = (a: Pick<LinerCut, 'length' | 'strips'>, b: Pick<LinerCut, 'length' | 'strips'>): boolean =>
  a.strips < b.strips || (a.strips === b.strips && a.length <= b.length);

/**
 * True sizes of dry softwood boards by their nominal inches, tenths of a millimetre: American Softwood Lumber Standard,
 * PS 20, table of minimum dressed dry sizes (3/4, 1 1/2; 2 1/2, 3 1/2, 5 1/2, 7 1/4, 9 1/4 in), from memory.
 */
export const NOMINAL_BOARDS: readonly { nominal: string; thicknessTenthMm: number; widthTenthMm: number }[] = [
  { nominal: '1×3', thicknessTenthMm: 190.5, widthTenthMm: 635 },
  { nominal: '1×4', thicknessTenthMm: 190.5, widthTenthMm: 889 },
  { nominal: '1×6', thicknessTenthMm: 190.5, widthTenthMm: 1397 },
  { nominal: '1×8', thicknessTenthMm: 190.5, widthTenthMm: 1841.5 },
  { nominal: '1×10', thicknessTenthMm: 190.5, widthTenthMm: 2349.5 },
  { nominal: '2×4', thicknessTenthMm: 381, widthTenthMm: 889 },
  { nominal: '2×6', thicknessTenthMm: 381, widthTenthMm: 1397 },
  { nominal: '2×8', thicknessTenthMm: 381, widthTenthMm: 1841.5 },
];

/**
 * A riser of stacked boards: enough layers to reach at least the height wished, enough boards side by side for the depth.
 * @returns pieces of the shelf's width to cut, and the height and depth reached
 */
export function riserPieces(
  want: { widthTenthMm: number; depthTenthMm: number; heightTenthMm: number },
  board: { thicknessTenthMm: number; widthTenthMm: number },
): { pieces: CutPiece[]; layers: number; sideBySide: number; heightTenthMm: number; depthTenthMm: number } {
  const layers = Math.max(1, Math.ceil(want.heightTenthMm / board.thicknessTenthMm - 1e-9));
  const sideBySide = Math.max(1, Math.floor(want.depthTenthMm / board.widthTenthMm + 1e-9));
  return {
    pieces: Array.from({ length: layers * sideBySide }, () => ({ name: 'riser', length: want.widthTenthMm })),
    layers,
    sideBySide,
    heightTenthMm: layers * board.thicknessTenthMm,
    depthTenthMm: sideBySide * board.widthTenthMm,
  };
}
