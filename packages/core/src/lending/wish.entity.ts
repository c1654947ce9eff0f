import { day, defineEntity, oneOf, orNull, ref, text } from '../definition';

/** What is wished for a place: something to buy, something to change, something that does not work yet. */
export const WISH_KINDS = ['buy', 'change', 'works_not'] as const;

export const wish = defineEntity('wish', {
  fields: {
    nookId: ref('space', 'shelf', 'bin'),
    kind: oneOf(...WISH_KINDS),
    words: text(1, 200),
    /** Null: still open. */
    doneOn: orNull(day),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ words }) => words,
});
