import { BOARD_TENTH_MM } from '../fit';
import type { Op, ShelfBuild, ShelfRow, SpaceBuild, SpaceRow } from '../household';

/** A space about whose build nothing is known. */
export const BARE_SPACE_BUILD: SpaceBuild = {
  postDepthTenthMm: null,
  openingWidthTenthMm: null,
  openingHeightTenthMm: null,
  hinge: null,
  holePitchTenthMm: null,
  firstHoleTenthMm: null,
  boardTenthMm: null,
  loadGrams: null,
  obstacles: [],
  school: null,
};
/** A shelf about whose build nothing is known. */
export const BARE_SHELF_BUILD: ShelfBuild = {
  adjustable: false,
  loadGrams: null,
  surface: null,
  lipTenthMm: null,
  aids: [],
};

/** What is asked of a space, in the order one walks with the tape: outline, door, posts, holes, load. */
export const SPACE_QUESTIONS = [
  'width',
  'height',
  'depth',
  'post_width',
  'post_depth',
  'opening_width',
  'opening_height',
  'hinge',
  'hole_pitch',
  'first_hole',
  'board',
  'load',
] as const;
/** Of each shelf. */
export const SHELF_QUESTIONS = ['width', 'depth', 'height', 'bottom', 'lip', 'adjustable', 'surface', 'load'] as const;
export type SpaceQuestion = (typeof SPACE_QUESTIONS)[number];
export type ShelfQuestion = (typeof SHELF_QUESTIONS)[number];

/** One figure or fact that is asked about a space or one of its shelves. */
export type MeasureQuestion =
  | { of: 'space'; id: string; key: SpaceQuestion; answer: 'length' | 'mass' | 'hinge'; value: number | string | null }
  | {
      of: 'shelf';
      id: string;
      key: ShelfQuestion;
      answer: 'length' | 'height' | 'mass' | 'yes_no' | 'surface';
      value: number | string | boolean | null;
    };
/** What a question about measures is answered with; lengths in tenths of a millimetre, weights in grams. */
export type MeasureAnswer = number | string | boolean | null;

const SPACE_FIELD = {
  width: 'widthTenthMm',
  height: 'heightTenthMm',
  depth: 'depthTenthMm',
  post_width: 'postWidthTenthMm',
} as const;
const SPACE_BUILD_FIELD = {
  post_depth: 'postDepthTenthMm',
  opening_width: 'openingWidthTenthMm',
  opening_height: 'openingHeightTenthMm',
  hinge: 'hinge',
  hole_pitch: 'holePitchTenthMm',
  first_hole: 'firstHoleTenthMm',
  board: 'boardTenthMm',
  load: 'loadGrams',
} as const;
const SHELF_FIELD = {
  width: 'widthTenthMm',
  depth: 'depthTenthMm',
  height: 'heightTenthMm',
  bottom: 'bottomTenthMm',
} as const;
const SHELF_BUILD_FIELD = {
  lip: 'lipTenthMm',
  adjustable: 'adjustable',
  surface: 'surface',
  load: 'loadGrams',
} as const;

/** Every question for a space and its shelves with what is known. A chest has no door, a drawer no holes. */
export function measureQuestions(space: SpaceRow, shelves: readonly ShelfRow[]): MeasureQuestion[] {
  const build = space.build ?? BARE_SPACE_BUILD;
  const chest = space.kind === 'chest_freezer';
  const rack = space.kind === 'storage_rack';
  const asked = SPACE_QUESTIONS.filter((key) => {
    if (chest || space.kind === 'vehicle')
      return ![
        'opening_width',
        'opening_height',
        'hinge',
        'hole_pitch',
        'first_hole',
        'board',
        'post_depth',
        'load',
      ].includes(key);
    if (rack) return !['opening_width', 'opening_height', 'hinge'].includes(key);
    return key !== 'post_depth';
  });
  const ofSpace = asked.map((key): MeasureQuestion => ({
    of: 'space',
    id: space.id,
    key,
    answer: key === 'hinge' ? 'hinge' : key === 'load' ? 'mass' : 'length',
    value:
      key in SPACE_FIELD
        ? space[SPACE_FIELD[key as keyof typeof SPACE_FIELD]]
        : build[SPACE_BUILD_FIELD[key as keyof typeof SPACE_BUILD_FIELD]],
  }));
  const ofShelves = shelves
    .filter(({ kind }) => kind !== 'hook_rail')
    .flatMap((shelf) =>
      SHELF_QUESTIONS.filter((key) => {
        if (shelf.kind === 'shelf') return true;
        return ['width', 'depth', 'height', 'bottom'].includes(key) || (key === 'lip' && shelf.kind === 'door_rack');
      }).map((key): MeasureQuestion => {
        const own = shelf.build ?? BARE_SHELF_BUILD;
        return {
          of: 'shelf',
          id: shelf.id,
          key,
          answer:
            key === 'adjustable'
              ? 'yes_no'
              : key === 'surface'
                ? 'surface'
                : key === 'load'
                  ? 'mass'
                  : key === 'bottom' || key === 'lip'
                    ? 'height'
                    : 'length',
          value:
            key in SHELF_FIELD
              ? shelf[SHELF_FIELD[key as keyof typeof SHELF_FIELD]]
              : shelf.build
                ? own[SHELF_BUILD_FIELD[key as keyof typeof SHELF_BUILD_FIELD]]
                : null,
        };
      }),
    );
  return [...ofSpace, ...ofShelves];
}

