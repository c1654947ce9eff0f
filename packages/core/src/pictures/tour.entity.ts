import { defineEntity, id, instant, listOf, orNull, ref } from '../definition';

/** Going through a space bin by bin: what was seen, and what was skipped and is still to be looked at. */
export const tour = defineEntity('tour', {
  fields: {
    spaceId: ref('space'),
    startedAt: instant,
    /** Null: it goes on. */
    endedAt: orNull(instant),
    /** Stops from before each of them became a row of its own (`tour_stop`). */
    seenIds: listOf(id, 600),
    skippedIds: listOf(id, 600),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
