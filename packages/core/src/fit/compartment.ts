import { type FloorRect, type TurnedRect, asTurned, floorBox, overlap } from '../base';

/** Something that takes room in a compartment: a post, a pipe, the hump over a compressor, a hinge, a half-shelf. */
export interface Obstacle extends FloorRect {
  kind: 'post' | 'pipe' | 'hump' | 'hinge' | 'half_shelf' | 'hooks' | 'riser' | 'thing';
  /** From the surface to its foot. */
  z: number;
  height: number;
}

/**
 * The room over one surface: x from the left wall, y from the front edge to the back, z up from the surface. Tenths of a
 * millimetre.
 */
export interface Compartment {
  width: number;
  depth: number;
  /** Clear height to whatever is above. */
  height: number;
  obstacles: readonly Obstacle[];
  /** How one gets in: through the front, or from above (chest, drawer, basket). */
  access: 'front' | 'top';
  /** The free way in at the front: between the front posts or the door frame. */
  openingLeft: number;
  openingWidth: number;
  openingHeight: number;
  /** A rim at the front edge that a bin is lifted over. */
  lip: number;
}

/** A container's outside, wherever it stands. */
export type Body = Pick<StandingBody, 'width' | 'depth' | 'height' | 'footShare'>;

/** A container as it stands: its footprint at the widest, where its foot is, how high it reaches. */
export interface StandingBody extends TurnedRect {
  z: number;
  height: number;
  /** Share of the widest footprint at the foot; 1 is straight walls. */
  footShare?: number;
}

/** The footprint at a height over the bin's own foot; walls lean evenly from foot to rim. */
export function footprintAt(bin: StandingBody, heightOverFoot: number): TurnedRect {
  const foot = bin.footShare ?? 1;
  if (foot === 1) return bin;
  const share = foot + (1 - foot) * Math.min(1, Math.max(0, heightOverFoot / bin.height));
  return { ...bin, width: bin.width * share, depth: bin.depth * share };
}

/** Whether a bin stands inside a compartment and through none of its obstacles. */
export function standsFree(bin: StandingBody, room: Compartment): boolean {
  const box = floorBox(bin);
  if (box.x < -0.5 || box.y < -0.5 || box.x + box.width > room.width + 0.5 || box.y + box.depth > room.depth + 0.5)
    return false;
  if (bin.z + bin.height > room.height + 0.5) return false;
  return room.obstacles.every((obstacle) => isApart(box, obstacle) || !runsThrough(bin, obstacle));
}

/** Whether two straight rectangles share no room. Cheap, and true of nearly every pair that is looked at. */
const isApart = (a: FloorRect, b: FloorRect): boolean =>
  a.x >= b.x + b.width || b.x >= a.x + a.width || a.y >= b.y + b.depth || b.y >= a.y + a.depth;

/** The part of a bin that shares heights with an obstacle is at its widest at the top of what they share. */
function runsThrough(bin: StandingBody, obstacle: Obstacle): boolean {
  const from = Math.max(bin.z, obstacle.z);
  const to = Math.min(bin.z + bin.height, obstacle.z + obstacle.height);
  if (to <= from + 0.5) return false;
  return overlap(footprintAt(bin, to - bin.z), asTurned(obstacle));
}

/**
 * Whether a bin reaches its place by being pushed straight in at the angle it stands at. Over a lip it is lifted, either until it
 * is past it and then set down, or all the way. Says yes only when nothing is in the way; a bin that can be wriggled in past a post
 * may still get a no.
 */
export function slidesIn(bin: StandingBody, room: Compartment): boolean {
  if (room.access === 'top') return true;
  const box = floorBox(bin);
  const least = room.openingLeft - 0.5;
  if (box.x < least || box.x + box.width > room.openingLeft + room.openingWidth + 0.5) return false;
  const lift = Math.max(bin.z, room.lip);
  if (lift + bin.height > Math.min(room.openingHeight, room.height) + 0.5) return false;
  const back = box.y + box.depth;
  if (lift === bin.z) return isWayFree(bin, bin.z, back, room);
  if (isWayFree(bin, lift, back, room)) return true;
  return isWayFree(bin, lift, box.depth, room) && isWayFree(bin, bin.z, back, room);
}

/** Whether a bin carried at a height sweeps through nothing from the front edge until its rear edge is `back` deep. */
function isWayFree(bin: StandingBody, z: number, back: number, room: Compartment): boolean {
  const box = floorBox(bin);
  const behind = box.y + box.depth - back;
  const swept = { x: box.x, y: 0, width: box.width, depth: back };
  return room.obstacles.every((obstacle) => {
    if (isApart(swept, obstacle)) return true;
    const from = Math.max(z, obstacle.z);
    const to = Math.min(z + bin.height, obstacle.z + obstacle.height);
    if (to <= from + 0.5) return true;
    // At the heights they share the bin is at its widest at the top of them.
    const body = floorBox(footprintAt(bin, to - z));
    const way = { x: body.x, y: 0, width: body.width, depth: body.y + body.depth - behind };
    return way.depth <= 0 || !overlap(asTurned(way), asTurned(obstacle));
  });
}

/** Free room in a compartment, cubic centimetres (millilitres), without its obstacles; obstacles are taken as apart. */
export function roomMl(room: Compartment): number {
  const taken = room.obstacles.reduce(
    (sum, one) => sum + one.width * one.depth * Math.max(0, Math.min(one.height, room.height - one.z)),
    0,
  );
  return Math.max(0, Math.round((room.width * room.depth * room.height - taken) / 1e6));
}
