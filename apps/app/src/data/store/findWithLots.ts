import type { Found } from '@ours/core';
import { readLotsOf, type DeviceDb } from './deviceDb';
import type { RowLayers } from './RowLayers';

/** Readings of a query until the lots of all that it finds are there: each may put others first. */
const MOST_READINGS = 4;

/**
 * Finds in a home whose lots are still being read: those of what is found are read for it.
 * @param replay lays the waiting commands over rows that came
 * @param isWhole whether all lots have come in the meantime
 * @returns as the finder answers; a thing whose lots are not known is left out
 */
export async function findWithLots(
  db: DeviceDb,
  layers: RowLayers,
  { query, limit, replay, isWhole }: { query: string; limit: number; replay: () => void; isWhole: () => boolean },
): Promise<Found[]> {
  const known = new Set<string>();
  const unknownIn = (found: readonly Found[]): string[] =>
    found.flatMap((one) => (one.kind === 'item' && !known.has(one.item.id) ? [one.item.id] : []));
  let found = layers.finder.find(query, limit);
  for (let readings = 0; readings < MOST_READINGS && !isWhole(); readings++) {
    const unknown = unknownIn(found);
    if (unknown.length === 0) break;
    for (const row of await readLotsOf(db, unknown)) if (!layers.has(row.row.id)) layers.put(row);
    for (const id of unknown) known.add(id);
    replay();
    found = layers.finder.find(query, limit);
  }
  if (isWhole()) return layers.finder.find(query, limit);
  const unknown = new Set(unknownIn(found));
  return found.filter((one) => one.kind !== 'item' || !unknown.has(one.item.id));
}
