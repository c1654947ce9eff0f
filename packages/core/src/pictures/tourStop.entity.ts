import { defineEntity, id, instant, oneOf, orNull, ref, weakRef } from '../definition';

/** A stop of a tour was seen, or skipped for later. Rows are only added: of two people in one space none undoes what the other saw. */
export const tourStop = defineEntity('tour_stop', {
  fields: {
    tourId: ref('tour'),
    stopId: id,
    how: oneOf('seen', 'skipped'),
    byId: orNull(weakRef('person')),
    at: instant,
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
