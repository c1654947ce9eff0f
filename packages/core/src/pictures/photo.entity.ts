import { defineEntity, instant, oneOf, orNull, text, weakRef, whole } from '../definition';

/** When a picture was taken, seen from the setting up of its place. */
export const PHOTO_MOMENTS = ['before', 'after', 'now'] as const;
/** The longest side of a picture that is kept, in pixels, and the most it may take, in bytes. */
export const PHOTO_LONGEST_SIDE = 1600;
export const PHOTO_MOST_BYTES = 250 * 1024;
/** What may be read from a file. */
export const PHOTO_MOST_READ_BYTES = 10 * 1024 * 1024;

/** A picture of a place or a thing. The picture itself is kept by what it is: the SHA-256 of its bytes. */
export const photo = defineEntity('photo', {
  fields: {
    ofId: weakRef('space', 'shelf', 'bin', 'item'),
    hash: text(64, 64),
    width: whole(1, PHOTO_LONGEST_SIDE),
    height: whole(1, PHOTO_LONGEST_SIDE),
    bytes: whole(1, PHOTO_MOST_BYTES),
    takenAt: instant,
    moment: oneOf(...PHOTO_MOMENTS),
    byId: orNull(weakRef('person')),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
