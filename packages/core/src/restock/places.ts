/** Where things go that were bought, and what is carried from the reserve to where it is used. */
import { weekday, type CivilDate } from '../base';
import type { HouseholdState, ItemRow, LotRow, Op } from '../household';
import { guideOf } from '../shelflife';
import { nooksWithin, placePath } from '../spaces';
import { canDecant, oldestFirst, opsForDecanting, opsForMoving, type OpContext } from '../stock';

/** Why a place is proposed. */
export type PlaceReason =
  /** It is taken from there day by day. */
  | 'front'
  /** Most of it is there. */
  | 'same_thing'
  /** It was there before it was used up. */
  | 'was_here'
  /** Most things of its kind are there. */
  | 'same_kind';

export interface ProposedPlace {
  nookId: string;
  reason: PlaceReason;
}

const isLiving = (state: HouseholdState, nookId: string): boolean => state.nook(nookId)?.row.retired === false;

/** How much of an item is in a nook and in what stands in it, in thousandths. */
export function amountIn(state: HouseholdState, itemId: string, nookId: string): number {
  const within = new Set([nookId, ...nooksWithin(state, nookId)]);
  return state.lotsOf(itemId).reduce((sum, lot) => sum + (within.has(lot.nookId) ? lot.quantityThousandths : 0), 0);
}

/** The key with the highest value; null of nothing. */
function most(counts: ReadonlyMap<string, number>): string | null {
  let best: string | null = null;
  for (const [key, count] of counts) if (best === null || count > counts.get(best)!) best = key;
  return best;
}

/**
 * Where a thing goes.
 * @param item null: it is new here
 * @param category of a new thing; empty when nothing is known of it
 * @returns null when nothing in the home says it
 */
export function placeFor(
  state: HouseholdState,
  item: ItemRow | null,
  category = item?.category ?? '',
): ProposedPlace | null {
  if (item) {
    if (item.front && isLiving(state, item.front.nookId)) return { nookId: item.front.nookId, reason: 'front' };
    const here = new Map<string, number>();
    for (const lot of state.lotsOf(item.id))
      here.set(lot.nookId, (here.get(lot.nookId) ?? 0) + lot.quantityThousandths);
    const same = most(here);
    if (same !== null) return { nookId: same, reason: 'same_thing' };
    const gone = state
      .contentsOf(item.id)
      .flatMap((tagged) => (tagged.entity === 'lot' && isLiving(state, tagged.row.nookId) ? [tagged.row] : []))
      .sort((a, b) => (a.id < b.id ? 1 : -1))[0];
    if (gone) return { nookId: gone.nookId, reason: 'was_here' };
  }
  if (category === '') return null;
  const kin = new Map<string, number>();
  for (const other of state.all('item')) {
    if (other.category !== category || other.id === item?.id) continue;
    for (const nookId of new Set(state.lotsOf(other.id).map((lot) => lot.nookId)))
      kin.set(nookId, (kin.get(nookId) ?? 0) + 1);
  }
  const nookId = most(kin);
  return nookId === null ? null : { nookId, reason: 'same_kind' };
}

/** So much of what was bought goes to a place. */
export interface PutPart {
  nookId: string;
  amountThousandths: number;
  reserve: boolean;
}

/** Divides what was bought between its place and, when that is full, its reserve: whole units, the place first. */
export function partsToPutAway(
  state: HouseholdState,
  item: ItemRow,
  nookId: string,
  amountThousandths: number,
): PutPart[] {
  const all: PutPart[] = [{ nookId, amountThousandths, reserve: false }];
  const { front } = item;
  if (!front || front.nookId !== nookId) return all;
  const reserve = reserveOf(state, item);
  const room = Math.max(0, Math.floor((front.fullThousandths - amountIn(state, item.id, nookId)) / 1000) * 1000);
  if (reserve === null || room >= amountThousandths) return all;
  const parts = [
    { nookId, amountThousandths: room, reserve: false },
    { nookId: reserve, amountThousandths: amountThousandths - room, reserve: true },
  ];
  return parts.filter((part) => part.amountThousandths > 0);
}

/** Where most of it is beside its front place, or was the last time. */
function reserveOf(state: HouseholdState, item: ItemRow): string | null {
  const front = item.front?.nookId;
  if (!front) return null;
  const within = new Set([front, ...nooksWithin(state, front)]);
  const there = new Map<string, number>();
  const lots = state.contentsOf(item.id).flatMap((tagged) => (tagged.entity === 'lot' ? [tagged.row] : []));
  for (const lot of lots)
    if (!within.has(lot.nookId) && isLiving(state, lot.nookId))
      there.set(lot.nookId, (there.get(lot.nookId) ?? 0) + lot.quantityThousandths + 1);
  return most(there);
}

