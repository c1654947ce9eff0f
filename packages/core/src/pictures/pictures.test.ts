import { HouseholdState, type PhotoRow } from '../household';
import { idMaker, runOps, sampleRows } from '../household/sampleHome.test-support';
import {
  beforeAndAfter,
  fittedSize,
  openTours,
  opsForEndingTour,
  opsForStop,
  photosOf,
  pictureType,
  tourNow,
  tourStops,
} from './pictures';

// First bytes as published: PNG 1.2 section 3.1, JPEG (ITU T.81, SOI and a marker), the WebP container (RIFF … WEBP).
it.each([
  [[0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0], 'image/png'],
  [[0xff, 0xd8, 0xff, 0xe0], 'image/jpeg'],
  [[...'RIFF'].map((one) => one.charCodeAt(0)).concat([9, 9, 9, 9, 0x57, 0x45, 0x42, 0x50]), 'image/webp'],
  [[...'GIF89a'].map((one) => one.charCodeAt(0)), null],
  [[...'<svg '].map((one) => one.charCodeAt(0)), null],
  [[], null],
])('%j is %s', (bytes, type) => {
  expect(pictureType(Uint8Array.from(bytes))).toBe(type);
});

it('a picture is made smaller, never larger, and keeps its shape', () => {
  expect(fittedSize(4032, 3024, 1600)).toEqual({ width: 1600, height: 1200 });
  expect(fittedSize(3024, 4032, 1600)).toEqual({ width: 1200, height: 1600 });
  expect(fittedSize(800, 600, 1600)).toEqual({ width: 800, height: 600 });
  expect(fittedSize(20_000, 3, 1600)).toEqual({ width: 1600, height: 1 });
});

const photo = (id: string, takenAt: string, moment: PhotoRow['moment']): PhotoRow => ({
  id,
  seq: 1,
  retired: false,
  ofId: 'rack',
  hash: 'a'.repeat(64),
  width: 1600,
  height: 1200,
  bytes: 1000,
  takenAt,
  moment,
  byId: null,
});
function home(): HouseholdState {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  return state;
}

it('before and after: the last of each, and no after that is older than the before', () => {
  const state = home();
  const put = (row: PhotoRow): void => state.put({ entity: 'photo', row });
  put(photo('old after', '2026-01-02T10:00:00.000Z', 'after'));
  put(photo('before', '2026-11-02T10:00:00.000Z', 'before'));
  expect(beforeAndAfter(state, 'rack')).toMatchObject({ before: { id: 'before' }, after: null });
  put(photo('after', '2026-11-03T10:00:00.000Z', 'after'));
  put(photo('now', '2026-11-04T10:00:00.000Z', 'now'));
  expect(beforeAndAfter(state, 'rack')).toMatchObject({ before: { id: 'before' }, after: { id: 'after' } });
  expect(photosOf(state, 'rack').map(({ id }) => id)).toEqual(['now', 'after', 'before', 'old after']);
});

describe('the tour', () => {
  const context = { newId: idMaker(), now: '2026-11-27T10:00:00.000Z', today: '2026-11-27' };
  const stop = (state: HouseholdState, id: string, how: 'seen' | 'skipped', by = 'runa'): void => {
    runOps(state, opsForStop(state, 'rack', id, how, by, context), context);
  };
  it('leads from stop to stop, and remembers what was skipped', () => {
    const state = home();
    const stops = tourStops(state, 'rack');
    expect(stops.length).toBeGreaterThan(1);
    expect(tourNow(state, 'rack')).toMatchObject({ at: stops[0], seen: 0, skipped: [] });
    stop(state, stops[0]!, 'skipped');
    stop(state, stops[1]!, 'seen');
    expect(tourNow(state, 'rack')).toMatchObject({ at: stops[2] ?? null, seen: 1, skipped: [stops[0]] });
    stop(state, stops[0]!, 'seen');
    expect(tourNow(state, 'rack')).toMatchObject({ seen: 2, skipped: [] });
    expect(state.all('tour')).toHaveLength(1);
  });
  it('two people at once, also where each began it: none undoes what the other saw, and it ends for both', () => {
    const state = home();
    const [first, second] = tourStops(state, 'rack');
    // Each on a phone that does not know of the other.
    const mine = opsForStop(state, 'rack', first!, 'seen', 'runa', context);
    const theirs = opsForStop(state, 'rack', second!, 'seen', 'eskil', context);
    const late = opsForStop(state, 'rack', first!, 'skipped', 'eskil', context);
    for (const ops of [mine, theirs, late]) runOps(state, ops, context);
    expect(openTours(state, 'rack').length).toBeGreaterThan(1);
    expect(tourNow(state, 'rack')).toMatchObject({ seen: 2, skipped: [] });
    runOps(state, opsForEndingTour(state, 'rack', context), context);
    expect(openTours(state, 'rack')).toEqual([]);
    expect(tourNow(state, 'rack')).toMatchObject({ seen: 0 });
  });
});
