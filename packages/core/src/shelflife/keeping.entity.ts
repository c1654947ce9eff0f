import { ADULTS, defineEntity, listOf, longText, orNull, text, whole } from '../definition';

/** A rule of the home for how long a kind of thing keeps; it wins over the published ones. */
export const keeping = defineEntity('keeping', {
  fields: {
    name: text(1, 60),
    /** The row of the published table that it stands for; empty: the home's own kind. */
    replaces: text(0, 40),
    /** A thing with one of them in its name or category is of this kind. */
    words: listOf(text(1, 60), 40),
    /** Days in the refrigerator once opened; null: as the table says. */
    openedDays: orNull(whole(0, 3650)),
    /** Days in the refrigerator once cooked; null: as the table says. */
    cookedDays: orNull(whole(0, 365)),
    /** Months of good quality in a freezer; null: as the table says. */
    freezerMonths: orNull(whole(0, 120)),
    /** Where the home has it from. */
    source: longText(200),
  },
  retire: 'freely',
  writtenBy: ADULTS,
  title: ({ name }) => name,
});
