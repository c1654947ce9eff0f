import { ADULTS, defineEntity, listOf, longText, orNull, quantity, text, weakRef } from '../definition';

/** What one person needs of a kind of things in a day, for the reserve in days. */
export const ration = defineEntity('ration', {
  fields: {
    name: text(1, 60),
    /** A thing with one of them in its name, category or tags counts. */
    words: listOf(text(1, 60), 40),
    /** What is counted: `l`, `kg`, `meal`. */
    unit: text(1, 30),
    perPersonDayThousandths: quantity(1),
    /** Only what is there counts; null: the whole home. */
    nookId: orNull(weakRef('space', 'shelf', 'bin')),
    /** Where the figure is from. */
    source: longText(200),
  },
  retire: 'freely',
  writtenBy: ADULTS,
  title: ({ name }) => name,
});
