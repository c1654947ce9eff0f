import type { HouseholdState } from '../household';
import { containerGrams, innerVolumeMl } from '../containers';
import { bulkOfLot, bulkOfNook } from '../stock';
import { roomMl, modelSpace } from '../fit';

/** A rack is tall, and to be fixed to the wall, from this height or when higher than four times its depth. Own default. */
const TALL_TENTH_MM = 15_000;
const TALL_RATIO = 4;
/** Above what a grown person reaches without a step (common practice, no source); the household's own reach comes first. */
const REACH_TENTH_MM = 19_000;
/** Full from here on: a rating is not used to the last gram. Own default. */
const NEARLY = 0.9;

export interface ShelfLoad {
  shelfId: string;
  binsGrams: number;
  contentsGrams: number;
  ratingGrams: number | null;
  /** Some contents were guessed. */
  estimated: boolean;
  state: 'no_rating' | 'fine' | 'nearly' | 'over';
}
export interface SpaceLoad {
  shelves: ShelfLoad[];
  grams: number;
  ratingGrams: number | null;
  state: ShelfLoad['state'];
  cautions: ('anchor' | 'step_stool' | 'heavy_high')[];
}

/** What each shelf and the whole carry, bins and contents, beside their ratings; and the cautions that follow. */
export function spaceLoad(state: HouseholdState, spaceId: string): SpaceLoad | null {
  const space = state.get('space', spaceId);
  if (!space) return null;
  const rows = state.shelvesOf(spaceId);
  const shelves = rows.map((shelf): ShelfLoad => {
    const contents = bulkOfNook(state, shelf.id);
    const binsGrams = state.binsIn(shelf.id).reduce((sum, bin) => {
      const type = bin.containerId ? state.get('container', bin.containerId) : undefined;
      return sum + (type ? containerGrams(type) : 0);
    }, 0);
    const ratingGrams = shelf.build?.loadGrams ?? null;
    return {
      shelfId: shelf.id,
      binsGrams,
      contentsGrams: contents.grams,
      ratingGrams,
      estimated: !contents.known,
      state: loadState(binsGrams + contents.grams, ratingGrams),
    };
  });
  const grams = shelves.reduce((sum, one) => sum + one.binsGrams + one.contentsGrams, 0);
  const ratingGrams = space.build?.loadGrams ?? null;
  return {
    shelves,
    grams,
    ratingGrams,
    state: loadState(grams, ratingGrams),
    cautions: cautionsFor(state, spaceId, shelves),
  };
}

/** Whether a shelf carries a load, in grams, by its rating. */
export function loadState(grams: number, ratingGrams: number | null): ShelfLoad['state'] {
  if (ratingGrams === null) return 'no_rating';
  if (grams > ratingGrams) return 'over';
  return grams > NEARLY * ratingGrams ? 'nearly' : 'fine';
}

function cautionsFor(state: HouseholdState, spaceId: string, loads: readonly ShelfLoad[]): SpaceLoad['cautions'] {
  const space = state.get('space', spaceId)!;
  const rows = state.shelvesOf(spaceId);
  const height = space.heightTenthMm ?? 0;
  const cautions: SpaceLoad['cautions'] = [];
  const stands = ['storage_rack', 'closet', 'cupboard', 'drawer_unit'].includes(space.kind);
  if (stands && (height >= TALL_TENTH_MM || height > TALL_RATIO * (space.depthTenthMm ?? Infinity)))
    cautions.push('anchor');
  const reach = Math.min(
    REACH_TENTH_MM,
    ...state
      .all('person')
      .flatMap(({ reachTenthMm, role }) => (role === 'adult' && reachTenthMm ? [reachTenthMm] : [])),
  );
  if (rows.some((shelf) => (shelf.bottomTenthMm ?? 0) > reach - 2000 && shelf.kind !== 'hook_rail'))
    cautions.push('step_stool');
  const byHeight = rows
    .filter((shelf) => shelf.bottomTenthMm !== null)
    .sort((a, b) => a.bottomTenthMm! - b.bottomTenthMm!)
    .map((shelf) => loads.find(({ shelfId }) => shelfId === shelf.id)!);
  const weightOf = (one: ShelfLoad): number => one.binsGrams + one.contentsGrams;
  const half = Math.floor(byHeight.length / 2);
  const [low, high] = [byHeight.slice(0, half), byHeight.slice(byHeight.length - half)];
  const sum = (list: ShelfLoad[]): number => list.reduce((total, one) => total + weightOf(one), 0);
  if (stands && half > 0 && sum(high) > 1.2 * sum(low) && sum(high) > 10_000) cautions.push('heavy_high');
  return cautions;
}

export interface ColdRoom {
  /** Usable room by the inside measures, millilitres. */
  roomMl: number;
  /** Taken by bins (outside) and by loose lots. */
  usedMl: number;
  contentsMl: number;
  share: number;
  estimated: boolean;
}

/** How many litres a freezer or refrigerator has by its measures, and how full it is. Null when nothing was measured. */
export function coldRoom(state: HouseholdState, spaceId: string): ColdRoom | null {
  const space = state.get('space', spaceId);
  if (!space) return null;
  const { shelves } = modelSpace(space, state.shelvesOf(spaceId));
  if (shelves.length === 0) return null;
  const room = shelves.reduce((sum, one) => sum + roomMl(one.room), 0);
  let used = 0;
  let contentsMl = 0;
  let estimated = false;
  for (const shelf of state.shelvesOf(spaceId)) {
    const bulk = bulkOfNook(state, shelf.id);
    contentsMl += bulk.volumeMl;
    estimated ||= !bulk.known;
    for (const bin of state.binsIn(shelf.id)) {
      const type = bin.containerId ? state.get('container', bin.containerId) : undefined;
      const inside = bulkOfNook(state, bin.id).volumeMl;
      const outside = (bin.widthTenthMm ?? 0) * (bin.heightTenthMm ?? 0) * (bin.depthTenthMm ?? 0);
      used += Math.max(inside, outside > 0 ? outside / 1e6 : type ? innerVolumeMl(type) : 0);
    }
    for (const lot of state.lotsIn(shelf.id)) {
      const item = state.get('item', lot.itemId);
      if (item) used += bulkOfLot(item, lot).volumeMl;
    }
  }
  return { roomMl: room, usedMl: Math.round(used), contentsMl, share: room === 0 ? 0 : contentsMl / room, estimated };
}
