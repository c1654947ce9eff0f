/** Made-up spaces to start from; every figure can be changed. Own defaults, no source. */
import type { Op, ShelfFields, ShelfKind, SpaceBuild, SpaceFields, SpaceKind, SpaceRow, ShelfRow } from '../household';
import { BARE_SHELF_BUILD, BARE_SPACE_BUILD } from '../measure';
import { codeShape, newShelfCode, newSpaceCode, type CodesInUse } from '../base';

export interface PatternShelf {
  kind: ShelfKind;
  name?: string;
  bottom: number;
  left?: number;
  width?: number;
  height: number;
  depth?: number;
  adjustable?: boolean;
}
export interface SpacePattern {
  key: string;
  kind: SpaceKind;
  /** Tenths of a millimetre. */
  width: number;
  height: number;
  depth: number;
  post: number;
  build: Partial<SpaceBuild>;
  shelves: PatternShelf[];
}

const stacked = (bottoms: number[], top: number, board: number, more: Partial<PatternShelf> = {}): PatternShelf[] =>
  bottoms.map((bottom, at) => ({
    kind: 'shelf',
    bottom,
    height: (bottoms[at - 1] === undefined ? top : bottoms[at - 1]! - board) - bottom,
    ...more,
  }));

/** Common shapes to start measuring from; own figures, each is asked for afterwards. */
export const SPACE_PATTERNS: readonly SpacePattern[] = [
  {
    key: 'rack_five',
    kind: 'storage_rack',
    width: 12_000,
    height: 18_000,
    depth: 4500,
    post: 350,
    build: { postDepthTenthMm: 350, boardTenthMm: 300 },
    shelves: stacked([14_200, 10_700, 7200, 3700, 200], 17_700, 300),
  },
  {
    key: 'closet_six',
    kind: 'closet',
    width: 9000,
    height: 20_000,
    depth: 4000,
    post: 200,
    build: {
      holePitchTenthMm: 320,
      firstHoleTenthMm: 1020,
      boardTenthMm: 180,
      openingWidthTenthMm: 8400,
      hinge: 'left',
    },
    shelves: [
      ...stacked([17_200, 14_000, 10_800, 7600, 4400], 19_800, 180, { adjustable: true }),
      { kind: 'floor', bottom: 200, height: 4020 },
    ],
  },
  {
    key: 'chest_step',
    kind: 'chest_freezer',
    width: 9600,
    height: 8600,
    depth: 6000,
    post: 500,
    build: {},
    shelves: [
      { kind: 'hanging_basket', name: 'left basket', left: 0, bottom: 5000, width: 4200, height: 2400, depth: 4800 },
      {
        kind: 'hanging_basket',
        name: 'right basket',
        left: 4300,
        bottom: 5000,
        width: 4200,
        height: 2400,
        depth: 4800,
      },
      { kind: 'floor', name: 'under the baskets', left: 0, bottom: 0, width: 6600, height: 4800, depth: 5000 },
      { kind: 'floor', name: 'on the step', left: 6600, bottom: 2800, width: 2000, height: 2000, depth: 5000 },
    ],
  },
  {
    key: 'refrigerator',
    kind: 'refrigerator',
    width: 6000,
    height: 18_000,
    depth: 6000,
    post: 400,
    build: { boardTenthMm: 50 },
    shelves: [
      ...stacked([14_500, 11_500, 8500], 17_600, 50, { depth: 4600 }),
      { kind: 'drawer', name: 'vegetable drawer', bottom: 5800, height: 2400, depth: 4400 },
      { kind: 'drawer', name: 'cold drawer', bottom: 3200, height: 2300, depth: 4400 },
      { kind: 'door_rack', name: 'door, top', bottom: 14_000, height: 2000, depth: 1000 },
      { kind: 'door_rack', name: 'door, middle', bottom: 9500, height: 2400, depth: 1000 },
      { kind: 'door_rack', name: 'door, low', bottom: 4000, height: 3400, depth: 1200 },
    ],
  },
  {
    key: 'drawers',
    kind: 'drawer_unit',
    width: 6000,
    height: 8000,
    depth: 5000,
    post: 180,
    build: {},
    shelves: [6200, 4300, 2400, 300].map((bottom) => ({
      kind: 'drawer' as const,
      bottom,
      height: 1500,
      depth: 4500,
      width: 5400,
    })),
  },
  {
    key: 'under_sink',
    kind: 'cupboard',
    width: 8000,
    height: 7200,
    depth: 5600,
    post: 180,
    build: {
      openingWidthTenthMm: 7400,
      hinge: 'left',
      obstacles: [
        {
          kind: 'pipe',
          leftTenthMm: 3300,
          bottomTenthMm: 2600,
          frontTenthMm: 2600,
          widthTenthMm: 1000,
          heightTenthMm: 4600,
          depthTenthMm: 3000,
        },
      ],
    },
    shelves: [{ kind: 'floor', bottom: 180, height: 6800 }],
  },
];

