import { defineEntity, decimal, text } from '../definition';

/** Where a row stands among its neighbours; only the order counts. */
export const sort = decimal(-1e9, 1e9);

export const room = defineEntity('room', {
  fields: { name: text(1, 120), sort },
  retire: 'when_empty',
  writtenBy: 'member',
  title: ({ name }) => name,
});
