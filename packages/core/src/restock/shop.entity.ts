import { day, defineEntity, listOf, money, orNull, text, whole } from '../definition';

/** Where the home buys, and on which days. */
export const shop = defineEntity('shop', {
  fields: {
    name: text(1, 60),
    /** A recurrence rule of RFC 5545, without its start; empty: whenever somebody goes. */
    rule: text(0, 200),
    startsOn: day,
    /** What a trip is to cost at most. */
    budgetMinor: orNull(money),
    /** Kinds of goods in the order in which one walks past them. */
    aisles: listOf(text(1, 60), 80),
    sort: whole(0, 100_000),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
