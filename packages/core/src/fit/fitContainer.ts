import type { ContainerFields } from '../household';
import { slidesIn, standsFree, type Compartment, type Obstacle, type StandingBody } from './compartment';
import { footShare, HAND_ROOM_TENTH_MM, LEAST_SIDE_TENTH_MM, stackCount } from '../containers';
import { areaBound, countSame } from './sameContainers';
import { packInOrder } from './packRectangles';
import { findSlantedRow } from './slantedRow';
import { standMost } from './standMost';

/** Why one does not stand straight; lengths in tenths of a millimetre. */
export type FitReason =
  | { kind: 'too_wide'; overTenthMm: number; between: 'posts' | 'walls' }
  | { kind: 'too_deep'; overTenthMm: number }
  | { kind: 'too_high'; overTenthMm: number }
  | { kind: 'in_the_way'; what: string }
  | { kind: 'way_in_too_narrow'; overTenthMm: number }
  | { kind: 'way_in_too_low'; overTenthMm: number }
  /** A side or a stacking step under 5 mm is a slip of the pen. */
  | { kind: 'too_small' };

/** What to mind though they fit; lengths in tenths of a millimetre. */
export type FitNote =
  /** The lid opens only outside: shut it to slide in. A feature. */
  | { kind: 'lid_shut_to_slide_in'; missingTenthMm: number }
  | { kind: 'little_hand_room'; leftTenthMm: number; wantedTenthMm: number }
  | { kind: 'lifted_over_lip'; lipTenthMm: number };

/** How many of a kind of container stand on a shelf, where, how, and what of that is proven. */
export interface ContainerFit {
  /** All that stand, stacked ones included; straight, or at one common slant. */
  count: number;
  places: StandingBody[];
  how: 'straight' | 'slant' | 'none';
  /** True only when proven that no arrangement at all holds more: they take all the area there is. */
  provenBest: boolean;
  /** True only when proven that no straight arrangement of bins that are pushed straight in holds more. */
  provenStraight: boolean;
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
  /** whether all of them reach their places. Standing and getting in are two questions. */
  getsIn: boolean;
  /** Why it does not fit as wished (straight, not turned): also said when it fits in another way. */
  reasons: FitReason[];
  notes: FitNote[];
}

/** Blocks tried on one floor: a few milliseconds, so that it can be asked for every container of a list. */
const FLOOR_BUDGET = 60_000;
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
  if (isTooSmall(container)) return { ...NONE, gapAboveTenthMm: room.height, reasons: [{ kind: 'too_small' }] };
  const straight = standStraight(container, room);
  const entering = straight.bins.filter((bin) => slidesIn(bin, room));
  // A slant is for what is longer than the way in; where straight ones stand in number it never holds more.
  const slant = entering.length <= SLANT_UP_TO ? slanted(container, room, entering.length) : null;
  const useSlant = slant !== null && slant.getsIn && slant.bins.length > entering.length;
  const base = useSlant ? slant.bins : entering.length > 0 ? entering : straight.bins;
  const columns = base.map((bin) => columnOn(bin, container, room));
  // Layer by layer: so they are put in, and so they are numbered on the drawing.
  const places = columns.flat().sort((one, other) => one.z - other.z);
  const layers = Math.max(0, ...columns.map(({ length }) => length));
  const top = Math.max(0, ...places.map((bin) => bin.z + bin.height));
  const most = stackLimit(container, room);
  const byArea = Math.floor((room.width * room.depth) / (container.topWidthTenthMm * container.topDepthTenthMm));
  return {
    count: places.length,
    places,
    how: places.length === 0 ? 'none' : useSlant ? 'slant' : 'straight',
    provenBest: places.length > 0 && places.length >= byArea * most,
    provenStraight: !useSlant && entering.length > 0 && straight.proven && places.length >= entering.length * most,
    sideBySide: new Set(base.map((bin) => Math.round(bin.cx))).size,
    inDepth: new Set(base.map((bin) => Math.round(bin.cy))).size,
    stacked: layers,
    turned: base.some((bin) => bin.degrees === 90),
    degrees: useSlant ? Math.min(slant.degrees, 180 - slant.degrees) : 0,
    ...extentOf(base, room),
    gapAboveTenthMm: room.height - top,
    getsIn: base.length > 0 && base.every((bin) => slidesIn(bin, room)),
    reasons: reasonsAgainst(container, room),
    notes: places.length === 0 ? [] : notesOn(container, room, top),
  };
}

