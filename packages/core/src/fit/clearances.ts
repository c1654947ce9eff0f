import { slidesIn, standsFree, type Compartment, type StandingBody } from './compartment';
import { floorBox, overlap, type FloorRect } from '../base';

/** What stays free around a container on its shelf, tenths of a millimetre; never below 0. */
export interface Clearances {
  left: number;
  right: number;
  front: number;
  behind: number;
  above: number;
}

const sharesHeight = (a: { z: number; height: number }, b: { z: number; height: number }): boolean =>
  a.z < b.z + b.height - 0.5 && b.z < a.z + a.height - 0.5;

/** Free room around a bin in the four directions and above it, to the nearest wall, obstacle or other bin. */
export function clearances(bin: StandingBody, room: Compartment, others: readonly StandingBody[]): Clearances {
  const own = floorBox(bin);
  const free: Clearances = {
    left: own.x,
    right: room.width - own.x - own.width,
    front: own.y,
    behind: room.depth - own.y - own.depth,
    above: room.height - bin.z - bin.height,
  };
  const beside: FloorRect[] = [
    ...room.obstacles.filter((one) => sharesHeight(one, bin)),
    ...others.filter((other) => sharesHeight(other, bin)).map(floorBox),
  ];
  for (const other of beside) {
    const inRow = other.y < own.y + own.depth - 1 && own.y < other.y + other.depth - 1;
    const inLine = other.x < own.x + own.width - 1 && own.x < other.x + other.width - 1;
    if (inRow && other.x >= own.x) free.right = Math.min(free.right, other.x - own.x - own.width);
    if (inRow && other.x < own.x) free.left = Math.min(free.left, own.x - other.x - other.width);
    if (inLine && other.y >= own.y) free.behind = Math.min(free.behind, other.y - own.y - own.depth);
    if (inLine && other.y < own.y) free.front = Math.min(free.front, own.y - other.y - other.depth);
  }
  const rounded = Object.entries(free).map(([side, value]) => [side, Math.max(0, Math.round(value))]);
  return Object.fromEntries(rounded) as unknown as Clearances;
}

/** Why a container cannot stand where it was put. */
export type PlaceProblem = 'outside' | 'obstacle' | 'other_bin' | 'no_way_in';

/** Why a bin may not stand where it was dragged to; null when it may. */
export function placeProblem(
  bin: StandingBody,
  room: Compartment,
  others: readonly StandingBody[],
): PlaceProblem | null {
  const box = floorBox(bin);
  const [right, back] = [box.x + box.width, box.y + box.depth];
  if (box.x < -0.5 || box.y < -0.5 || right > room.width + 0.5 || back > room.depth + 0.5) return 'outside';
  if (bin.z + bin.height > room.height + 0.5) return 'outside';
  if (!standsFree(bin, room)) return 'obstacle';
  if (others.some((other) => sharesHeight(other, bin) && overlap(bin, other))) return 'other_bin';
  return slidesIn(bin, room) ? null : 'no_way_in';
}

/** Bins within this distance of a wall or neighbour are set against it, tenths of a millimetre. Own default. */
const SNAP_TENTH_MM = 80;

/** A dragged bin, set against the wall or neighbour it nearly touches. */
export function snapped(bin: StandingBody, room: Compartment, others: readonly StandingBody[]): StandingBody {
  const own = floorBox(bin);
  const edgesX = [0, room.width, room.openingLeft, room.openingLeft + room.openingWidth];
  const edgesY = [0, room.depth];
  for (const other of [...others.map(floorBox), ...room.obstacles]) {
    edgesX.push(other.x, other.x + other.width);
    edgesY.push(other.y, other.y + other.depth);
  }
  const shift = (from: number, to: number, edges: readonly number[]): number => {
    let best = 0;
    let least = SNAP_TENTH_MM;
    for (const edge of edges)
      for (const by of [edge - from, edge - to]) if (Math.abs(by) < least) [best, least] = [by, Math.abs(by)];
    return best;
  };
  return {
    ...bin,
    cx: Math.round(bin.cx + shift(own.x, own.x + own.width, edgesX)),
    cy: Math.round(bin.cy + shift(own.y, own.y + own.depth, edgesY)),
  };
}
