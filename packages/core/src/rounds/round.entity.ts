import {
  added,
  day,
  defineEntity,
  listOf,
  oneOf,
  orNull,
  record,
  text,
  weakRef,
  whole,
  type Holds,
} from '../definition';

/**
 * When a round falls due.
 * - `rule`: on the days of an RFC 5545 recurrence
 * - `after`: so many days after it was last done
 * - `season`: on the first day of March, June, September and December
 * - `stock`: on the day on which some of a thing was put in
 */
export const RHYTHMS = ['rule', 'after', 'season', 'stock'] as const;
const rhythm = record({
  kind: oneOf(...RHYTHMS),
  /** Of RFC 5545, without its start: `FREQ=WEEKLY;BYDAY=SU`; null: it has none. */
  rule: orNull(text(1, 200)),
  /** Days after it was last done. */
  days: orNull(whole(1, 3660)),
  /** Of `stock`: which thing. */
  itemId: added(orNull(weakRef('item'))),
});
export type Rhythm = Holds<typeof rhythm>;

/** What is done at the places of a round. */
export const ROUND_KINDS = [
  'expiry',
  'count',
  'refill',
  'catch_all',
  'medicine',
  'supplies',
  'season_swap',
  'defrost',
  'papers',
  'laundry',
  'helper',
  'settling',
  'condition',
  'pill_box',
  'own',
] as const;
export type RoundKind = (typeof ROUND_KINDS)[number];

/** A duty of the home that comes back: what, when, by whom, where, in which steps. */
export const round = defineEntity('round', {
  fields: {
    name: text(1, 120),
    kind: oneOf(...ROUND_KINDS),
    rhythm,
    /** What a rhythm is counted from. */
    startsOn: day,
    /** Who does it, in turn or together; empty: everyone. */
    personIds: listOf(weakRef('person'), 20),
    /** Where, in walking order; empty: wherever there is something to do. */
    nookIds: listOf(weakRef('space', 'shelf', 'bin'), 200),
    /** In the home's own words, in their order. */
    steps: listOf(text(1, 200), 60),
    minutes: whole(1, 1440),
    /** At what time by the clock where the home is, `18:30`; null: some time that day. */
    at: added(orNull(text(5, 5))),
    /** Of a season swap: bins that change places. */
    swaps: added(orNull(listOf(record({ oneId: weakRef('bin'), otherId: weakRef('bin') }), 60))),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
