import { slidesIn, standsFree, type Body, type Compartment, type StandingBody } from './compartment';
import { boundingBox } from '../base';

/** Containers side by side, each turned by the same angle. */
export interface SlantedRow {
  degrees: number;
  bins: StandingBody[];
  /** Free at the left and right ends and behind, tenths of a millimetre. */
  gapLeft: number;
  gapRight: number;
  gapBehind: number;
  getsIn: boolean;
}

const STEP_DEGREES = 0.5;
/** Where some stand in another way already, less care is enough. */
const COARSE_DEGREES = 2;
/** For what only stands but does not get in, less care is enough. */
const STANDING_STEP_DEGREES = 3;
const FINE_DEGREES = 0.05;
const SWEEP = 50;
/** Stops of one sweep at most. */
const MOST_STOPS = 60;
const ROWS_TRIED = 5;

/**
 * The most bins of one kind that stand at one common slant, side by side or one behind the other, free of posts and pipes.
 * Two equal bins at the angle θ touch when their centres are `min(w/cosθ, d/sinθ)` apart along the front, and
 * `min(d/cosθ, w/sinθ)` apart towards the back. Angles are tried every half degree, then the smallest that holds as many is
 * narrowed to 0.05°; the answer is what was found, not a proof.
 * Bins that can be pushed straight in at that angle come first; only when none can are they merely stood there.
 *
 * @param over how many stand in another way; only more than that are looked for
 * @returns null when no more than that stand at a slant
 */
export function findSlantedRow(body: Body, room: Compartment, over = 0): SlantedRow | null {
  const right = slantedToOneSide(body, room, over);
  if (isMirrored(room)) return right;
  const left = slantedToOneSide(body, mirrored(room), over);
  if (!left || (right && !isBetter(left, right))) return right;
  return {
    ...left,
    degrees: 180 - left.degrees,
    bins: left.bins.map((bin) => ({ ...bin, cx: room.width - bin.cx, degrees: 180 - bin.degrees })),
    gapLeft: left.gapRight,
    gapRight: left.gapLeft,
  };
}

const isBetter = (a: SlantedRow, b: SlantedRow): boolean =>
  a.getsIn === b.getsIn ? a.bins.length > b.bins.length : a.getsIn;

/** The room as in a mirror: what slants to the right in it slants to the left. */
const mirrored = (room: Compartment): Compartment => ({
  ...room,
  obstacles: room.obstacles.map((one) => ({ ...one, x: room.width - one.x - one.width })),
  openingLeft: room.width - room.openingLeft - room.openingWidth,
});

/** Whether a room is its own mirror image: then both slants hold the same. */
function isMirrored(room: Compartment): boolean {
  const there = mirrored(room);
  if (Math.abs(there.openingLeft - room.openingLeft) > 0.5) return false;
  const shape = (one: Compartment['obstacles'][number]): string =>
    [one.x, one.y, one.z, one.width, one.depth, one.height].map(Math.round).join();
  const here = new Set(room.obstacles.map(shape));
  return there.obstacles.every((one) => here.has(shape(one)));
}

function slantedToOneSide(body: Body, room: Compartment, over: number): SlantedRow | null {
  if (body.height > room.height) return null;
  const front = room.access === 'front';
  const wayIn = front
    ? { from: room.openingLeft, to: room.openingLeft + room.openingWidth }
    : { from: 0, to: room.width };
  const isLow = !front || room.lip + body.height <= Math.min(room.openingHeight, room.height) + 0.5;
  const reaching = (bin: StandingBody): boolean => standsFree(bin, room) && slidesIn(bin, room);
  return (
    (isLow
      ? searchAngles({
          body,
          room,
          allowed: reaching,
          span: wayIn,
          step: over > 0 ? COARSE_DEGREES : STEP_DEGREES,
          over,
        })
      : null) ??
    searchAngles({
      body,
      room,
      allowed: (bin) => standsFree(bin, room),
      span: { from: 0, to: room.width },
      step: STANDING_STEP_DEGREES,
      over,
    })
  );
}

