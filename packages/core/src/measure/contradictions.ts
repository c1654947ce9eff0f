import type { HouseholdState, ShelfRow, SpaceRow } from '../household';

/** Two figures that cannot both be true; lengths in tenths of a millimetre. */
export type Contradiction =
  | { kind: 'inner_over_outer'; shelfId: string; side: 'width' | 'depth' | 'height'; inner: number; outer: number }
  | { kind: 'shelves_over_space'; sum: number; outer: number }
  | { kind: 'surface_over_top'; shelfId: string; bottom: number; outer: number }
  | { kind: 'reaches_next'; shelfId: string; over: number }
  | {
      kind: 'bin_over_shelf';
      binId: string;
      shelfId: string;
      side: 'width' | 'depth' | 'height';
      bin: number;
      shelf: number;
    }
  | { kind: 'opening_over_space'; side: 'width' | 'height'; opening: number; outer: number }
  | { kind: 'narrow_opening'; side: 'width' | 'height'; opening: number; outer: number }
  | { kind: 'thick_board'; value: number }
  | { kind: 'unlikely'; side: 'width' | 'height' | 'depth'; value: number };

/** Longer than any cupboard at home. Own default. */
const UNLIKELY_TENTH_MM = 60_000;

/**
 * Measures of one space that cannot all be true, or hardly. They are pointed out and never changed.
 * @returns in reading order; empty when all agree
 */
export function findContradictions(state: HouseholdState, spaceId: string): Contradiction[] {
  const space = state.get('space', spaceId);
  if (!space) return [];
  const shelves = state.shelvesOf(spaceId);
  const found: Contradiction[] = [];
  for (const [side, value] of [
    ['width', space.widthTenthMm],
    ['height', space.heightTenthMm],
    ['depth', space.depthTenthMm],
  ] as const)
    if (value !== null && value > UNLIKELY_TENTH_MM) found.push({ kind: 'unlikely', side, value });
  found.push(...openingOver(space));
  for (const shelf of shelves) found.push(...innerOver(space, shelf));
  found.push(...stackOver(space, shelves));
  for (const shelf of shelves) {
    for (const bin of state.binsIn(shelf.id)) {
      for (const [side, own, room] of [
        ['width', bin.widthTenthMm, shelf.widthTenthMm],
        ['depth', bin.depthTenthMm, shelf.depthTenthMm],
        ['height', bin.heightTenthMm, shelf.heightTenthMm],
      ] as const)
        if (own !== null && room !== null && own > room && !(bin.standing && bin.standing.degrees !== 0))
          found.push({ kind: 'bin_over_shelf', binId: bin.id, shelfId: shelf.id, side, bin: own, shelf: room });
    }
  }
  return found;
}

/** A way in under this share of the space, and a shelf thicker than that, tenths of a millimetre, are hardly meant. Own defaults. */
const NARROW_SHARE = 0.5;
const THICK_TENTH_MM = 600;

function openingOver({ build, widthTenthMm, heightTenthMm }: SpaceRow): Contradiction[] {
  const found: Contradiction[] = [];
  for (const [side, opening, outer] of [
    ['width', build?.openingWidthTenthMm ?? null, widthTenthMm],
    ['height', build?.openingHeightTenthMm ?? null, heightTenthMm],
  ] as const) {
    if (opening === null || outer === null) continue;
    if (opening > outer) found.push({ kind: 'opening_over_space', side, opening, outer });
    else if (opening < outer * NARROW_SHARE) found.push({ kind: 'narrow_opening', side, opening, outer });
  }
  const board = build?.boardTenthMm ?? 0;
  if (board > THICK_TENTH_MM) found.push({ kind: 'thick_board', value: board });
  return found;
}

function innerOver(space: SpaceRow, shelf: ShelfRow): Contradiction[] {
  if (shelf.kind === 'door_rack') return [];
  const posts = 2 * (space.postWidthTenthMm ?? 0);
  return (
    [
      ['width', shelf.widthTenthMm, space.widthTenthMm === null ? null : space.widthTenthMm - posts],
      ['depth', shelf.depthTenthMm, space.depthTenthMm],
      ['height', shelf.heightTenthMm, space.heightTenthMm],
    ] as const
  ).flatMap(([side, inner, outer]) =>
    inner !== null && outer !== null && inner > outer
      ? [{ kind: 'inner_over_outer' as const, shelfId: shelf.id, side, inner, outer }]
      : [],
  );
}

/** Shelves one above the other: their clear heights and boards must not come to more than the space is high. */
function stackOver(space: SpaceRow, shelves: readonly ShelfRow[]): Contradiction[] {
  const found: Contradiction[] = [];
  const board = space.build?.boardTenthMm ?? 0;
  const outer = space.heightTenthMm;
  const stacked =
    space.kind === 'chest_freezer' ? [] : shelves.filter(({ kind }) => kind === 'shelf' || kind === 'drawer');
  const heights = stacked.map(({ heightTenthMm }) => heightTenthMm);
  if (outer !== null && heights.length > 1 && heights.every((height) => height !== null)) {
    const sum = heights.reduce<number>((total, height) => total + height! + board, 0);
    if (sum > outer) found.push({ kind: 'shelves_over_space', sum, outer });
  }
  const placed = stacked
    .filter(({ bottomTenthMm }) => bottomTenthMm !== null)
    .sort((a, b) => a.bottomTenthMm! - b.bottomTenthMm!);
  placed.forEach((shelf, at) => {
    if (outer !== null && shelf.bottomTenthMm! >= outer)
      found.push({ kind: 'surface_over_top', shelfId: shelf.id, bottom: shelf.bottomTenthMm!, outer });
    const next = placed[at + 1]?.bottomTenthMm ?? outer;
    if (next === null || shelf.heightTenthMm === null || shelf.bottomTenthMm! >= (outer ?? Infinity)) return;
    const over = shelf.bottomTenthMm! + shelf.heightTenthMm + (placed[at + 1] ? board : 0) - next;
    if (over > 0) found.push({ kind: 'reaches_next', shelfId: shelf.id, over });
  });
  return found;
}

/** Two readings of one tape that differ by more than this are asked about, tenths of a millimetre. Own default: 2 mm. */
export const SAME_READING_TENTH_MM = 20;
/** Whether two readings of one length are the same to a tape (within 2 mm). */
export const readingsAgree = (first: number, second: number): boolean =>
  Math.abs(first - second) <= SAME_READING_TENTH_MM;
