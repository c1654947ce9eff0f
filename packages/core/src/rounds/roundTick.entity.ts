import { day, defineEntity, oneOf, orNull, ref, text, weakRef, whole } from '../definition';

/**
 * What somebody did in one turn of a round. Rows are only added, and the state of a turn is what all of them say: two people who do it
 * at once, one without a signal, come to one state.
 * - `step`: one of its steps was done
 * - `done`: all of it
 * - `skipped`: not this time
 * - `moved`: to another day
 */
export const TICKS = ['step', 'done', 'skipped', 'moved'] as const;

export const roundTick = defineEntity('round_tick', {
  fields: {
    roundId: ref('round'),
    /** Which turn: the day on which it fell due by its rhythm. */
    dueOn: day,
    what: oneOf(...TICKS),
    /** Of a step: which. */
    step: orNull(text(1, 260)),
    /** Of a moved turn: to which day. */
    toOn: orNull(day),
    personId: orNull(weakRef('person')),
    on: day,
    /** How long it took, as measured; of a turn that is done. */
    minutes: orNull(whole(0, 1440)),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
