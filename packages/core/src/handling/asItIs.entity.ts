import { day, defineEntity, text, weakRef } from '../definition';

/** A move that was proposed and is not wanted. It is not proposed again while what it rested on is the same. */
export const asItIs = defineEntity('as_it_is', {
  fields: {
    subjectId: weakRef('bin', 'lot'),
    toNookId: weakRef('shelf', 'bin', 'space'),
    /** What the proposal rested on. */
    facts: text(1, 200),
    saidOn: day,
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
