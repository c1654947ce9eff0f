import { day, decimal, defineEntity, orNull, text, weakRef, whole } from '../definition';

/** One thing to carry from a place to another, of a rearrangement that somebody accepted: a line of the walk list. */
export const errand = defineEntity('errand', {
  fields: {
    /** Errands accepted together that make each other possible have one chain. */
    chain: text(1, 60),
    sort: whole(0, 999),
    /** A bin with all that is in it, or a lot. */
    subjectId: weakRef('bin', 'lot'),
    fromNookId: weakRef('shelf', 'bin', 'space'),
    toNookId: weakRef('shelf', 'bin', 'space'),
    /** Of the whole chain, minutes a month. */
    savedMinutes: decimal(0, 100_000),
    doneOn: orNull(day),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
