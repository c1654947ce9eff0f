import { slidesIn, standsFree, type Compartment, type Standing } from './compartment';
import { boundingBox } from './turnedRectangle';

export interface SlantedRow {
  degrees: number;
  bins: Standing[];
  /** Free at the left and right ends and behind, tenths of a millimetre. */
  gapLeft: number;
  gapRight: number;
  gapBehind: number;
  getsIn: boolean;
}

interface Body {
  width: number;
  depth: number;
  height: number;
  footShare?: number;
}

const STEP_DEGREES = 0.5;
const FINE_DEGREES = 0.05;
const SWEEP = 20;
const ROWS_TRIED = 9;

/**
 * The most bins of one kind that stand at one common slant, side by side or one behind the other, free of posts and pipes.
 * Two equal bins at the angle θ touch when their centres are `min(w/cosθ, d/sinθ)` apart along the front, and
 * `min(d/cosθ, w/sinθ)` apart towards the back. Angles are tried every half degree, then the smallest that holds as many is
 * narrowed to 0.05°; the answer is what was found, not a proof.
 *
 * @returns null when none stands at a slant
 */
export function findSlantedRow(body: Body, room: Compartment): SlantedRow | null {
  if (body.height > room.height) return null;
  let best: { bins: Standing[]; degrees: number } | null = null;
  for (let degrees = STEP_DEGREES; degrees < 90; degrees += STEP_DEGREES) {
    const bins = rowAt(body, room, degrees);
    if (bins.length > (best?.bins.length ?? 0)) best = { bins, degrees };
  }
  if (!best) return null;
  for (let degrees = best.degrees - FINE_DEGREES; degrees > best.degrees - STEP_DEGREES; degrees -= FINE_DEGREES) {
    const bins = rowAt(body, room, degrees);
    if (bins.length < best.bins.length) break;
    best = { bins, degrees };
  }
  return described(best.bins, best.degrees, room);
}

/** As many as stand at exactly this angle; the better of side by side and one behind the other. */
export function rowAt(body: Body, room: Compartment, degrees: number): Standing[] {
  const box = boundingBox(body.width, body.depth, degrees);
  if (box.width > room.width || box.depth > room.depth) return [];
  const angle = (degrees * Math.PI) / 180;
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const along = Math.min(body.width / cos, body.depth / sin);
  const behind = Math.min(body.depth / cos, body.width / sin);
  const stand = (cx: number, cy: number): Standing => ({ ...body, cx, cy, degrees, z: 0 });
  let best: Standing[] = [];
  const sweep = (from: number, to: number, pitch: number, at: (moving: number) => Standing): Standing[] => {
    const bins: Standing[] = [];
    // The far end is always tried, so that the sweep's step costs no bin at it.
    for (let position = from; position <= to + 0.01;) {
      const bin = at(position);
      if (standsFree(bin, room)) {
        bins.push(bin);
        position += pitch;
      } else if (position < to && position + SWEEP > to) position = to;
      else position += SWEEP;
    }
    return bins;
  };
  const [x0, x1, y0, y1] = [box.width / 2, room.width - box.width / 2, box.depth / 2, room.depth - box.depth / 2];
  for (let row = 0; row < ROWS_TRIED; row++) {
    const share = row / (ROWS_TRIED - 1);
    const [cy, cx] = [y0 + (y1 - y0) * share, x0 + (x1 - x0) * share];
    for (const bins of [
      sweep(x0, x1, along, (moving) => stand(moving, cy)),
      sweep(y0, y1, behind, (moving) => stand(cx, moving)),
    ])
      if (bins.length > best.length) best = bins;
  }
  return best;
}

function described(bins: Standing[], degrees: number, room: Compartment): SlantedRow {
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
