import { defineEntity, instant, orNull, text, weakRef, whole } from '../definition';

/** A sitting in which one kind of thing that lies about is collected, and what became of it. */
export const backlog = defineEntity('backlog', {
  fields: {
    /** What is collected: `tools`. */
    words: text(1, 120),
    startedAt: instant,
    /** Null: it goes on. */
    endedAt: orNull(instant),
    /** How long it was meant to take. */
    plannedMinutes: whole(1, 480),
    putAway: whole(0, 9999),
    givenAway: whole(0, 9999),
    left: whole(0, 9999),
    personId: orNull(weakRef('person')),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ words }) => words,
});
