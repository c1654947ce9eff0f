import type { ContainerFields } from '../household/registry';
import { slidesIn, standsFree, type Compartment, type Obstacle, type Standing } from './compartment';
import { footShare, HAND_ROOM_TENTH_MM, stackCount } from './container';
import { areaBound, countSame } from './sameContainers';
import { packInOrder } from './packRectangles';
import { findSlantedRow } from './slantedRow';

export type FitReason =
  | { kind: 'too_wide'; overTenthMm: number; between: 'posts' | 'walls' }
  | { kind: 'too_deep'; overTenthMm: number }
  | { kind: 'too_high'; overTenthMm: number }
  | { kind: 'in_the_way'; what: string }
  | { kind: 'way_in_too_narrow'; overTenthMm: number }
  | { kind: 'way_in_too_low'; overTenthMm: number };

export type FitNote =
  /** The lid opens only outside: shut it to slide in. A feature. */
  | { kind: 'lid_shut_to_slide_in'; missingTenthMm: number }
  | { kind: 'little_hand_room'; leftTenthMm: number; wantedTenthMm: number }
  | { kind: 'lifted_over_lip'; lipTenthMm: number };

export interface ContainerFit {
  /** All that stand, stacked ones included; straight, or at one common slant. */
  count: number;
  places: Standing[];
  how: 'straight' | 'slant' | 'none';
  /** True only when proven that no straight arrangement holds more. */
  most: boolean;
  sideBySide: number;
  inDepth: number;
  stacked: number;
  /** Some or all are turned by a quarter. */
  turned: boolean;
  degrees: number;
  gapLeftTenthMm: number;
  gapRightTenthMm: number;
  gapBehindTenthMm: number;
  gapAboveTenthMm: number;
  /** Whether all of them reach their places. Standing and getting in are two questions. */
  getsIn: boolean;
  /** Why it does not fit as wished (straight, not turned): also said when it fits in another way. */
  reasons: FitReason[];
  notes: FitNote[];
}

/** From more straight ones on, a slant is not tried. Own default. */
const SLANT_UP_TO = 1;

type Shape = Pick<
  ContainerFields,
  | 'topWidthTenthMm'
  | 'topDepthTenthMm'
  | 'baseWidthTenthMm'
  | 'baseDepthTenthMm'
  | 'heightTenthMm'
  | 'openHeightTenthMm'
  | 'hasLid'
  | 'stackPitchTenthMm'
>;

/**
 * How many containers of one kind fit a compartment, how, and why not: straight, turned, stacked, or at a slant between
 * the posts; whether they get in; what the lid and the hand need.
 *
 * @param room tenths of a millimetre
 * @returns never fails; `count` 0 with reasons when nothing fits
 */
export function fitContainer(container: Shape, room: Compartment): ContainerFit {
  const straight = standStraight(container, room);
  const straightIn = straight.filter((bin) => slidesIn(bin, room));
  // A slant is for what is longer than the way in; where straight ones stand in number it never holds more.
  const slant = straightIn.length <= SLANT_UP_TO ? slanted(container, room) : null;
  const useSlant = slant !== null && slant.getsIn && slant.bins.length > straightIn.length;
  const base = useSlant ? slant.bins : straightIn.length > 0 ? straightIn : straight;
  const layers = base.length === 0 ? 0 : stackCount(container, room.height);
  const pitch = container.stackPitchTenthMm ?? 0;
  const places = Array.from({ length: layers }, (_, layer) => base.map((bin) => ({ ...bin, z: layer * pitch })))
    .flat()
    .filter((bin) => standsFree(bin, room));
  const top = Math.max(0, ...places.map((bin) => bin.z + bin.height));
  const extent = extentOf(base, room);
  return {
    count: places.length,
    places,
    how: places.length === 0 ? 'none' : useSlant ? 'slant' : 'straight',
    most:
      !useSlant &&
      places.length > 0 &&
      holdsAllByArea(container, room, straight) &&
      straightIn.length === straight.length,
    sideBySide: new Set(base.map((bin) => Math.round(bin.cx))).size,
    inDepth: new Set(base.map((bin) => Math.round(bin.cy))).size,
    stacked: layers,
    turned: base.some((bin) => bin.degrees === 90),
    degrees: useSlant ? slant.degrees : 0,
    ...extent,
    gapAboveTenthMm: room.height - top,
    getsIn: base.length > 0 && base.every((bin) => slidesIn(bin, room)),
    reasons: reasonsAgainst(container, room),
    notes: places.length === 0 ? [] : notesOn(container, room, top),
  };
}

