import { defineEntity, weakRef, whole } from '../definition';

/** How many paces it is from one room to another, one way; the way back is as long. */
export const way = defineEntity('way', {
  fields: {
    fromRoomId: weakRef('room'),
    toRoomId: weakRef('room'),
    paces: whole(0, 999),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