const isTooSmall = (container: Shape): boolean =>
  Math.min(container.topWidthTenthMm, container.topDepthTenthMm, container.heightTenthMm) < LEAST_SIDE_TENTH_MM ||
  (container.stackPitchTenthMm !== null && container.stackPitchTenthMm < LEAST_SIDE_TENTH_MM);

const NONE: Omit<ContainerFit, 'reasons' | 'gapAboveTenthMm'> = {
  count: 0,
  places: [],
  how: 'none',
  provenBest: false,
  provenStraight: false,
  sideBySide: 0,
  inDepth: 0,
  stacked: 0,
  turned: false,
  degrees: 0,
  gapLeftTenthMm: 0,
  gapRightTenthMm: 0,
  gapBehindTenthMm: 0,
  getsIn: false,
  notes: [],
};

/** How many layers there can be at most, whatever is in the way. */
const stackLimit = (container: Shape, room: Compartment): number => Math.max(1, stackCount(container, room.height));

/** A bin with what stands on it: up to the first that does not stand free or cannot be reached, so that none floats. */
function columnOn(foot: StandingBody, container: Shape, room: Compartment): StandingBody[] {
  const pitch = container.stackPitchTenthMm ?? 0;
  const reached = slidesIn(foot, room);
  const column = [foot];
  for (let layer = 1; layer < stackLimit(container, room); layer++) {
    const bin = { ...foot, z: foot.z + layer * pitch };
    if (!standsFree(bin, room) || (reached && !slidesIn(bin, room))) break;
    column.push(bin);
  }
  return column;
}

const bodyOf = (container: Shape, turned = false): Omit<StandingBody, 'cx' | 'cy'> => ({
  width: container.topWidthTenthMm,
  depth: container.topDepthTenthMm,
  height: container.heightTenthMm,
  footShare: footShare(container),
  degrees: turned ? 90 : 0,
  z: 0,
});

/**
 * The straight arrangement that holds most, of bins that are pushed straight in; when none gets in, of those that merely stand.
 * Without anything in the way the floor is the way in by the depth. Otherwise the quick ways are tried and, while the floor is
 * small, all of them.
 */
function standStraight(container: Shape, room: Compartment): { bins: StandingBody[]; proven: boolean } {
  if (container.heightTenthMm > room.height) return { bins: [], proven: true };
  const reached = standReached(container, room);
  if (reached.bins.length > 0) return reached;
  return room.access === 'front' ? standReached(container, { ...room, access: 'top' }) : reached;
}

function standReached(container: Shape, room: Compartment): { bins: StandingBody[]; proven: boolean } {
  const { topWidthTenthMm: w, topDepthTenthMm: d, heightTenthMm: h } = container;
  const front = room.access === 'front';
  const [x0, width] = front ? [room.openingLeft, room.openingWidth] : [0, room.width];
  const stand = (place: { x: number; y: number; width: number; depth: number; turned: boolean }): StandingBody => ({
    ...bodyOf(container, place.turned),
    cx: x0 + place.x + place.width / 2,
    cy: place.y + place.depth / 2,
  });
  const sound = (bins: StandingBody[]): StandingBody[] =>
    bins.filter((bin) => standsFree(bin, room) && slidesIn(bin, room));
  const inTheWay = room.obstacles.filter((one) => one.z < h + room.lip && one.z + one.height > 0);
  const plain = countSame(width, room.depth, w, d, FLOOR_BUDGET);
  let best = sound(plain.places.map(stand));
  // Nothing stands better than on the same floor without what is in the way.
  if (plain.provenBest && best.length === plain.places.length) return { bins: best, proven: true };
  for (const bins of packedAround(container, room, inTheWay, x0, width)) {
    const free = sound(bins.map(stand));
    if (free.length > best.length) best = free;
  }
  const exact = standMost(bodyOf(container), room, best.length);
  return { bins: exact.bins ?? best, proven: exact.proven };
}

