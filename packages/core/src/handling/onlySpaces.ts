import type { HandlingHome } from './handlingTypes';

/**
 * A home in which only some spaces may change: bins outside them stay, those inside go nowhere else, and of strays only those that
 * are in them or belong there are left. Search and bound are then of these spaces.
 */
export function onlySpaces(home: HandlingHome, spaceIds: ReadonlySet<string>): HandlingHome {
  const inside = home.shelves.map(({ spaceId }) => spaceIds.has(spaceId));
  const units = home.units.map((unit) =>
    inside[unit.origin]
      ? { ...unit, allowed: unit.allowed.filter((shelf) => inside[shelf]) }
      : { ...unit, allowed: [unit.origin], stays: unit.stays ?? ('not_chosen' as const) },
  );
  const isInside = (unit: number | null): boolean => unit !== null && inside[home.units[unit]!.origin] === true;
  const shelfIds = new Set(home.shelves.flatMap(({ shelfId }, at) => (inside[at] ? [shelfId] : [])));
  return {
    ...home,
    units,
    strays: home.strays.filter(
      ({ fromUnit, toUnit, fromNookId, toNookId }) =>
        isInside(fromUnit) || isInside(toUnit) || shelfIds.has(fromNookId) || shelfIds.has(toNookId),
    ),
    unguarded: home.unguarded.filter((binId) => isInside(home.units.findIndex((unit) => unit.binId === binId))),
  };
}