const bodyOf = (container: Shape, turned = false): Omit<Standing, 'cx' | 'cy'> => ({
  width: container.topWidthTenthMm,
  depth: container.topDepthTenthMm,
  height: container.heightTenthMm,
  footShare: footShare(container),
  degrees: turned ? 90 : 0,
  z: 0,
});

/** The straight arrangement that holds most: between the posts, over the whole floor, or around what is in the way. */
function standStraight(container: Shape, room: Compartment): Standing[] {
  const { topWidthTenthMm: w, topDepthTenthMm: d, heightTenthMm: h } = container;
  if (h > room.height) return [];
  const stand = (
    place: { x: number; y: number; width: number; depth: number; turned: boolean },
    x0 = 0,
    y0 = 0,
  ): Standing => ({
    ...bodyOf(container, place.turned),
    cx: x0 + place.x + place.width / 2,
    cy: y0 + place.y + place.depth / 2,
  });
  const inTheWay = room.obstacles
    .filter((one) => one.z < h && one.z + one.height > 0)
    .map((one) => underTheRim(one, container))
    .filter((one) => one.width > 0 && one.depth > 0);
  const tries: Standing[][] = [];
  for (const part of plainParts(room, inTheWay)) {
    tries.push(countSame(part.width, part.depth, w, d).places.map((place) => stand(place, part.x, part.y)));
  }
  if (inTheWay.length > 0) {
    const many = Math.min(200, areaBound(room.width, room.depth, w, d));
    for (const [width, depth, mayTurn] of [
      [w, d, false],
      [d, w, false],
      [w, d, true],
    ] as const) {
      const pieces = Array.from({ length: many }, () => ({ width, depth, value: 1, mayTurn }));
      const order = pieces.map((_, at) => at);
      const packed = packInOrder(room.width, room.depth, pieces, order, inTheWay);
      tries.push(packed.map((place) => stand({ ...place, turned: place.width === d && w !== d })));
    }
  }
  const sound = tries.map((places) => places.filter((bin) => standsFree(bin, room)));
  const entering = (bins: Standing[]): number => bins.filter((bin) => slidesIn(bin, room)).length;
  return sound.reduce<Standing[]>(
    (best, next) =>
      entering(next) > entering(best) || (entering(next) === entering(best) && next.length > best.length) ? next : best,
    [],
  );
}

/** What a low obstacle leaves in the way of the rim of a bin that leans outwards over it. */
function underTheRim(one: Obstacle, container: Shape): Obstacle {
  const shared = Math.min(1, (one.z + one.height) / container.heightTenthMm);
  const foot = footShare(container);
  const lean = (1 - foot - (1 - foot) * shared) / 2;
  const by = Math.floor(Math.min(container.topWidthTenthMm, container.topDepthTenthMm) * lean);
  if (by <= 0 || one.z > 0) return one;
  const [width, depth] = [one.width - 2 * by, one.depth - 2 * by];
  return { ...one, x: one.x + by, y: one.y + by, width: Math.max(0, width), depth: Math.max(0, depth) };
}

/** The whole floor, and the strip between the left and right posts. */
function plainParts(
  room: Compartment,
  inTheWay: Compartment['obstacles'],
): { x: number; y: number; width: number; depth: number }[] {
  const whole = { x: 0, y: 0, width: room.width, depth: room.depth };
  if (inTheWay.length === 0) return [whole];
  const left = Math.max(
    0,
    ...inTheWay.filter((one) => one.x + one.width <= room.width / 2).map((one) => one.x + one.width),
  );
  const right = Math.min(room.width, ...inTheWay.filter((one) => one.x >= room.width / 2).map((one) => one.x));
  return right > left ? [{ x: left, y: 0, width: right - left, depth: room.depth }] : [];
}

