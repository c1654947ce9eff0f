import { addDays, daysOfRule, EVERY_SATURDAY, type CivilDate } from '../base';
import type { ShopRow } from '../household';

/** A day on which the home goes shopping. */
export interface Trip {
  day: CivilDate;
  /** Null: no shop is known, and Saturdays are assumed. */
  shop: ShopRow | null;
}

/** How far ahead shop days are looked for: the ruler, and the trip after its last. */
export const TRIPS_AHEAD_DAYS = 42;

/** The trips from today on, in order. */
export function tripsAhead(shops: readonly ShopRow[], today: CivilDate): Trip[] {
  const withDays = shops.filter(({ rule }) => rule !== '');
  if (withDays.length === 0)
    return daysOfRule(EVERY_SATURDAY, today, today, TRIPS_AHEAD_DAYS).map((day) => ({ day, shop: null }));
  return withDays
    .flatMap((shop) => daysOfRule(shop.rule, shop.startsOn, today, TRIPS_AHEAD_DAYS).map((day) => ({ day, shop })))
    .sort((a, b) => (a.day === b.day ? a.shop.sort - b.shop.sort : a.day < b.day ? -1 : 1));
}

/** The trip to the same shop after this one; a week later where none is known. */
export function tripAfter(trips: readonly Trip[], trip: Trip): CivilDate {
  const later = trips.find(({ day, shop }) => day > trip.day && (shop?.id ?? null) === (trip.shop?.id ?? null));
  return later?.day ?? addDays(trip.day, 7);
}
