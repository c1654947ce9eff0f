import {
  comingStock,
  daysAhead,
  effectiveDue,
  guideOf,
  type KeepingGuide,
  estimateItem,
  listedItem,
  pastStock,
  restockOf,
  tripPlan,
  tripsAhead,
  lossesOf,
  type CivilDate,
  type ComingLevel,
  type HouseholdState,
  type ItemRow,
  type LotRow,
  type OutlookAnswer,
  type PastDay,
  type RestockEntry,
  type Trip,
  type TripPlan,
  type UseFirstEntry,
} from '@ours/core';

/** What the page of one thing shows. */
export interface ItemView {
  item: ItemRow;
  lots: LotRow[];
  entry: RestockEntry;
  plan: TripPlan;
  trips: Trip[];
  past: PastDay[];
  coming: ComingLevel[];
  lost: UseFirstEntry[];
  /** The same on the trip after the next one: what one buys then. */
  next: RestockEntry;
}

const PAST_DAYS = 90;

/**
 * One thing, worked out at once.
 * @param priors what things of its kind are like; empty until the home was worked out
 */
export function itemView(
  state: HouseholdState,
  item: ItemRow,
  today: CivilDate,
  priors: OutlookAnswer['priors'],
): ItemView | null {
  const trips = tripsAhead(state.all('shop'), today);
  const [trip] = trips;
  if (!trip) return null;
  const plan = tripPlan(state, trips, trip, today);
  const listed = listedItem(state, item);
  const guide = guideOf(state);
  const prior = priors.find(([category]) => category === item.category)?.[1];
  const estimate = estimateItem(listed, plan.todayNumber, plan.presence, prior);
  const entry = restockOf(listed, estimate, plan);
  const after = trips.find(({ day, shop }) => day > trip.day && shop?.id === trip.shop?.id) ?? trip;
  return {
    item,
    lots: state.lotsOf(item.id).sort((a, b) => (endOf(a, item, guide) < endOf(b, item, guide) ? -1 : 1)),
    entry,
    plan,
    trips,
    past: pastStock(listed.digest, plan.todayNumber, PAST_DAYS),
    coming: entry.out ? comingStock(estimate, entry.likelyThousandths, daysAhead(plan.presence, plan.todayNumber)) : [],
    lost: lossesOf(listed, estimate, plan),
    next: restockOf(listed, estimate, tripPlan(state, trips, after, today)),
  };
}

const endOf = (lot: LotRow, item: ItemRow, guide: KeepingGuide): string => effectiveDue(lot, item, guide)?.on ?? '9999';