function slanted(container: Shape, room: Compartment) {
  const { degrees: _, z: __, ...body } = bodyOf(container);
  return findSlantedRow(body, room);
}

const holdsAllByArea = (container: Shape, room: Compartment, straight: Standing[]): boolean =>
  straight.length >= areaBound(room.width, room.depth, container.topWidthTenthMm, container.topDepthTenthMm);

function extentOf(base: readonly Standing[], room: Compartment) {
  if (base.length === 0) return { gapLeftTenthMm: 0, gapRightTenthMm: 0, gapBehindTenthMm: 0 };
  const halves = base.map((bin) => {
    const angle = (bin.degrees * Math.PI) / 180;
    const [sin, cos] = [Math.abs(Math.sin(angle)), Math.abs(Math.cos(angle))];
    return { bin, x: (bin.width * cos + bin.depth * sin) / 2, y: (bin.width * sin + bin.depth * cos) / 2 };
  });
  return {
    gapLeftTenthMm: Math.round(Math.min(...halves.map(({ bin, x }) => bin.cx - x))),
    gapRightTenthMm: Math.round(room.width - Math.max(...halves.map(({ bin, x }) => bin.cx + x))),
    gapBehindTenthMm: Math.round(room.depth - Math.max(...halves.map(({ bin, y }) => bin.cy + y))),
  };
}

/** Against one standing straight with its width along the front. */
function reasonsAgainst(container: Shape, room: Compartment): FitReason[] {
  const { topWidthTenthMm: w, topDepthTenthMm: d, heightTenthMm: h } = container;
  const reasons: FitReason[] = [];
  const way = room.access === 'front' ? Math.min(room.width, room.openingWidth) : room.width;
  const posts = room.obstacles.some((one) => one.kind === 'post');
  if (w > way) reasons.push({ kind: 'too_wide', overTenthMm: w - way, between: posts ? 'posts' : 'walls' });
  if (d > room.depth) reasons.push({ kind: 'too_deep', overTenthMm: d - room.depth });
  if (h > room.height) reasons.push({ kind: 'too_high', overTenthMm: h - room.height });
  else if (room.access === 'front' && h + room.lip > room.openingHeight)
    reasons.push({ kind: 'way_in_too_low', overTenthMm: h + room.lip - room.openingHeight });
  if (reasons.length > 0) return reasons;
  const { width, depth } = { width: room.width - w, depth: room.depth - d };
  const somewhere = [0, 0.25, 0.5, 0.75, 1].some((u) =>
    [0, 0.5, 1].some((v) => standsFree({ ...bodyOf(container), cx: w / 2 + width * u, cy: d / 2 + depth * v }, room)),
  );
  if (!somewhere) {
    const what = room.obstacles.find((one) => one.kind !== 'post') ?? room.obstacles[0];
    if (what) reasons.push({ kind: 'in_the_way', what: what.kind });
  }
  return reasons;
}

function notesOn(container: Shape, room: Compartment, top: number): FitNote[] {
  const notes: FitNote[] = [];
  const { openHeightTenthMm: open, hasLid } = container;
  if (hasLid && open !== null && open > room.height && room.access === 'front')
    notes.push({ kind: 'lid_shut_to_slide_in', missingTenthMm: open - room.height });
  const left = room.height - top;
  if (!hasLid && room.access === 'front' && left < HAND_ROOM_TENTH_MM)
    notes.push({ kind: 'little_hand_room', leftTenthMm: left, wantedTenthMm: HAND_ROOM_TENTH_MM });
  if (room.lip > 0 && room.access === 'front') notes.push({ kind: 'lifted_over_lip', lipTenthMm: room.lip });
  return notes;
}
