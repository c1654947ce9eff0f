import { defineEntity, instant, oneOf, orNull, ref, weakRef, whole } from '../definition';

/** One sitting in which a space is emptied and gone through. */
export const clearOut = defineEntity('clear_out', {
  fields: {
    spaceId: ref('space'),
    startedAt: instant,
    /** A timer, if one was wanted. */
    minutes: orNull(whole(1, 600)),
    finishedAt: orNull(instant),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});

export const VERDICTS = ['keep', 'elsewhere', 'give_away', 'recycle', 'throw_out', 'empty_package'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What was decided about one thing of a clear-out. */
export const verdict = defineEntity('verdict', {
  fields: {
    clearOutId: ref('clear_out'),
    lotId: weakRef('lot'),
    verdict: oneOf(...VERDICTS),
    toNookId: orNull(weakRef('space', 'shelf', 'bin')),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