/** The operations that create a space from a pattern. */
export function opsFromPattern(
  pattern: SpacePattern,
  where: { roomId: string; name: string; sort: number },
  inUse: CodesInUse,
  newId: () => string,
): { spaceId: string; ops: Op[] } {
  const used = new Set(inUse.shapes);
  const code = newSpaceCode(where.name, { shapes: used });
  used.add(codeShape(code));
  const spaceId = newId();
  const fields: SpaceFields = {
    roomId: where.roomId,
    name: where.name,
    kind: pattern.kind,
    code,
    widthTenthMm: pattern.width,
    heightTenthMm: pattern.height,
    depthTenthMm: pattern.depth,
    postWidthTenthMm: pattern.post,
    locked: false,
    note: '',
    sort: where.sort,
    build: { ...BARE_SPACE_BUILD, ...pattern.build },
  };
  const shelves = pattern.shelves.map((shelf, sort): Op => {
    const shelfCode = newShelfCode(code, { shapes: used });
    used.add(codeShape(shelfCode));
    const own: ShelfFields = {
      spaceId,
      name: shelf.name ?? '',
      kind: shelf.kind,
      code: shelfCode,
      sort,
      leftTenthMm: shelf.left ?? null,
      bottomTenthMm: shelf.bottom,
      widthTenthMm: shelf.width ?? pattern.width - 2 * pattern.post,
      heightTenthMm: shelf.height,
      depthTenthMm: shelf.depth ?? pattern.depth - 200,
      build: { ...BARE_SHELF_BUILD, adjustable: shelf.adjustable ?? false },
    };
    return { op: 'create', entity: 'shelf', id: newId(), fields: own };
  });
  return { spaceId, ops: [{ op: 'create', entity: 'space', id: spaceId, fields }, ...shelves] };
}

/** A space like another one, with its shelves and measures, without its bins. */
export function opsForCopyingSpace(
  space: SpaceRow,
  shelves: readonly ShelfRow[],
  name: string,
  sort: number,
  inUse: CodesInUse,
  newId: () => string,
): { spaceId: string; ops: Op[] } {
  const used = new Set(inUse.shapes);
  const code = newSpaceCode(name, { shapes: used });
  used.add(codeShape(code));
  const spaceId = newId();
  const { id: _, seq: __, retired: ___, ...fields } = space;
  const ops: Op[] = [{ op: 'create', entity: 'space', id: spaceId, fields: { ...fields, name, code, sort } }];
  for (const shelf of shelves) ops.push(copyOfShelf(shelf, spaceId, code, shelf.sort, used, newId));
  return { spaceId, ops };
}

/** Another shelf with the same measures, under this one; how high it lies is still to be measured. */
export function opsForCopyingShelf(
  space: SpaceRow,
  shelf: ShelfRow,
  sort: number,
  inUse: CodesInUse,
  newId: () => string,
): Op[] {
  const copy = copyOfShelf(shelf, space.id, space.code, sort, new Set(inUse.shapes), newId);
  return copy.op === 'create' && copy.entity === 'shelf'
    ? [{ ...copy, fields: { ...copy.fields, bottomTenthMm: null } }]
    : [];
}

function copyOfShelf(
  shelf: ShelfRow,
  spaceId: string,
  spaceCode: string,
  sort: number,
  used: Set<string>,
  newId: () => string,
): Op {
  const { id: _, seq: __, retired: ___, ...fields } = shelf;
  const code = newShelfCode(spaceCode, { shapes: used });
  used.add(codeShape(code));
  return { op: 'create', entity: 'shelf', id: newId(), fields: { ...fields, spaceId, code, sort } };
}
