/** A part of a shelf as something that holds a group: things stand on the shelf itself, without a container. */
import type { OnShelf, PlannedBin, PlanRow, SpaceRow } from '../household';
import type { PlanContainer, PlanShelf } from './planTypes';

/** Smaller things roll and fall over on a bare shelf. Own default. */
export const BARE_PIECE_ML = 250;
/** Widths that are looked at, tenths of a millimetre, and how high things are stacked at most. Own defaults. */
const WIDTHS = [2000, 3000, 4500, 6000, 9000];
const STACK_TENTH_MM = 4000;
/** Stays free over them for a hand. */
const HAND_TENTH_MM = 500;
const LEAST_HEIGHT_TENTH_MM = 1000;
/** Kinds of shelves by depth and height that are looked at. */
const MOST_KINDS = 4;

const BARE = 'bare';
/** The id a part of a shelf has among containers; it says its sides. */
const bareId = (width: number, depth: number, height: number): string => `${BARE}:${width}x${depth}x${height}`;
export const isBare = ({ containerId }: Pick<PlannedBin, 'containerId'>): boolean => containerId.startsWith(`${BARE}:`);

/** A part of a shelf as a plan computes with it: no walls, no lid, nothing is weighed or bought. Tenths of a millimetre. */
export function bareContainer(widthTenthMm: number, depthTenthMm: number, heightTenthMm: number): PlanContainer {
  return {
    containerId: bareId(widthTenthMm, depthTenthMm, heightTenthMm),
    widthTenthMm,
    depthTenthMm,
    heightTenthMm,
    footShare: 1,
    lid: false,
    airy: true,
    stackPitchTenthMm: null,
    volumeMl: Math.round((widthTenthMm * depthTenthMm * heightTenthMm) / 1e6),
    weightGrams: 0,
    maxLoadGrams: null,
    free: 60,
    priceMinor: null,
    family: '',
    form: 'bare',
  };
}

/** The part of a shelf an id names; null: it is a container. */
export function bareOf(containerId: string): PlanContainer | null {
  const sides = /^bare:(\d+)x(\d+)x(\d+)$/.exec(containerId);
  return sides ? bareContainer(Number(sides[1]), Number(sides[2]), Number(sides[3])) : null;
}

/** The parts of its shelves that a closet or a cupboard offers: as deep as the shelf, some widths. */
export function bareParts({ kind }: Pick<SpaceRow, 'kind'>, shelves: readonly PlanShelf[]): PlanContainer[] {
  if (kind !== 'closet' && kind !== 'cupboard') return [];
  const kinds = new Map<string, { depth: number; height: number; width: number }>();
  for (const { room, inBody } of shelves) {
    const height = Math.min(STACK_TENTH_MM, room.height, room.openingHeight) - HAND_TENTH_MM;
    if (!inBody || room.access !== 'front' || height < LEAST_HEIGHT_TENTH_MM) continue;
    const key = `${room.depth} ${height}`;
    kinds.set(key, { depth: room.depth, height, width: Math.max(room.openingWidth, kinds.get(key)?.width ?? 0) });
  }
  return [...kinds.values()].slice(0, MOST_KINDS).flatMap(({ depth, height, width }) => partsOf(width, depth, height));
}
const partsOf = (width: number, depth: number, height: number): PlanContainer[] =>
  WIDTHS.filter((one) => one <= width).map((one) => bareContainer(one, depth, height));

/** The parts of one room, where parts of shelves are offered at all. */
export const partsLike = (
  offered: readonly PlanContainer[],
  { openingWidth, depth, height, openingHeight }: PlanShelf['room'],
): PlanContainer[] => {
  const high = Math.min(STACK_TENTH_MM, height, openingHeight) - HAND_TENTH_MM;
  return offered.some(({ form }) => form === 'bare') && high >= LEAST_HEIGHT_TENTH_MM
    ? partsOf(openingWidth, depth, high)
    : [];
};

/** All that stands in a plan: containers, and groups on a shelf itself as if these were containers. */
export const standingIn = ({ placed, onShelf }: Pick<PlanRow, 'placed' | 'onShelf'>): PlannedBin[] => [
  ...placed,
  ...(onShelf ?? []).map(({ widthTenthMm, depthTenthMm, heightTenthMm, ...part }): PlannedBin => ({
    ...part,
    containerId: bareId(widthTenthMm, depthTenthMm, heightTenthMm),
    liftTenthMm: 0,
    buy: false,
  })),
];

/** The other way round: as a plan's row keeps it. */
export function rowsOfStanding(bins: readonly PlannedBin[]): { placed: PlannedBin[]; onShelf: OnShelf[] } {
  const onShelf = bins.flatMap((bin): OnShelf[] => {
    const part = bareOf(bin.containerId);
    if (!part) return [];
    const { key, shelfId, cxTenthMm, cyTenthMm, degrees, group, locked } = bin;
    const { widthTenthMm, depthTenthMm, heightTenthMm } = part;
    return [{ key, shelfId, cxTenthMm, cyTenthMm, degrees, group, locked, widthTenthMm, depthTenthMm, heightTenthMm }];
  });
  return { placed: bins.filter((bin) => !isBare(bin)), onShelf };
}
