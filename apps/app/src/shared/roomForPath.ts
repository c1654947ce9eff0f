import type { Href } from 'expo-router';

/** The way to "is there room for it?" with its sides already in. @param sides wide, deep, high, tenths of a millimetre */
export const roomForPath = (name: string, sides: readonly [number, number, number]): Href =>
  ({
    pathname: '/restock/room-for',
    params: { name, wide: String(sides[0]), deep: String(sides[1]), high: String(sides[2]) },
  }) as unknown as Href;

/** A side from the address; null: none, or nothing that is one. */
export function sideFrom(text: string | string[] | undefined): number | null {
  const side = typeof text === 'string' ? Number(text) : NaN;
  return Number.isFinite(side) && side >= 1 ? Math.round(side) : null;
}
