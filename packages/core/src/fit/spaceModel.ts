import type { BuildObstacle, ShelfRow, SpaceRow } from '../household';
import type { Compartment, Obstacle } from './compartment';
import type { HolePattern } from './shelfHeights';

/** A board that was not measured. Own default. */
export const BOARD_TENTH_MM = 180;
const HALF_SHELF_BOARD_TENTH_MM = 150;

/** What a shelf's room is made of, wherever the shelf lies: data only, it goes to a worker. */
export interface ShelfFrame {
  width: number;
  depth: number;
  access: 'front' | 'top';
  openingLeft: number;
  openingWidth: number;
  /** Upper edge of the way in over the foot of the space; null: as high as the room. */
  openingTop: number | null;
  lip: number;
  /** Posts: as high as the room. */
  posts: readonly Obstacle[];
  /** Pipes, humps, hinges: `z` from the foot of the space, they stay when the shelf moves. */
  fixed: readonly Obstacle[];
  /** Half-shelves and risers: `z` from the surface, they move with the shelf. */
  onSurface: readonly Obstacle[];
  /** Hooks: `z` is how far they hang down, from what is above. */
  hanging: readonly Obstacle[];
}

/** A shelf as the fit computes with it: its room, what it carries, whether it can move. */
export interface ShelfModel {
  shelf: ShelfRow;
  bottomTenthMm: number;
  room: Compartment;
  frame: ShelfFrame;
  /** The room on top of a half-shelf or riser, where there is one. */
  upper: Compartment[];
  loadGrams: number | null;
  adjustable: boolean;
  /** How far the room reaches beside the posts, beyond the clear width. */
  bayTenthMm: number;
}
/** A space as the fit computes with it. */
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
  const openingWidth = Math.min(between, build?.openingWidthTenthMm ?? between);
  const aids = aidsOf(shelf, { width, depth, bay });
  const frame: ShelfFrame = {
    width,
    depth,
    access,
    openingLeft: (width - openingWidth) / 2,
    openingWidth,
    openingTop: build?.openingHeightTenthMm ?? null,
    lip: shelf.build?.lipTenthMm ?? 0,
    posts: bay > 0 ? cornerPosts(width, depth, height, bay, postDepth!) : [],
    fixed: (build?.obstacles ?? []).flatMap((one) => fixedIn(one, { left: shelf.leftTenthMm ?? 0, width, depth, bay })),
    onSurface: aids.filter(({ kind }) => kind !== 'hooks'),
    hanging: aids.filter(({ kind }) => kind === 'hooks'),
  };
  const upper = frame.onSurface.flatMap((one) => {
    const left = height - one.z - one.height;
    return left > 0 ? [plainRoom(one.width, one.depth, left, access)] : [];
  });
  return {
    shelf,
    bottomTenthMm: bottom,
    room: roomOver(frame, bottom, height),
    frame,
    upper,
    loadGrams: shelf.build?.loadGrams ?? null,
    adjustable: shelf.build?.adjustable ?? false,
    bayTenthMm: bay,
  };
}

/**
 * The room over a shelf that lies at a height. What is fixed to the space is cut out anew for that height, and the way in ends
 * where it ends in the space.
 *
 * @param bottom the surface over the foot of the space
 * @param height clear height over it
 */
export function roomOver(frame: ShelfFrame, bottom: number, height: number): Compartment {
  const fixed = frame.fixed.flatMap((one): Obstacle[] => {
    const from = Math.max(0, one.z - bottom);
    const to = Math.min(height, one.z + one.height - bottom);
    return to <= from ? [] : [{ ...one, z: from, height: to - from }];
  });
  const hanging = frame.hanging.map((one) => {
    const hang = Math.min(one.height, height);
    return { ...one, z: height - hang, height: hang };
  });
  const opening = frame.openingTop === null ? height : Math.max(0, frame.openingTop - bottom);
  return {
    width: frame.width,
    depth: frame.depth,
    height,
    obstacles: [...frame.posts.map((one) => ({ ...one, height })), ...fixed, ...frame.onSurface, ...hanging],
    access: frame.access,
    openingLeft: frame.openingLeft,
    openingWidth: frame.openingWidth,
    openingHeight: Math.min(height, opening),
    lip: frame.lip,
  };
}

/** A room taken apart again, with no more than is in it. `bottom`: where its surface lies. */
export function frameOf(room: Compartment, bottom: number): ShelfFrame {
  const of = (...kinds: Obstacle['kind'][]): Obstacle[] => room.obstacles.filter(({ kind }) => kinds.includes(kind));
  return {
    width: room.width,
    depth: room.depth,
    access: room.access,
    openingLeft: room.openingLeft,
    openingWidth: room.openingWidth,
    openingTop: room.openingHeight >= room.height ? null : bottom + room.openingHeight,
    lip: room.lip,
    posts: of('post'),
    fixed: of('pipe', 'hump', 'hinge').map((one) => ({ ...one, z: one.z + bottom })),
    onSurface: of('half_shelf', 'riser', 'thing'),
    hanging: of('hooks').map((one) => ({ ...one, z: 0 })),
  };
}

/** Half-shelves, risers and hooks of a shelf. */
function aidsOf(shelf: ShelfRow, { width, depth, bay }: { width: number; depth: number; bay: number }): Obstacle[] {
  return (shelf.build?.aids ?? []).flatMap((aid): Obstacle[] => {
    const x = bay + aid.leftTenthMm;
    if (x >= width) return [];
    if (aid.kind === 'hooks') {
      return [
        { kind: 'hooks', x, y: 0, width: aid.widthTenthMm, depth: aid.depthTenthMm, z: 0, height: aid.heightTenthMm },
      ];
    }
    return [
      {
        kind: aid.kind,
        x,
        y: Math.max(0, depth - aid.depthTenthMm),
        width: aid.widthTenthMm,
        depth: Math.min(depth, aid.depthTenthMm),
        z: aid.kind === 'half_shelf' ? aid.heightTenthMm : 0,
        height: aid.kind === 'half_shelf' ? HALF_SHELF_BOARD_TENTH_MM : aid.heightTenthMm,
      },
    ];
  });
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

/** A pipe or hump as far as it stands over this floor, at its heights in the space. */
function fixedIn(one: BuildObstacle, over: { left: number; width: number; depth: number; bay: number }): Obstacle[] {
  const x = one.leftTenthMm - over.left + over.bay;
  if (x >= over.width || x + one.widthTenthMm <= 0 || one.frontTenthMm >= over.depth) return [];
  return [
    {
      kind: one.kind,
      x: Math.max(0, x),
      y: one.frontTenthMm,
      width: Math.min(over.width, x + one.widthTenthMm) - Math.max(0, x),
      depth: Math.min(over.depth - one.frontTenthMm, one.depthTenthMm),
      z: one.bottomTenthMm,
      height: one.heightTenthMm,
    },
  ];
}
