/** Whether a thing goes into a container by its sides. */
import { fitsAtSomeAngle } from '../base';
import type { ThingShape } from '../household';

/** The inside of a container where it is narrowest, tenths of a millimetre. */
export interface InsideSize {
  widthTenthMm: number;
  depthTenthMm: number;
  heightTenthMm: number;
}

/** A soft thing goes in where the narrowest way inside is at least this share of the side of a cube of its volume. Own default. */
export const SQUEEZED = 0.8;

/**
 * The ways a thing may stand: first as it was measured. Turning it about the upright is not another way.
 * @returns wide, deep, high
 */
export function sidesUp<T extends Pick<ThingShape, 'widthTenthMm' | 'depthTenthMm' | 'heightTenthMm'>>(
  { widthTenthMm: w, depthTenthMm: d, heightTenthMm: h }: T,
  upright: boolean,
): [number, number, number][] {
  return upright
    ? [[w, d, h]]
    : [
        [w, d, h],
        [w, h, d],
        [h, d, w],
      ];
}

/**
 * Whether one thing goes in. A rigid one by its sides: with one of them up, its foot lies on the floor of the container at some angle.
 * At a tilt more may go in; that is not looked for, so that a no may be too strict and a yes never is. A soft one gives way: its
 * volume and the narrowest way in decide.
 *
 * @example goesInto({ widthTenthMm: 3000, depthTenthMm: 500, heightTenthMm: 200, rigid: true, kept: [] }, { widthTenthMm: 2800, depthTenthMm: 2000, heightTenthMm: 900 }) //=> true
 */
export function goesInto(shape: ThingShape, inside: InsideSize): boolean {
  const { widthTenthMm: width, depthTenthMm: depth, heightTenthMm: height } = inside;
  if (!shape.rigid) {
    const volume = shape.widthTenthMm * shape.depthTenthMm * shape.heightTenthMm;
    return volume <= width * depth * height && Math.min(width, depth, height) >= SQUEEZED * Math.cbrt(volume);
  }
  return sidesUp(shape, shape.kept.includes('upright')).some(
    ([wide, deep, high]) => high <= height && fitsAtSomeAngle(wide, deep, width, depth),
  );
}