/** The operation that writes an answer down. */
export function opsForMeasuring(
  space: SpaceRow,
  shelves: readonly ShelfRow[],
  question: MeasureQuestion,
  value: MeasureAnswer,
): Op[] {
  if (question.of === 'space') {
    const field = SPACE_FIELD[question.key as keyof typeof SPACE_FIELD];
    if (field) return [{ op: 'change', entity: 'space', id: space.id, fields: { [field]: value } }];
    const build = {
      ...(space.build ?? BARE_SPACE_BUILD),
      [SPACE_BUILD_FIELD[question.key as keyof typeof SPACE_BUILD_FIELD]]: value,
    };
    return [{ op: 'change', entity: 'space', id: space.id, fields: { build } }];
  }
  const shelf = shelves.find(({ id }) => id === question.id);
  if (!shelf) return [];
  const field = SHELF_FIELD[question.key as keyof typeof SHELF_FIELD];
  if (field) return [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { [field]: value } }];
  const build = {
    ...(shelf.build ?? BARE_SHELF_BUILD),
    [SHELF_BUILD_FIELD[question.key as keyof typeof SHELF_BUILD_FIELD]]: value,
  };
  return [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { build } }];
}

/** Where a dragged shelf comes to rest: on the nearest hole when it is adjustable, else on the nearest half centimetre. */
export function restingHeight(space: SpaceRow, shelf: ShelfRow, wantedTenthMm: number): number {
  const build = space.build;
  const top = (space.heightTenthMm ?? wantedTenthMm) - 500;
  const wanted = Math.max(0, Math.min(wantedTenthMm, top));
  if (shelf.build?.adjustable && build?.holePitchTenthMm && build.firstHoleTenthMm !== null) {
    const first = build.firstHoleTenthMm + (build.boardTenthMm ?? 0);
    const hole = Math.max(0, Math.round((wanted - first) / build.holePitchTenthMm));
    return first + hole * build.holePitchTenthMm;
  }
  return Math.round(wanted / 50) * 50;
}

/** Clear heights that follow when a shelf's surface moves: its own and that of the one below, where both were measured. */
export function opsForMovingShelf(
  space: SpaceRow,
  shelves: readonly ShelfRow[],
  shelf: ShelfRow,
  bottomTenthMm: number,
): Op[] {
  const board = space.build?.boardTenthMm ?? BOARD_TENTH_MM;
  const others = shelves.filter((one) => one.id !== shelf.id && one.kind === shelf.kind && one.bottomTenthMm !== null);
  const above = others
    .filter((one) => one.bottomTenthMm! > bottomTenthMm)
    .sort((a, b) => a.bottomTenthMm! - b.bottomTenthMm!)[0];
  const below = others
    .filter((one) => one.bottomTenthMm! < bottomTenthMm)
    .sort((a, b) => b.bottomTenthMm! - a.bottomTenthMm!)[0];
  const top = above ? above.bottomTenthMm! - board : space.heightTenthMm;
  const height = top === null ? shelf.heightTenthMm : Math.max(1, top - bottomTenthMm);
  const ops: Op[] = [{ op: 'change', entity: 'shelf', id: shelf.id, fields: { bottomTenthMm, heightTenthMm: height } }];
  if (below)
    ops.push({
      op: 'change',
      entity: 'shelf',
      id: below.id,
      fields: { heightTenthMm: Math.max(1, bottomTenthMm - board - below.bottomTenthMm!) },
    });
  return ops;
}
