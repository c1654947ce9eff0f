/** One common ruler of days for all rows of a list: where a day lies. */
export interface Ruler {
  width: number;
  /** Where today is. */
  left: number;
  pxADay: number;
  /** Days on the ruler. */
  days: number;
}

/** A ruler of so many days over a width, with a margin at both ends. */
export const rulerOf = (width: number, days = 28, margin = 16): Ruler => ({
  width,
  left: margin,
  pxADay: Math.max(0, width - 2 * margin) / days,
  days,
});

/** Where a day lies; what lies beyond the ruler lies at its end. Null: beyond every day. */
export const xOf = ({ left, pxADay, days }: Ruler, day: number | null): number =>
  left + Math.min(day ?? days, days) * pxADay;

/**
 * Slanted lines within a box, as the path of an SVG: what fills it is told by its hatching, not by its colour alone.
 * @param step between two lines, in pixels
 */
export function hatchPath(x: number, y: number, width: number, height: number, step = 6): string {
  const parts: string[] = [];
  for (let foot = x - height + step; foot < x + width; foot += step) {
    // From the foot up to the right, cut at both sides.
    const from = Math.max(foot, x);
    const to = Math.min(foot + height, x + width);
    if (to - from < 0.5) continue;
    parts.push(`M${round(from)} ${round(y + height - (from - foot))}L${round(to)} ${round(y + height - (to - foot))}`);
  }
  return parts.join('');
}
const round = (value: number): number => Math.round(value * 100) / 100;