interface AngleSearch {
  body: Body;
  room: Compartment;
  allowed: (bin: StandingBody) => boolean;
  /** Where along the front a bin may be. */
  span: { from: number; to: number };
  step: number;
  /** Fewer than one more than this are of no use. */
  over: number;
}

function searchAngles(search: AngleSearch): SlantedRow | null {
  let best: { bins: StandingBody[]; degrees: number } | null = null;
  for (let degrees = search.step; degrees < 90; degrees += search.step) {
    const over = best?.bins.length ?? search.over;
    const bins = rowAt(search, degrees, over);
    if (bins.length > over) best = { bins, degrees };
  }
  if (!best) return null;
  const start = best.degrees;
  for (let degrees = start - FINE_DEGREES; degrees > start - search.step; degrees -= FINE_DEGREES) {
    const bins = rowAt(search, degrees);
    if (bins.length < best.bins.length) break;
    best = { bins, degrees };
  }
  return described(best.bins, best.degrees, search.room);
}

/** As many as stand at exactly this angle, if that is more than `over`; the better of side by side and one behind the other. */
function rowAt({ body, room, allowed, span }: AngleSearch, degrees: number, over = 0): StandingBody[] {
  const box = boundingBox(body.width, body.depth, degrees);
  if (box.width > span.to - span.from || box.depth > room.depth) return [];
  const angle = (degrees * Math.PI) / 180;
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const along = Math.min(body.width / cos, body.depth / sin);
  const behind = Math.min(body.depth / cos, body.width / sin);
  const stand = (cx: number, cy: number): StandingBody => ({ ...body, cx, cy, degrees, z: 0 });
  const [x0, x1] = [span.from + box.width / 2, span.to - box.width / 2];
  const [y0, y1] = [box.depth / 2, room.depth - box.depth / 2];
  let best: StandingBody[] = [];
  for (let row = 0; row < ROWS_TRIED; row++) {
    const share = row / (ROWS_TRIED - 1);
    const [cy, cx] = [y0 + (y1 - y0) * share, x0 + (x1 - x0) * share];
    for (const bins of [
      sweep(x0, x1, along, (moving) => stand(moving, cy), allowed, Math.max(over, best.length)),
      sweep(y0, y1, behind, (moving) => stand(cx, moving), allowed, Math.max(over, best.length)),
    ])
      if (bins.length > best.length) best = bins;
  }
  return best;
}

/** One bin after the other from one end; the far end is always tried, so that the sweep's step costs no bin at it. */
function sweep(
  from: number,
  to: number,
  pitch: number,
  at: (moving: number) => StandingBody,
  allowed: (bin: StandingBody) => boolean,
  over: number,
): StandingBody[] {
  const bins: StandingBody[] = [];
  if (to < from - 0.01 || Math.floor((to - from) / pitch + 1e-9) + 1 <= over) return bins;
  const step = Math.max(SWEEP, (to - from) / MOST_STOPS);
  for (let position = from; position <= to + 0.01;) {
    const bin = at(position);
    if (allowed(bin)) {
      bins.push(bin);
      position += pitch;
    } else if (position < to && position + step > to) position = to;
    else position += step;
  }
  return bins;
}

function described(bins: StandingBody[], degrees: number, room: Compartment): SlantedRow {
  const boxes = bins.map((bin) => {
    const box = boundingBox(bin.width, bin.depth, bin.degrees);
    return {
      left: bin.cx - box.width / 2,
      right: bin.cx + box.width / 2,
      back: bin.cy + box.depth / 2,
    };
  });
  return {
    degrees: Math.round(degrees * 20) / 20,
    bins,
    gapLeft: Math.max(0, Math.round(Math.min(...boxes.map(({ left }) => left)))),
    gapRight: Math.max(0, Math.round(room.width - Math.max(...boxes.map(({ right }) => right)))),
    gapBehind: Math.max(0, Math.round(room.depth - Math.max(...boxes.map(({ back }) => back)))),
    getsIn: bins.every((bin) => slidesIn(bin, room)),
  };
}
