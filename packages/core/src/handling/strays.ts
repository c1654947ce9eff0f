/** Things that lie away from where most of their kind is. */
import type { HouseholdState, ItemRow, LotRow, SpaceRow } from '../household';
import type { Climate } from './handlingTypes';
import { isGuarded } from './kindOf';

/** A lot away from its kind. */
export interface Away {
  item: ItemRow;
  lot: LotRow;
  fromBinId: string | null;
  toNookId: string;
  /** Lots of its kind in all. */
  of: number;
  safety: boolean;
}

export const climateOf = (kind: SpaceRow['kind']): Climate =>
  kind === 'refrigerator' ? 'cool' : kind === 'chest_freezer' || kind === 'upright_freezer' ? 'freezer' : 'room';

const isInUse = ({ openedOn, inUseOn, decantedOn }: LotRow): boolean =>
  openedOn !== null || (inUseOn ?? null) !== null || (decantedOn ?? null) !== null;

/** The space a nook is in, and the bin that stands on its shelf. */
function outerOf(state: HouseholdState, nookId: string): { binId: string | null; space: SpaceRow | null } {
  let nook = state.nook(nookId);
  while (nook?.kind === 'bin' && nook.row.parentBinId !== null) nook = state.nook(nook.row.parentBinId);
  const shelfId = nook?.kind === 'bin' ? nook.row.shelfId : nook?.kind === 'shelf' ? nook.row.id : null;
  const shelf = shelfId === null ? undefined : state.get('shelf', shelfId);
  const spaceId = nook?.kind === 'space' ? nook.row.id : shelf?.spaceId;
  return {
    binId: nook?.kind === 'bin' ? nook.row.id : null,
    space: (spaceId === undefined ? undefined : state.get('space', spaceId)) ?? null,
  };
}

/** Things away from where most of their kind is, and guarded things where a child gets at them. */
export function awayFromTheirKind(state: HouseholdState, childAtHome: boolean): Away[] {
  const away: Away[] = [];
  for (const item of state.all('item')) {
    const lots = state.lotsOf(item.id).filter(({ quantityThousandths }) => quantityThousandths > 0);
    const guarded = childAtHome && isGuarded(item);
    if (lots.length === 0 || (item.front && !guarded)) continue;
    const places = lots.map((lot) => ({ lot, outer: outerOf(state, lot.nookId) }));
    const safe = (space: SpaceRow | null): boolean => !guarded || space?.locked === true;
    const someSafe = places.some(({ outer }) => safe(outer.space));
    // Where most of it is; of two alike where it was first, which the time in the id of a lot tells.
    const amounts = new Map<string, { sum: number; first: string }>();
    for (const { lot, outer } of places) {
      if (someSafe && !safe(outer.space)) continue;
      const key = outer.binId ?? lot.nookId;
      const { sum, first } = amounts.get(key) ?? { sum: 0, first: lot.id };
      amounts.set(key, { sum: sum + lot.quantityThousandths, first: first < lot.id ? first : lot.id });
    }
    const ranked = [...amounts].sort(([, a], [, b]) => b.sum - a.sum || (a.first < b.first ? -1 : 1));
    const home = ranked[0]?.[0];
    if (home === undefined) continue;
    const homeSpace = outerOf(state, home).space;
    for (const { lot, outer } of places) {
      const key = outer.binId ?? lot.nookId;
      if (key === home || !outer.space || !homeSpace) continue;
      // Warm and cold are two stocks, and so is what is kept in a vehicle.
      if (climateOf(outer.space.kind) !== climateOf(homeSpace.kind)) continue;
      if (outer.space.kind === 'vehicle' || homeSpace.kind === 'vehicle') continue;
      const safety = guarded && !safe(outer.space) && safe(homeSpace);
      // What is open or in use is where it is used.
      if (isInUse(lot) && !safety) continue;
      away.push({
        item,
        lot,
        fromBinId: outer.binId,
        toNookId: home,
        of: lots.length,
        safety,
      });
    }
  }
  return away;
}
