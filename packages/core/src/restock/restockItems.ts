import { convertMeasure, dayOfId, daysBetween, foldedWords, isMeasure, type CivilDate } from '../base';
import { dayNumber, presenceOf, type UsedItem } from '../forecast';
import { digestOf, type HouseholdState, type ItemRow, type LotRow, type PurchaseRow } from '../household';
import { effectiveDue, guideOf, type KeepingGuide } from '../shelflife';
import type { RestockItem, TripPlan } from './restockList';
import { tripAfter, type Trip } from './trips';

/** An item as the list decides about it, with what is known of its use. */
export type ListedItem = RestockItem & UsedItem;

const VITAL_WORDS = new Set(['medicine', 'medicines', 'pharmacy', 'prescription']);

const isVital = ({ category, tags }: ItemRow): boolean =>
  [category, ...tags].some((text) => foldedWords(text).some((word) => VITAL_WORDS.has(word)));

/** In the item's unit, in thousandths: what one buys at once, as its lots say. Null: one of its unit. */
function usualPack({ unit }: ItemRow, lots: readonly LotRow[]): number | null {
  if (!isMeasure(unit)) return null;
  for (const { packSize } of lots) {
    if (packSize === null) continue;
    const amount = convertMeasure(packSize.amountThousandths, packSize.unit, unit);
    if (amount !== null && amount >= 1) return Math.round(amount);
  }
  return null;
}

/**
 * How long it keeps from the day it is bought: as the home says, or as long as the best quarter of its closed lots. The middle
 * would be too short: a lot that was split off when some of it was moved is younger than what is in it.
 * @param lots used-up ones as well, as far as they are known
 */
export function keepDaysOf(item: ItemRow, lots: readonly LotRow[], guide: KeepingGuide): number | null {
  if (item.keepDays) return item.keepDays;
  const spans = lots.flatMap((lot) => {
    const made = dayOfId(lot.id);
    const due = lot.openedOn === null ? effectiveDue(lot, item, guide) : null;
    const days = made && due ? daysBetween(made, due.on) : -1;
    return days > 0 ? [days] : [];
  });
  return spans.length === 0 ? null : spans.sort((a, b) => b - a)[Math.floor(spans.length / 4)]!;
}

const everyLotOf = (state: HouseholdState, itemId: string): LotRow[] =>
  state.contentsOf(itemId).flatMap((tagged) => (tagged.entity === 'lot' ? [tagged.row] : []));

export function listedItem(state: HouseholdState, item: ItemRow): ListedItem {
  const lots = state.lotsOf(item.id);
  const restock = item.restock ?? null;
  const guide = guideOf(state);
  return {
    itemId: item.id,
    name: item.name,
    category: item.category,
    digest: digestOf(state, item),
    weeklyThousandths: restock?.weeklyThousandths ?? null,
    how: restock?.how ?? null,
    lowAtThousandths: item.lowAtThousandths,
    fullThousandths: restock?.fullThousandths ?? null,
    packs: item.packs ?? [],
    usualPackThousandths: usualPack(item, lots),
    keepDays: keepDaysOf(item, everyLotOf(state, item.id), guide),
    vital: isVital(item),
    refillOn: item.front?.refillOn ?? null,
    lots: lots.map((lot) => ({
      lotId: lot.id,
      thousandths: lot.quantityThousandths,
      dueOn: effectiveDue(lot, item, guide)?.on ?? null,
    })),
  };
}

/** A trip as the list is made for it. */
export function tripPlan(state: HouseholdState, trips: readonly Trip[], trip: Trip, today: CivilDate): TripPlan {
  return {
    today,
    day: trip.day,
    nextDay: tripAfter(trips, trip),
    shopId: trip.shop?.id ?? null,
    todayNumber: dayNumber(today),
    presence: presenceOf(state.all('absence'), state.all('person')),
  };
}

/** Days for which “not this week” holds. */
const DISMISSED_DAYS = 7;

/**
 * The lines of a trip's list that somebody wrote, ticked or put off; newest last. What was written by hand and not bought on an
 * earlier trip comes along.
 */
export const linesOfTrip = (state: HouseholdState, trip: Pick<Trip, 'day' | 'shop'>): PurchaseRow[] =>
  state
    .all('purchase')
    .filter(
      ({ forDay, shopId, itemId, state: of }) =>
        (shopId === null || trip.shop === null || shopId === trip.shop.id) &&
        (forDay === trip.day || (itemId === null && forDay < trip.day && (of === 'wanted' || of === 'not_there'))),
    )
    .sort((a, b) => (a.id < b.id ? -1 : 1));

/** A thing on a list, with every line about it: two phones may have written one each. */
export interface ShoppingThing {
  key: string;
  itemId: string | null;
  name: string;
  lines: PurchaseRow[];
  packs: number;
  /** What is true of the thing: once one of its lines is in the basket it is. */
  state: 'wanted' | 'basket' | 'not_there' | 'put_away';
  /** The line that says the most: the one in the basket. */
  line: PurchaseRow;
}

const RANK = { put_away: 3, basket: 2, not_there: 1, wanted: 0, dismissed: -1 } as const;

/** The things of a list, each once. */
export function thingsOnList(lines: readonly PurchaseRow[]): ShoppingThing[] {
  const byKey = new Map<string, PurchaseRow[]>();
  for (const line of lines) {
    if (line.state === 'dismissed') continue;
    const key = line.itemId ?? line.id;
    byKey.set(key, [...(byKey.get(key) ?? []), line]);
  }
  return [...byKey].map(([key, own]) => {
    const line = own.reduce((best, one) => (RANK[one.state] > RANK[best.state] ? one : best));
    const { itemId, name } = line;
    const packs = Math.max(...own.map((one) => one.packs));
    return { key, itemId, name, lines: own, packs, state: line.state as ShoppingThing['state'], line };
  });
}

/** Items that somebody does not want this week. */
export function dismissedItems(state: HouseholdState, day: CivilDate): Set<string> {
  const ids = new Set<string>();
  for (const { itemId, state: of, forDay } of state.all('purchase'))
    if (itemId !== null && of === 'dismissed' && Math.abs(daysBetween(forDay, day)) < DISMISSED_DAYS) ids.add(itemId);
  return ids;
}
