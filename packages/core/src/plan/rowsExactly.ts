import type { Box } from './buildPlan';
import type { Compartment } from '../fit';
import type { PlanContainer } from './planTypes';

/** Steps before the search answers with what it has. */
const STEPS = 200_000;

/**
 * When shelves take single rows only (no box is shallow enough to stand behind another, none is stacked, nothing is in the way),
 * what fits is a question of widths alone: the boxes worth most by volume, by branch and bound over shelves and kinds.
 *
 * @param rooms from the lowest shelf up
 * @returns indices of the boxes, shelf by shelf; null when the shelves are no such rows. Proven best unless the steps ran out.
 */
export function rowsExactly(boxes: readonly Box[], rooms: readonly Compartment[]): number[] | null {
  if (boxes.some(({ buy }) => buy) || rooms.length === 0 || rooms.length > 6) return null;
  const kinds = kindsOf(boxes);
  if (kinds.length > 10 || !rooms.every((room) => isRow(room, kinds))) return null;
  const uses = rooms.map((room) => kinds.map(({ type }) => widthUsed(type, room)));
  const least = kinds.map((_, kind) => Math.min(...uses.map((use) => use[kind]!)));
  const free = rooms.map(({ openingWidth }) => openingWidth);
  const left = kinds.map(({ indices }) => indices.length);
  const counts = rooms.map(() => kinds.map(() => 0));
  let best = { value: -1, counts: [] as number[][] };
  let steps = STEPS;

  /** Volume of what is left, taken by density until all free widths are full. */
  const bound = (from: number, kind: number): number => {
    let room = free.slice(from).reduce((sum, width) => sum + width, 0);
    const rest = kinds
      .map(({ type }, at) => ({ volume: type.volumeMl, width: least[at]!, count: left[at]!, at }))
      .filter(({ width, at, count }) => Number.isFinite(width) && count > 0 && (from < rooms.length - 1 || at >= kind))
      .sort((a, b) => b.volume / b.width - a.volume / a.width);
    let sum = 0;
    for (const { volume, width, count } of rest) {
      const take = Math.min(count, room / width);
      sum += take * volume;
      room -= take * width;
      if (room <= 0) break;
    }
    return sum;
  };

  const visit = (shelf: number, kind: number, value: number): void => {
    if (--steps < 0) return;
    if (value > best.value) best = { value, counts: counts.map((row) => [...row]) };
    if (shelf >= rooms.length || value + bound(shelf, kind) <= best.value + 1e-6) return;
    if (kind >= kinds.length) return visit(shelf + 1, 0, value);
    const use = uses[shelf]![kind]!;
    const most = Number.isFinite(use) ? Math.min(left[kind]!, Math.floor((free[shelf]! + 0.5) / use)) : 0;
    for (let n = most; n >= 0; n--) {
      counts[shelf]![kind] = n;
      left[kind] = left[kind]! - n;
      free[shelf] = free[shelf]! - n * (n > 0 ? use : 0);
      visit(shelf, kind + 1, value + n * kinds[kind]!.type.volumeMl);
      free[shelf] = free[shelf]! + n * (n > 0 ? use : 0);
      left[kind] = left[kind]! + n;
    }
    counts[shelf]![kind] = 0;
  };
  visit(0, 0, 0);
  const remaining = kinds.map(({ indices }) => [...indices]);
  const order = best.counts.flatMap((row) => row.flatMap((count, kind) => remaining[kind]!.splice(0, count)));
  return [...order, ...remaining.flat()];
}

interface Kind {
  type: PlanContainer;
  indices: number[];
}

function kindsOf(boxes: readonly Box[]): Kind[] {
  const kinds = new Map<PlanContainer, number[]>();
  boxes.forEach(({ type }, at) => kinds.set(type, [...(kinds.get(type) ?? []), at]));
  const density = ({ type }: Kind): number => type.volumeMl / Math.min(type.widthTenthMm, type.depthTenthMm);
  return [...kinds].map(([type, indices]) => ({ type, indices })).sort((a, b) => density(b) - density(a));
}

function isRow(room: Compartment, kinds: readonly Kind[]): boolean {
  const plain = room.obstacles.length === 0 && (room.access === 'top' || room.lip === 0);
  return (
    plain &&
    kinds.every(({ type }) => {
      const stacks = type.stackPitchTenthMm !== null && type.heightTenthMm + type.stackPitchTenthMm <= room.height;
      return !stacks && 2 * Math.min(type.widthTenthMm, type.depthTenthMm) > room.depth;
    })
  );
}

/** The width a box takes on a shelf, the better way round; infinite when it does not stand there. */
function widthUsed({ widthTenthMm: w, depthTenthMm: d, heightTenthMm: h }: PlanContainer, room: Compartment): number {
  if (h > Math.min(room.height, room.openingHeight)) return Infinity;
  return Math.min(d <= room.depth ? w : Infinity, w <= room.depth ? d : Infinity);
}
