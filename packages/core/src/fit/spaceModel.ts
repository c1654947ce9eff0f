import type { BuildObstacle, ShelfRow, SpaceRow } from '../household/registry';
import type { Compartment, Obstacle } from './compartment';
import type { HolePattern } from './shelfHeights';

/** A board that was not measured. Own default. */
const BOARD_TENTH_MM = 180;
const HALF_SHELF_BOARD_TENTH_MM = 150;

export interface ShelfModel {
  shelf: ShelfRow;
  bottomTenthMm: number;
  room: Compartment;
  /** The room on top of a half-shelf or riser, where there is one. */
  upper: Compartment[];
  loadGrams: number | null;
  adjustable: boolean;
  /** How far the room reaches beside the posts, beyond the clear width. */
  bayTenthMm: number;
}
export interface SpaceModel {
  space: SpaceRow;
  /** Inner height from the foot. */
  heightTenthMm: number;
  holes: HolePattern | null;
  holeCount: number;
  shelves: ShelfModel[];
  loadGrams: number | null;
  /** Shelves that lack a measure the computation needs, with what is missing. */
  unmeasured: { shelf: ShelfRow; missing: ('width' | 'depth' | 'height')[] }[];
}

/**
 * A space as the computation sees it: one compartment over each measured shelf, with posts, pipes, humps and what hangs in it.
 *
 * @param shelves from top to bottom, not retired
 * @returns measured shelves in the same order; the others are listed with what is missing
 */
export function modelSpace(space: SpaceRow, shelves: readonly ShelfRow[]): SpaceModel {
  const build = space.build ?? null;
  const heightTenthMm = space.heightTenthMm ?? 0;
  const holes =
    build?.holePitchTenthMm && build.firstHoleTenthMm !== null
      ? {
          pitch: build.holePitchTenthMm,
          firstHole: build.firstHoleTenthMm,
          board: build.boardTenthMm ?? BOARD_TENTH_MM,
        }
      : null;
  const model: SpaceModel = {
    space,
    heightTenthMm,
    holes,
    holeCount: holes ? Math.max(0, Math.floor((heightTenthMm - holes.firstHole - holes.board) / holes.pitch) + 1) : 0,
    shelves: [],
    loadGrams: build?.loadGrams ?? null,
    unmeasured: [],
  };
  for (const shelf of shelves) {
    if (shelf.kind === 'hook_rail') continue;
    const found = modelShelf(space, shelf, shelves);
    if ('missing' in found) model.unmeasured.push({ shelf, missing: found.missing });
    else model.shelves.push(found);
  }
  return model;
}

/** The shelf's surface height and, over it, the clear height: as measured, else from its neighbour above. */
function clearHeight(space: SpaceRow, shelf: ShelfRow, shelves: readonly ShelfRow[]): number | null {
  if (shelf.heightTenthMm !== null) return shelf.heightTenthMm;
  if (shelf.bottomTenthMm === null) return null;
  const above = shelves
    .filter((other) => other.kind === shelf.kind && (other.bottomTenthMm ?? 0) > shelf.bottomTenthMm!)
    .map((other) => other.bottomTenthMm! - (space.build?.boardTenthMm ?? BOARD_TENTH_MM));
  const top = above.length > 0 ? Math.min(...above) : space.heightTenthMm;
  return top === null || top <= shelf.bottomTenthMm ? null : top - shelf.bottomTenthMm;
}