/** Something to carry from the reserve to where it is used. */
export interface Refill {
  item: ItemRow;
  fromNookId: string;
  toNookId: string;
  amountThousandths: number;
  /** In front now. */
  thereThousandths: number;
  fullThousandths: number;
  /** Left in the reserve after it. */
  leftThousandths: number;
  /** It runs low, or it is its day and what is there may not last to the next one. */
  why: 'low' | 'refill_day';
}

/** The day of a refill round, and what has to be in front so that it lasts to the next one, where that is known. */
export interface RefillDay {
  today: CivilDate;
  /** In thousandths, by item; null: its pace is not known. */
  toLast: (itemId: string) => number | null;
}

/**
 * What to carry, in walking order: by the room and space of the reserve, then by its shelf.
 * @param day left out, only what runs low is carried
 */
export function refillsOf(state: HouseholdState, day?: RefillDay): Refill[] {
  const refills: Refill[] = [];
  for (const item of state.all('item')) {
    const { front } = item;
    if (!front || !isLiving(state, front.nookId)) continue;
    const there = amountIn(state, item.id, front.nookId);
    const low = there <= front.leastThousandths;
    if (!low && !isDue(item, there, day)) continue;
    const reserve = oldestFirst(reserveLots(state, item), item, guideOf(state)).filter(
      (lot) => !front.decanted || canDecant(lot),
    );
    const [first] = reserve;
    if (!first) continue;
    const inReserve = reserve.reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    const wanted = front.fullThousandths - there;
    const here = reserve.filter(({ nookId }) => nookId === first.nookId);
    const amount = Math.min(
      wanted,
      here.reduce((sum, lot) => sum + lot.quantityThousandths, 0),
    );
    if (amount <= 0) continue;
    refills.push({
      item,
      fromNookId: first.nookId,
      toNookId: front.nookId,
      amountThousandths: amount,
      thereThousandths: there,
      fullThousandths: front.fullThousandths,
      leftThousandths: inReserve - amount,
      why: low ? 'low' : 'refill_day',
    });
  }
  const order = (nookId: string): string => {
    const path = placePath(state, nookId);
    const pad = (value: number): string => String(value).padStart(6, '0');
    return [path?.room?.sort ?? 0, path?.space?.sort ?? 0, path?.shelf?.sort ?? 0].map(pad).join();
  };
  return refills
    .map((refill) => ({ refill, at: order(refill.fromNookId) + order(refill.toNookId) + refill.item.name }))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
    .map(({ refill }) => refill);
}

/** It is its day, it is not full, and what is there may not last to the next one. */
function isDue({ id, front }: ItemRow, there: number, day: RefillDay | undefined): boolean {
  if (!front || !day || front.refillOn !== weekday(day.today) || there >= front.fullThousandths) return false;
  const toLast = day.toLast(id);
  return toLast !== null && there < toLast;
}

function reserveLots(state: HouseholdState, item: ItemRow): LotRow[] {
  const within = new Set([item.front!.nookId, ...nooksWithin(state, item.front!.nookId)]);
  return state.lotsOf(item.id).filter((lot) => !within.has(lot.nookId) && lot.quantityThousandths > 0);
}

/**
 * Carries it: the oldest of the reserve first. What is poured takes its date along; topped up, the earlier one counts.
 * @param washed the jar was emptied and washed before; what was in it by the book is gone
 */
export function opsForRefill(state: HouseholdState, refill: Refill, context: OpContext, washed = false): Op[] {
  if (refill.item.front?.decanted) return opsForPouring(state, refill, washed, context);
  let left = refill.amountThousandths;
  const lots = reserveLots(state, refill.item).filter(({ nookId }) => nookId === refill.fromNookId);
  return oldestFirst(lots, refill.item, guideOf(state)).flatMap((lot) => {
    const part = Math.min(left, lot.quantityThousandths);
    left -= part;
    return part > 0 ? opsForMoving(lot, part, refill.toNookId, state.lotsIn(refill.toNookId), context) : [];
  });
}

/** Pours from the lot to be used first, then from the next. */
function opsForPouring(
  state: HouseholdState,
  { item, fromNookId, toNookId, amountThousandths }: Refill,
  washed: boolean,
  context: OpContext,
): Op[] {
  const lots = oldestFirst(
    reserveLots(state, item).filter((lot) => lot.nookId === fromNookId),
    item,
    guideOf(state),
  );
  return opsForDecanting(lots, item, amountThousandths, toNookId, state.lotsIn(toNookId), washed, context);
}
