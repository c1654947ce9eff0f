import { ADULTS, day, defineEntity, listOf, orNull, quantity, record, ref, weakRef, whole } from '../definition';

/** A pill box that was filled: for whom, for which days, with how much of what. */
export const pillFill = defineEntity('pill_fill', {
  fields: {
    personId: ref('person'),
    /** The first day it was filled for, and how many. */
    fromOn: day,
    days: whole(1, 31),
    parts: listOf(record({ itemId: weakRef('item'), thousandths: quantity() }), 40),
    byId: orNull(weakRef('person')),
    on: day,
  },
  retire: 'freely',
  writtenBy: ADULTS,
  readBy: ADULTS,
  title: () => null,
});