function modelShelf(
  space: SpaceRow,
  shelf: ShelfRow,
  shelves: readonly ShelfRow[],
): ShelfModel | { missing: ('width' | 'depth' | 'height')[] } {
  const build = space.build ?? null;
  const post = space.postWidthTenthMm ?? 0;
  const between = shelf.widthTenthMm ?? (space.widthTenthMm === null ? null : space.widthTenthMm - 2 * post);
  const depth = shelf.depthTenthMm ?? space.depthTenthMm;
  const height = clearHeight(space, shelf, shelves);
  const missing = (
    [
      ['width', between],
      ['depth', depth],
      ['height', height],
    ] as const
  )
    .filter(([, value]) => value === null || value <= 0)
    .map(([name]) => name);
  if (missing.length > 0 || between === null || depth === null || height === null) return { missing };
  const access = isFromAbove(space, shelf) ? 'top' : 'front';
  // Corner posts: beside them the shelf is wider than between them, from the front post to the back one.
  const postDepth = build?.postDepthTenthMm ?? null;
  const bay = space.kind === 'storage_rack' && postDepth !== null && post > 0 && 2 * postDepth < depth ? post : 0;
  const width = between + 2 * bay;
  const bottom = shelf.bottomTenthMm ?? 0;
  const frame = build?.openingWidthTenthMm ?? null;
  const openingWidth = Math.min(between, frame ?? between);
  const obstacles: Obstacle[] = [
    ...(bay > 0 ? cornerPosts(width, depth, height, bay, postDepth!) : []),
    ...(build?.obstacles ?? []).flatMap((one) =>
      standingOn(one, { left: shelf.leftTenthMm ?? 0, bottom, width, depth, height, bay }),
    ),
  ];
  const upper: Compartment[] = [];
  for (const aid of shelf.build?.aids ?? []) {
    const x = bay + aid.leftTenthMm;
    if (aid.kind === 'hooks') {
      const hang = Math.min(aid.heightTenthMm, height);
      obstacles.push({
        kind: 'hooks',
        x,
        y: 0,
        width: aid.widthTenthMm,
        depth: aid.depthTenthMm,
        z: height - hang,
        height: hang,
      });
      continue;
    }
    const board = aid.kind === 'half_shelf' ? HALF_SHELF_BOARD_TENTH_MM : aid.heightTenthMm;
    const z = aid.kind === 'half_shelf' ? aid.heightTenthMm : 0;
    obstacles.push({
      kind: aid.kind,
      x,
      y: Math.max(0, depth - aid.depthTenthMm),
      width: aid.widthTenthMm,
      depth: Math.min(depth, aid.depthTenthMm),
      z,
      height: board,
    });
    const left = height - z - board;
    if (left > 0) upper.push(plainRoom(aid.widthTenthMm, Math.min(depth, aid.depthTenthMm), left, access));
  }
  return {
    shelf,
    bottomTenthMm: bottom,
    room: {
      width,
      depth,
      height,
      obstacles,
      access,
      openingLeft: (width - openingWidth) / 2,
      openingWidth,
      openingHeight: Math.min(height, build?.openingHeightTenthMm ?? height),
      lip: shelf.build?.lipTenthMm ?? 0,
    },
    upper,
    loadGrams: shelf.build?.loadGrams ?? null,
    adjustable: shelf.build?.adjustable ?? false,
    bayTenthMm: bay,
  };
}

/** A compartment with nothing in it and a way in as wide and high as itself. */
export const plainRoom = (
  width: number,
  depth: number,
  height: number,
  access: 'front' | 'top' = 'front',
): Compartment => ({
  width,
  depth,
  height,
  obstacles: [],
  access,
  openingLeft: 0,
  openingWidth: width,
  openingHeight: height,
  lip: 0,
});

export const isFromAbove = (space: SpaceRow, shelf: ShelfRow): boolean =>
  space.kind === 'chest_freezer' || shelf.kind === 'drawer' || shelf.kind === 'hanging_basket';

function cornerPosts(width: number, depth: number, height: number, postWidth: number, postDepth: number): Obstacle[] {
  return [0, width - postWidth].flatMap((x) =>
    [0, depth - postDepth].map((y): Obstacle => ({
      kind: 'post',
      x,
      y,
      width: postWidth,
      depth: postDepth,
      z: 0,
      height,
    })),
  );
}

/** The part of a pipe or hump that stands in this compartment. */
function standingOn(
  one: BuildObstacle,
  over: { left: number; bottom: number; width: number; depth: number; height: number; bay: number },
): Obstacle[] {
  const x = one.leftTenthMm - over.left + over.bay;
  const from = Math.max(0, one.bottomTenthMm - over.bottom);
  const to = Math.min(over.height, one.bottomTenthMm + one.heightTenthMm - over.bottom);
  const apart = to <= from || x >= over.width || x + one.widthTenthMm <= 0 || one.frontTenthMm >= over.depth;
  if (apart) return [];
  return [
    {
      kind: one.kind,
      x: Math.max(0, x),
      y: one.frontTenthMm,
      width: Math.min(over.width, x + one.widthTenthMm) - Math.max(0, x),
      depth: Math.min(over.depth - one.frontTenthMm, one.depthTenthMm),
      z: from,
      height: to - from,
    },
  ];
}
