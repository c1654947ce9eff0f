import { defineEntity, oneOf, ref, whole } from '../definition';

/** What things wait for. */
export const WAITS = ['hand_wash', 'ironing', 'mending', 'to_try', 'to_repaint', 'to_return', 'to_file'] as const;

/** A place in which things wait to be done something with; after its usual days they are pointed out. */
export const waitingPlace = defineEntity('waiting_place', {
  fields: {
    nookId: ref('space', 'shelf', 'bin'),
    waitsFor: oneOf(...WAITS),
    usualDays: whole(1, 366),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
