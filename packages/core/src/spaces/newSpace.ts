import { codeShape, newBinCode, newShelfCode, newSpaceCode, type CodesInUse } from '../base';
import type { BinFields, Op, ShelfFields, ShelfKind, SpaceFields, SpaceKind } from '../household';

/** What a space of a kind usually consists of; a start that can be changed (own defaults). */
export const USUAL_SHELVES: Readonly<Record<SpaceKind, { kind: ShelfKind; count: number }>> = {
  storage_rack: { kind: 'shelf', count: 4 },
  closet: { kind: 'shelf', count: 5 },
  cupboard: { kind: 'shelf', count: 3 },
  chest_freezer: { kind: 'floor', count: 1 },
  upright_freezer: { kind: 'drawer', count: 5 },
  refrigerator: { kind: 'shelf', count: 4 },
  drawer_unit: { kind: 'drawer', count: 4 },
  medicine_cupboard: { kind: 'shelf', count: 3 },
  vehicle: { kind: 'floor', count: 1 },
  other: { kind: 'shelf', count: 2 },
};
/** A space begins with at most so many shelves. */
export const MOST_SHELVES = 20;
const LONGEST_BIN_NAME = 120;
const HANGING_BASKETS = 2;
const DOOR_RACKS = 3;
const NOT_MEASURED = { leftTenthMm: null, widthTenthMm: null, heightTenthMm: null, depthTenthMm: null };

/** What someone says about a new space before it is there. Lengths in tenths of a millimetre, null when not measured. */
export interface NewSpace {
  name: string;
  kind: SpaceKind;
  /** Shelves, drawers or floor places, without a chest's hanging baskets and a door's racks; 0…MOST_SHELVES. */
  count: number;
  widthTenthMm: number | null;
  heightTenthMm: number | null;
  depthTenthMm: number | null;
  /** Names of the first bins, for each shelf from the top; missing shelves have none. */
  bins: readonly (readonly string[])[];
}

/**
 * The kinds of the shelves a new space gets, from the top: a chest has its two baskets above the floor, a
 * refrigerator three racks in its door.
 */
export const shelfKindsOf = (kind: SpaceKind, count: number): ShelfKind[] => [
  ...(kind === 'chest_freezer' ? Array.from({ length: HANGING_BASKETS }, () => 'hanging_basket' as const) : []),
  ...Array.from({ length: count }, () => USUAL_SHELVES[kind].kind),
  ...(kind === 'refrigerator' ? Array.from({ length: DOOR_RACKS }, () => 'door_rack' as const) : []),
];

/** Names of bins as people list them: between commas, blanks around them dropped, each at most 120 letters. */
export const binNamesIn = (text: string): string[] =>
  text
    .split(',')
    .map((name) => name.trim().slice(0, LONGEST_BIN_NAME))
    .filter((name) => name !== '');

/**
 * The operations that create a space with its shelves and first bins, each with a code of its own.
 * @param inUse every code ever given out
 * @param newId makes ids; called once for each row
 * @returns the space first, then each shelf followed by its bins. Never fails.
 */
export function opsForNewSpace(
  wanted: NewSpace,
  where: { roomId: string; sort: number },
  inUse: CodesInUse,
  newId: () => string,
): { spaceId: string; ops: Op[] } {
  const shapes = new Set(inUse.shapes);
  const given = (code: string): string => {
    shapes.add(codeShape(code));
    return code;
  };
  const code = given(newSpaceCode(wanted.name, { shapes }));
  const spaceId = newId();
  const { name, kind, widthTenthMm, heightTenthMm, depthTenthMm } = wanted;
  const measures = { widthTenthMm, heightTenthMm, depthTenthMm, postWidthTenthMm: null };
  const fields: SpaceFields = { ...where, name, kind, code, ...measures, locked: false, note: '' };
  const ops: Op[] = [{ op: 'create', entity: 'space', id: spaceId, fields }];
  shelfKindsOf(kind, wanted.count).forEach((shelfKind, sort) => {
    const shelfId = newId();
    const shelfCode = given(newShelfCode(code, { shapes }));
    const shelf: ShelfFields = {
      spaceId,
      name: '',
      kind: shelfKind,
      code: shelfCode,
      sort,
      ...NOT_MEASURED,
      bottomTenthMm: null,
    };
    ops.push({ op: 'create', entity: 'shelf', id: shelfId, fields: shelf });
    ops.push(...opsForNewBins(wanted.bins[sort] ?? [], { shelfId, parentBinId: null }, shelfCode, 0, shapes, newId));
  });
  return { spaceId, ops };
}

/**
 * New bins by name on a shelf or in another bin, closed and unmeasured.
 * @param shapes the shapes of all codes in use; those given here are added
 * @param sort the place of the first one, counted from the left
 */
export function opsForNewBins(
  names: readonly string[],
  place: Pick<BinFields, 'shelfId' | 'parentBinId'>,
  parentCode: string,
  sort: number,
  shapes: Set<string>,
  newId: () => string,
): Op[] {
  return names.map((name, at): Op => {
    const code = newBinCode(parentCode, { shapes });
    shapes.add(codeShape(code));
    const fields: BinFields = {
      ...place,
      ...NOT_MEASURED,
      code,
      sort: sort + at,
      name,
      look: 'closed',
      hasLid: false,
      tags: [],
    };
    return { op: 'create', entity: 'bin', id: newId(), fields };
  });
}
