/** Pictures of places and things, and the tour through a space. */
import type { HouseholdState, Op, PhotoRow, TourRow } from '../household';
import type { OpContext } from '../stock';

/** The picture types that are taken, by their first bytes. */
const SIGNATURES: readonly { type: string; starts: readonly number[]; at?: number }[] = [
  { type: 'image/jpeg', starts: [0xff, 0xd8, 0xff] },
  { type: 'image/png', starts: [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a] },
  { type: 'image/webp', starts: [0x57, 0x45, 0x42, 0x50], at: 8 },
];

/** What a file is by its first bytes, whatever it is called; null: no picture that is taken. PNG 1.2, JFIF, WebP container. */
export function pictureType(bytes: Uint8Array): string | null {
  const found = SIGNATURES.find(({ starts, at = 0 }) => starts.every((byte, index) => bytes[at + index] === byte));
  return found?.type ?? null;
}

/** The largest size with the same shape whose longer side is at most `longest`; never larger than it is. */
export function fittedSize(width: number, height: number, longest: number): { width: number; height: number } {
  const factor = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * factor)), height: Math.max(1, Math.round(height * factor)) };
}

/** The pictures of a place or thing, the newest first. */
export const photosOf = (state: HouseholdState, ofId: string): PhotoRow[] =>
  state
    .all('photo')
    .filter((photo) => photo.ofId === ofId)
    .sort((a, b) => (a.takenAt < b.takenAt ? 1 : a.takenAt > b.takenAt ? -1 : a.id < b.id ? 1 : -1));

/** The last picture from before a setting up and the last from after it; null where there is none. */
export function beforeAndAfter(
  state: HouseholdState,
  ofId: string,
): { before: PhotoRow | null; after: PhotoRow | null } {
  const all = photosOf(state, ofId);
  const before = all.find(({ moment }) => moment === 'before') ?? null;
  const after = all.find(({ moment, takenAt }) => moment === 'after' && (!before || takenAt > before.takenAt)) ?? null;
  return { before, after };
}

/** The stops of a tour: shelf by shelf from the top, on each its bins from the left, with the bins in them, then the shelf itself. */
export function tourStops(state: HouseholdState, spaceId: string): string[] {
  const withInner = (binId: string): string[] => [binId, ...state.binsIn(binId).flatMap(({ id }) => withInner(id))];
  return state.shelvesOf(spaceId).flatMap((shelf) => {
    const bins = state.binsIn(shelf.id);
    const loose = bins.length === 0 || state.lotsIn(shelf.id).length > 0;
    return [...bins.flatMap(({ id }) => withInner(id)), ...(loose ? [shelf.id] : [])];
  });
}

/** The tour that goes on in a space; null: none does. */
export const openTour = (state: HouseholdState, spaceId: string): TourRow | null =>
  state.all('tour').find((tour) => tour.spaceId === spaceId && tour.endedAt === null) ?? null;

export interface TourNow {
  stops: string[];
  /** Where it goes on; null: every stop was seen or skipped. */
  at: string | null;
  seen: number;
  /** Skipped and not seen since. */
  skipped: string[];
}

/** Where a tour stands: the next stop that was neither seen nor skipped. Places that came meanwhile are stops as well. */
export function tourNow(state: HouseholdState, spaceId: string, tour: TourRow | null): TourNow {
  const stops = tourStops(state, spaceId);
  const [seen, skipped] = [new Set(tour?.seenIds), new Set(tour?.skippedIds)];
  return {
    stops,
    at: stops.find((id) => !seen.has(id) && !skipped.has(id)) ?? null,
    seen: stops.filter((id) => seen.has(id)).length,
    skipped: stops.filter((id) => skipped.has(id) && !seen.has(id)),
  };
}

/** A stop was seen, or is left for later. The first one begins the tour. */
export function opsForStop(
  state: HouseholdState,
  spaceId: string,
  stopId: string,
  how: 'seen' | 'skipped',
  context: OpContext,
): Op[] {
  const tour = openTour(state, spaceId);
  const seenIds = [...(tour?.seenIds ?? []).filter((id) => id !== stopId), ...(how === 'seen' ? [stopId] : [])];
  const skippedIds = [
    ...(tour?.skippedIds ?? []).filter((id) => id !== stopId),
    ...(how === 'skipped' ? [stopId] : []),
  ];
  if (tour) return [{ op: 'change', entity: 'tour', id: tour.id, fields: { seenIds, skippedIds } }];
  return [
    {
      op: 'create',
      entity: 'tour',
      id: context.newId(),
      fields: { spaceId, startedAt: context.now, endedAt: null, seenIds, skippedIds },
    },
  ];
}
