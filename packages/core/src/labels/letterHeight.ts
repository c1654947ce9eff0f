/** How large letters are to be read from a distance. */
import { CAP_SHARE } from './fontWidths';

/** Comfortable to read: 20 to 22 minutes of arc (ISO 9241-303, from memory). */
export const COMFORTABLE_MINUTES = 20;

/**
 * The height of capitals that are read comfortably from a distance: h = 2·d·tan(θ/2).
 * @param distanceMm how far away one stands
 * @returns mm
 * @example Math.round(capHeightFor(1500) * 10) / 10 //=> 8.7
 */
export const capHeightFor = (distanceMm: number, minutes = COMFORTABLE_MINUTES): number =>
  2 * distanceMm * Math.tan((minutes / 60 / 2) * (Math.PI / 180));

/** From how far capitals of a height are read comfortably, mm. */
export const readableFrom = (capMm: number, minutes = COMFORTABLE_MINUTES): number =>
  capMm / (2 * Math.tan((minutes / 60 / 2) * (Math.PI / 180)));

/** The size of the typeface whose capitals are so high, both mm. */
export const sizeOfCap = (capMm: number): number => capMm / CAP_SHARE;
