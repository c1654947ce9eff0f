/** What is in a freezer, layer by layer; what is picked from it for a day, and when that has to come out. */
import { addDays, daysBetween, type CivilDate } from '../base';
import type { HouseholdState, ItemRow, LotRow, Op, PickRow } from '../household';
import { effectiveDue, guideOf, isFrozen, type Due } from '../shelflife';
import { nooksWithin } from '../spaces';
import { opsForThawing, type OpContext } from '../stock';

/** A lot in a freezer. */
export interface FrozenLot {
  lot: LotRow;
  item: ItemRow;
  due: Due | null;
  /** Days since it was frozen; null: nobody noted it, it was bought frozen. */
  days: number | null;
}
/** A shelf, drawer or basket of a freezer with what is in it and in its bins. */
export interface FreezerLayer {
  nookId: string;
  lots: FrozenLot[];
}

/** From the top down; within a layer what should be eaten first comes first. Layers without anything are left out. */
export function freezerBoard(state: HouseholdState, spaceId: string, today: CivilDate): FreezerLayer[] {
  const layers = [...state.shelvesOf(spaceId).map(({ id }) => id), spaceId];
  const guide = guideOf(state);
  return layers.flatMap((nookId) => {
    const within = nookId === spaceId ? [spaceId] : [nookId, ...nooksWithin(state, nookId)];
    const lots = [...new Set(within)]
      .flatMap((id) => state.lotsIn(id))
      .flatMap((lot): FrozenLot[] => {
        const item = state.get('item', lot.itemId);
        if (!item || lot.quantityThousandths <= 0) return [];
        const days = isFrozen(lot) ? daysBetween(lot.frozenOn!, today) : null;
        return [{ lot, item, due: effectiveDue(lot, item, guide), days }];
      })
      .sort(
        (a, b) =>
          (a.due?.on ?? '9999').localeCompare(b.due?.on ?? '9999') ||
          a.item.name.localeCompare(b.item.name) ||
          (a.lot.id < b.lot.id ? -1 : 1),
      );
    return lots.length === 0 ? [] : [{ nookId, lots }];
  });
}

/**
 * Days before it is used that something comes out to thaw in the refrigerator. A day is enough for portions and cuts up to about
 * 2 kg (US federal guidance: 24 hours for every 4 to 5 pounds; from memory); bigger pieces need longer.
 */
const THAW_DAYS = 1;

/** Something picked for a day, and what has become of it. */
export interface Picked {
  pick: PickRow;
  lot: LotRow | null;
  item: ItemRow | null;
  /** The day it comes out to thaw. */
  thawOn: CivilDate;
  /** Less is there than was picked: all of it, or some, is gone. */
  shortThousandths: number;
}

/** What is still to be thawed, the soonest day first. Two picks of one lot share what is there. */
export function openPicks(state: HouseholdState): Picked[] {
  const left = new Map<string, number>();
  return state
    .all('pick')
    .filter(({ thawedOn }) => thawedOn === null)
    .sort((a, b) => (a.forDay === b.forDay ? (a.id < b.id ? -1 : 1) : a.forDay < b.forDay ? -1 : 1))
    .map((pick) => {
      const found = state.get('lot', pick.lotId);
      const lot = found && !found.retired ? found : null;
      const there = left.get(pick.lotId) ?? lot?.quantityThousandths ?? 0;
      left.set(pick.lotId, Math.max(0, there - pick.amountThousandths));
      const item = (found && state.get('item', found.itemId)) ?? null;
      const shortThousandths = Math.max(0, pick.amountThousandths - there);
      return { pick, lot, item, thawOn: addDays(pick.forDay, -THAW_DAYS), shortThousandths };
    });
}

/** How much of a lot is picked and still frozen, in thousandths. */
export const pickedOf = (picks: readonly Picked[], lotId: string): number =>
  picks.reduce((sum, { pick }) => sum + (pick.lotId === lotId ? pick.amountThousandths : 0), 0);

/** Some of a lot is to be used on a day. */
export const opsForPicking = (lot: LotRow, amountThousandths: number, forDay: CivilDate, { newId }: OpContext): Op[] =>
  amountThousandths <= 0
    ? []
    : [
        {
          op: 'create',
          entity: 'pick',
          id: newId(),
          fields: { lotId: lot.id, amountThousandths, forDay, thawedOn: null },
        },
      ];

/**
 * Takes what was picked out of the freezer to thaw, into a place, and notes the day on the pick.
 * @returns nothing when nothing of it is there any more
 */
export function opsForTakingOut(
  { pick, lot, shortThousandths }: Picked,
  toNookId: string,
  present: readonly LotRow[],
  context: OpContext,
): Op[] {
  const amount = pick.amountThousandths - shortThousandths;
  if (!lot || amount <= 0) return [];
  const out = opsForThawing(lot, amount, toNookId, present, context, true);
  if (out.length === 0) return [];
  return [...out, { op: 'change', entity: 'pick', id: pick.id, fields: { thawedOn: context.today } }];
}

/** The first place of a refrigerator that something thawed was put into before, else its first shelf; null without one. */
export function thawPlaceOf(state: HouseholdState): string | null {
  const fridges = state.all('space').filter(({ kind }) => kind === 'refrigerator');
  const within = fridges.flatMap(({ id }) => nooksWithin(state, id));
  const used = within.find((nookId) => state.lotsIn(nookId).some(({ thawedOn }) => thawedOn));
  return used ?? (fridges[0] ? (state.shelvesOf(fridges[0].id)[0]?.id ?? fridges[0].id) : null);
}
