import { day, defineEntity, longText, orNull, text, weakRef } from '../definition';

/** What a place's label said when it was printed last. */
export const label = defineEntity('label', {
  fields: {
    nookId: weakRef('space', 'shelf', 'bin'),
    words: text(1, 120),
    /** The line below its words; null: it has none. */
    contents: orNull(longText(300)),
    printedOn: day,
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ words }) => words,
});
