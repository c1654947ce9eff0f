/** The share of places that are as they were set up, week by week. */
import { addDays, weekday, type CivilDate } from '../base';
import type { HouseholdState, Op } from '../household';
import type { OpContext } from '../stock';
import { binsOfPlan, driftOf, type Drift } from './drift';

export interface Share {
  places: number;
  inPlace: number;
}

/**
 * How many of the places that can drift have not: bins of chosen plans, bins of a known container, labelled places, shelves that are
 * for something.
 */
export function shareInPlace(state: HouseholdState, drifted: readonly Drift[] = driftOf(state)): Share {
  const places = new Set<string>();
  const add = (id: string): void => {
    if (state.nook(id)?.row.retired === false) places.add(id);
  };
  for (const plan of state.all('plan')) if (plan.status === 'chosen') binsOfPlan(plan).forEach(add);
  for (const { id, containerId } of state.all('bin')) if (containerId) add(id);
  for (const { nookId } of state.all('label')) add(nookId);
  for (const { id, purpose } of state.all('shelf')) if (purpose) add(id);
  // What is gone, or a set that lies somewhere else, is a place as well.
  const away = new Set(drifted.map(({ nookId }) => nookId));
  for (const id of away) places.add(id);
  return { places: places.size, inPlace: places.size - away.size };
}

const MONDAY = 1;
const WEEK = 7;
const mondayOf = (on: CivilDate): CivilDate => addDays(on, -((weekday(on) - MONDAY + WEEK) % WEEK));

/** Of each week in which somebody looked the last share, in order. */
export function sharesByWeek(state: HouseholdState): (Share & { week: CivilDate })[] {
  const weeks = new Map<CivilDate, Share & { on: CivilDate; id: string }>();
  for (const { on, places, inPlace, id } of state.all('in_place')) {
    const week = mondayOf(on);
    const known = weeks.get(week);
    if (!known || on > known.on || (on === known.on && id > known.id)) weeks.set(week, { on, places, inPlace, id });
  }
  return [...weeks]
    .map(([week, { places, inPlace }]) => ({ week, places, inPlace }))
    .sort((a, b) => (a.week < b.week ? -1 : 1));
}

/** Notes the share once a week. Empty: it is noted already, or there is nothing that could drift. */
export function opsForNotingShare(state: HouseholdState, share: Share, context: OpContext): Op[] {
  const week = mondayOf(context.today);
  if (share.places === 0 || state.all('in_place').some(({ on }) => mondayOf(on) === week)) return [];
  return [{ op: 'create', entity: 'in_place', id: context.newId(), fields: { on: context.today, ...share } }];
}
