import {
  layOutFront,
  stockOf,
  type BinRow,
  type FrontView,
  type HouseholdState,
  type NookSummary,
  type ShelfRow,
  type SpaceRow,
} from '@ours/core';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';

/** A space's drawing with what is in each of its nooks. The same object while it would be drawn the same. */
export interface Front {
  space: SpaceRow;
  view: FrontView;
  summaryOf: (nookId: string) => NookSummary;
}
interface KnownFront extends Front {
  rows: readonly (SpaceRow | ShelfRow | BinRow)[];
  summaries: readonly NookSummary[];
  day: string;
}

const fronts = new WeakMap<HouseholdState, Map<string, KnownFront>>();
const isSame = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((one, at) => one === b[at]);

/** The drawing of a space of any home; null: there is no such space. */
export function frontOf(state: HouseholdState, spaceId: string): Front | null {
  const space = state.get('space', spaceId);
  if (!space || space.retired) return null;
  let known = fronts.get(state);
  if (!known) fronts.set(state, (known = new Map<string, KnownFront>()));
  const before = known.get(spaceId);
  const day = today();
  const shelves = state.shelvesOf(spaceId);
  const bins = shelves.map((shelf) => state.binsIn(shelf.id));
  const rows = [space, ...shelves, ...bins.flat()];
  const stock = stockOf(state);
  const nooks = [space, ...shelves, ...bins.flat()].map(({ id }) => id);
  const summaries = nooks.map((id) => stock.summary(id, day));
  const sameRows = before !== undefined && isSame(before.rows, rows);
  if (sameRows && before.day === day && isSame(before.summaries, summaries)) return before;
  const byId = new Map(nooks.map((id, at) => [id, summaries[at]!]));
  const front: KnownFront = {
    space,
    view: sameRows
      ? before.view
      : layOutFront(space, shelves, (id) => bins[shelves.findIndex((shelf) => shelf.id === id)] ?? []),
    // Nooks inside bins are not drawn; whoever asks for one gets what is there now.
    summaryOf: (id) => byId.get(id) ?? stock.summary(id, day),
    rows,
    summaries,
    day,
  };
  known.set(spaceId, front);
  return front;
}

export function useFront(spaceId: string | null): Front | null {
  const { front } = useHousehold(({ state }) => ({ front: spaceId === null ? null : frontOf(state, spaceId) }));
  return front;
}

/** Several spaces, in the order asked for; those that are gone are left out. */
export function useFronts(spaceIds: readonly string[]): readonly Front[] {
  return useHousehold(({ state, version }) => ({
    fronts: spaceIds.flatMap((id) => frontOf(state, id) ?? []),
    version,
  })).fronts;
}

/** Everything in the space: on it, on its shelves and in their bins. */
export function wholeSummary({ space, view, summaryOf }: Front): NookSummary {
  const parts = [
    summaryOf(space.id),
    ...[...view.shelves, ...view.doorShelves].map(({ shelf }) => summaryOf(shelf.id)),
  ];
  const sum = (key: 'lots' | 'late' | 'soon' | 'low' | 'pleaseCount'): number =>
    parts.reduce((total, part) => total + part[key], 0);
  return {
    lots: sum('lots'),
    late: sum('late'),
    soon: sum('soon'),
    low: sum('low'),
    pleaseCount: sum('pleaseCount'),
    itemNames: [],
  };
}
