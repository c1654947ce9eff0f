/** Rectangles turned on a floor, seen from above. Lengths in tenths of a millimetre, angles in degrees. */

export interface FloorRect {
  x: number;
  y: number;
  width: number;
  depth: number;
}

/** A rectangle turned about its centre; 0° is `width` along x. */
export interface TurnedRect {
  cx: number;
  cy: number;
  width: number;
  depth: number;
  degrees: number;
}

/** Touching is not overlapping: what two bodies may share, from rounding of turned corners. */
const TOUCH = 0.5;
const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * The box that a turned rectangle takes up: `w·cosθ + d·sinθ` by `w·sinθ + d·cosθ`. Never fails.
 * @param degrees 0 to 90
 * @example boundingBox(600, 90, 90) //=> { width: 90, depth: 600 }
 */
export function boundingBox(width: number, depth: number, degrees: number): { width: number; depth: number } {
  if (degrees === 0) return { width, depth };
  const [sin, cos] = [Math.abs(Math.sin(radians(degrees))), Math.abs(Math.cos(radians(degrees)))];
  return { width: width * cos + depth * sin, depth: width * sin + depth * cos };
}

/**
 * The angles at which a rectangle is no wider than `limit`: with R its diagonal and φ = atan2(depth, width),
 * `R·cos(θ−φ) ≤ limit`. Elementary trigonometry; anchors in the tests.
 * @returns none, one or two closed ranges within 0…90°
 * @example anglesNoWiderThan(600, 90, 580).map(({ from, to }) => [from.toFixed(1), to]) //=> [['25.6', 90]]
 */
export function anglesNoWiderThan(width: number, depth: number, limit: number): { from: number; to: number }[] {
  const diagonal = Math.hypot(width, depth);
  if (diagonal <= limit) return [{ from: 0, to: 90 }];
  const phi = Math.atan2(depth, width);
  const alpha = Math.acos(Math.min(1, limit / diagonal));
  const degrees = (angle: number): number => (angle * 180) / Math.PI;
  const ranges = [
    { from: 0, to: degrees(phi - alpha) },
    { from: degrees(phi + alpha), to: 90 },
  ];
  return ranges.filter(({ from, to }) => from <= to + 1e-9).map(({ from, to }) => ({ from, to: Math.max(from, to) }));
}

/**
 * Whether a p × q rectangle fits in an a × b one at some angle (p ≥ q; Carver's inequality, 1957).
 * @example fitsAtSomeAngle(10, 1, 9, 6.2) //=> true
 * @example fitsAtSomeAngle(10, 1, 9, 6.1) //=> false
 */
export function fitsAtSomeAngle(one: number, other: number, roomOne: number, roomOther: number): boolean {
  const [p, q] = one >= other ? [one, other] : [other, one];
  const [a, b] = roomOne >= roomOther ? [roomOne, roomOther] : [roomOther, roomOne];
  if (p <= a && q <= b) return true;
  if (p <= a || q > b) return false;
  return b >= (2 * p * q * a + (p * p - q * q) * Math.sqrt(Math.max(0, p * p + q * q - a * a))) / (p * p + q * q);
}

/** The four corners, anticlockwise from the left front one at 0°. */
export function cornersOf({ cx, cy, width, depth, degrees }: TurnedRect): { x: number; y: number }[] {
  const [sin, cos] = [Math.sin(radians(degrees)), Math.cos(radians(degrees))];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([sx, sy]) => {
    const [u, v] = [(sx! * width) / 2, (sy! * depth) / 2];
    return { x: cx + u * cos - v * sin, y: cy + u * sin + v * cos };
  });
}

/** Whether two turned rectangles share room, by separating axes; touching does not count. */
export function overlap(a: TurnedRect, b: TurnedRect): boolean {
  const [dx, dy] = [b.cx - a.cx, b.cy - a.cy];
  for (const [own, other] of [
    [a, b],
    [b, a],
  ] as const) {
    const [sin, cos] = [Math.sin(radians(own.degrees)), Math.cos(radians(own.degrees))];
    const turn = radians(other.degrees - own.degrees);
    const [s, c] = [Math.abs(Math.sin(turn)), Math.abs(Math.cos(turn))];
    const along = Math.abs(dx * cos + dy * sin);
    const across = Math.abs(-dx * sin + dy * cos);
    if (along >= (own.width + other.width * c + other.depth * s) / 2 - TOUCH) return false;
    if (across >= (own.depth + other.width * s + other.depth * c) / 2 - TOUCH) return false;
  }
  return true;
}

/** A rectangle that stands straight, as a turned one. */
export const asTurned = ({ x, y, width, depth }: FloorRect): TurnedRect => ({
  cx: x + width / 2,
  cy: y + depth / 2,
  width,
  depth,
  degrees: 0,
});

/** The straight rectangle around a turned one. */
export function floorBox(rect: TurnedRect): FloorRect {
  const { width, depth } = boundingBox(rect.width, rect.depth, rect.degrees);
  return { x: rect.cx - width / 2, y: rect.cy - depth / 2, width, depth };
}
