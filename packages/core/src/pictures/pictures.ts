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

/** The tours that go on in a space, the first one first: two people who began without knowing of each other have two. */
export const openTours = (state: HouseholdState, spaceId: string): TourRow[] =>
  state
    .all('tour')
    .filter((tour) => tour.spaceId === spaceId && tour.endedAt === null)
    .sort((a, b) => (a.id < b.id ? -1 : 1));

export interface TourNow {
  stops: string[];
  /** Where it goes on; null: every stop was seen or skipped. */
  at: string | null;
  seen: number;
  /** Skipped and not seen since. */
  skipped: string[];
}

/**
 * Where the tour of a space stands: the next stop that nobody has seen or skipped. Seen by one and skipped by another, it was seen. Places
 * that came meanwhile are stops as well.
 */
export function tourNow(state: HouseholdState, spaceId: string): TourNow {
  const stops = tourStops(state, spaceId);
  const tours = openTours(state, spaceId);
  const going = new Set(tours.map(({ id }) => id));
  const said = state.all('tour_stop').filter(({ tourId }) => going.has(tourId));
  const ids = (how: 'seen' | 'skipped'): string[] => said.flatMap((one) => (one.how === how ? one.stopId : []));
  const seen = new Set([...tours.flatMap(({ seenIds }) => seenIds), ...ids('seen')]);
  const skipped = new Set([...tours.flatMap(({ skippedIds }) => skippedIds), ...ids('skipped')]);
  return {
    stops,
    at: stops.find((id) => !seen.has(id) && !skipped.has(id)) ?? null,
    seen: stops.filter((id) => seen.has(id)).length,
    skipped: stops.filter((id) => skipped.has(id) && !seen.has(id)),
  };
}

/**
 * A stop was seen, or is left for later. The first one begins the tour.
 * @param byId who says so; null: nobody is signed in as one of the home
 */
export function opsForStop(
  state: HouseholdState,
  spaceId: string,
  stopId: string,
  how: 'seen' | 'skipped',
  byId: string | null,
  { newId, now }: OpContext,
): Op[] {
  const tourId = openTours(state, spaceId)[0]?.id;
  const begun = tourId ?? newId();
  const fields = { spaceId, startedAt: now, endedAt: null, seenIds: [], skippedIds: [] };
  return [
    ...(tourId ? [] : [{ op: 'create' as const, entity: 'tour' as const, id: begun, fields }]),
    { op: 'create', entity: 'tour_stop', id: newId(), fields: { tourId: begun, stopId, how, byId, at: now } },
  ];
}

/** The tour of a space is done, by whomever it was begun. */
export const opsForEndingTour = (state: HouseholdState, spaceId: string, { now }: OpContext): Op[] =>
  openTours(state, spaceId).map(({ id }): Op => ({ op: 'change', entity: 'tour', id, fields: { endedAt: now } }));
