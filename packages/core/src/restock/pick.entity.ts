import { day, defineEntity, orNull, quantity, weakRef } from '../definition';

/** Something of the freezer that is to be used on a day, and so has to thaw before it. */
export const pick = defineEntity('pick', {
  fields: {
    lotId: weakRef('lot'),
    amountThousandths: quantity(1),
    /** The day it is used. */
    forDay: day,
    /** The day it was taken out to thaw; null: it is still frozen. */
    thawedOn: orNull(day),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
