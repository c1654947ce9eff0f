import {
  day,
  defineEntity,
  instant,
  longText,
  money,
  oneOf,
  orNull,
  quantity,
  text,
  weakRef,
  whole,
} from '../definition';

/** What becomes of a line of a shopping list. `dismissed`: not this week. */
export const PURCHASE_STATES = ['wanted', 'basket', 'not_there', 'put_away', 'dismissed'] as const;
export type PurchaseState = (typeof PURCHASE_STATES)[number];

/** One line of a shopping list. */
export const purchase = defineEntity('purchase', {
  fields: {
    /** Null for something that the home has no thing of yet. */
    itemId: orNull(weakRef('item')),
    name: text(1, 120),
    shopId: orNull(weakRef('shop')),
    /** The day of the trip. */
    forDay: day,
    packs: whole(0, 99_999),
    /** In one pack, of the item's unit; null: as it is sold. */
    packThousandths: orNull(quantity(1)),
    /** Paid or expected for one pack. */
    priceMinor: orNull(money),
    state: oneOf(...PURCHASE_STATES),
    /** What was taken instead. */
    instead: text(0, 120),
    note: longText(500),
    /** Who put it into the basket, and when. */
    byPersonId: orNull(weakRef('person')),
    atInstant: orNull(instant),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
