import { day, defineEntity, listOf, orNull, quantity, record, text, weakRef, whole, type Holds } from '../definition';

const part = record({
  itemId: weakRef('item'),
  /** What else serves as well. */
  alsoIds: listOf(weakRef('item'), 10),
  thousandths: quantity(1),
  /** Counts as ending soon this many days before its date; null: as usual. */
  soonDays: orNull(whole(0, 3650)),
});
export type KitPart = Holds<typeof part>;

/** Things that are to be complete and in date, wherever they lie: first aid, party, guests, travel, emergency days. */
export const kit = defineEntity('kit', {
  fields: {
    name: text(1, 120),
    /** Where it lies together; null: its parts lie in their own places all over the home. */
    nookId: orNull(weakRef('space', 'shelf', 'bin')),
    parts: listOf(part, 300),
    /** Other kits that are part of it. */
    kitIds: listOf(weakRef('kit'), 20),
    /** When somebody last looked through all of it, and who. */
    lookedOn: orNull(day),
    lookedById: orNull(weakRef('person')),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