/** Quick arrangements around what is in the way: in each strip between obstacles, and one after the other into the narrowest gap. */
function packedAround(
  container: Shape,
  room: Compartment,
  inTheWay: readonly Obstacle[],
  x0: number,
  width: number,
): { x: number; y: number; width: number; depth: number; turned: boolean }[][] {
  const { topWidthTenthMm: w, topDepthTenthMm: d } = container;
  if (inTheWay.length === 0) return [];
  // What stands in the way of pushing in takes all that is behind it.
  const blocked = inTheWay.map((one) => {
    const free = underTheRim(one, container);
    const depth = room.access === 'front' ? room.depth - free.y : free.depth;
    return { x: free.x - x0, y: free.y, width: free.width, depth };
  });
  const inside = blocked.filter((one) => one.width > 0 && one.depth > 0);
  const tries: ReturnType<typeof packedAround> = [];
  const edgesX = [0, width, ...inside.flatMap((one) => [one.x, one.x + one.width])]
    .filter((x) => x >= 0 && x <= width)
    .sort((a, b) => a - b);
  const strips = edgesX.flatMap((from, at) => {
    const to = edgesX[at + 1];
    if (to === undefined || to - from < Math.min(w, d)) return [];
    const over = inside.filter((one) => one.x < to - 0.5 && one.x + one.width > from + 0.5);
    const depth = Math.min(room.depth, ...over.map(({ y }) => y));
    const stands = countSame(to - from, depth, w, d, FLOOR_BUDGET / 4).places;
    return stands.map((place) => ({ ...place, x: place.x + from }));
  });
  tries.push(strips);
  const many = Math.min(200, areaBound(width, room.depth, w, d));
  for (const [across, deep, mayTurn] of [
    [w, d, false],
    [d, w, false],
    [w, d, true],
  ] as const) {
    const pieces = Array.from({ length: many }, () => ({ width: across, depth: deep, value: 1, mayTurn }));
    const order = pieces.map((_, at) => at);
    const packed = packInOrder(width, room.depth, pieces, order, inside);
    tries.push(packed.map((place) => ({ ...place, turned: place.width === d && w !== d })));
  }
  return tries;
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

function slanted(container: Shape, room: Compartment, over: number) {
  const { degrees: _, z: __, ...body } = bodyOf(container);
  return findSlantedRow(body, room, over);
}

function extentOf(base: readonly StandingBody[], room: Compartment) {
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
  const front = room.access === 'front';
  const posts = room.obstacles.some((one) => one.kind === 'post');
  const way = front ? Math.min(room.width, room.openingWidth) : room.width;
  if (w > room.width) reasons.push({ kind: 'too_wide', overTenthMm: w - way, between: posts ? 'posts' : 'walls' });
  else if (w > way) {
    reasons.push(
      posts
        ? { kind: 'too_wide', overTenthMm: w - way, between: 'posts' }
        : { kind: 'way_in_too_narrow', overTenthMm: w - way },
    );
  }
  if (d > room.depth) reasons.push({ kind: 'too_deep', overTenthMm: d - room.depth });
  if (h > room.height) reasons.push({ kind: 'too_high', overTenthMm: h - room.height });
  else if (front && h + room.lip > Math.min(room.openingHeight, room.height)) {
    const over = h + room.lip - Math.min(room.openingHeight, room.height);
    reasons.push({ kind: 'way_in_too_low', overTenthMm: over });
  }
  if (reasons.length > 0 || room.obstacles.length === 0) return reasons;
  const body = bodyOf(container);
  if (hasPlace(body, room)) return reasons;
  // Named is what alone makes the difference; else the first that is no post.
  const guilty = room.obstacles.find((one) =>
    hasPlace(body, { ...room, obstacles: room.obstacles.filter((other) => other !== one) }),
  );
  const what = guilty ?? room.obstacles.find((one) => one.kind !== 'post') ?? room.obstacles[0]!;
  return [{ kind: 'in_the_way', what: what.kind }];
}

/** Whether one straight bin, not turned, stands and is reached anywhere: it can be shifted left and forward until it meets something. */
function hasPlace(body: Omit<StandingBody, 'cx' | 'cy'>, room: Compartment): boolean {
  const left = room.access === 'front' ? room.openingLeft : 0;
  const foot = body.footShare ?? 1;
  const lean = (side: number, one: Obstacle): number =>
    (side * (1 - foot) * (1 - Math.min(1, (one.z + one.height) / body.height))) / 2;
  const xs = [left, ...room.obstacles.map((one) => one.x + one.width - lean(body.width, one))];
  const ys = [0, ...room.obstacles.map((one) => one.y + one.depth - lean(body.depth, one))];
  return xs.some((x) =>
    ys.some((y) => {
      const bin = { ...body, cx: Math.max(left, x) + body.width / 2, cy: Math.max(0, y) + body.depth / 2 };
      return standsFree(bin, room) && slidesIn(bin, room);
    }),
  );
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
