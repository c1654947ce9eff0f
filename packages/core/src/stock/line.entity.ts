import { defineEntity, longText, orNull, weakRef } from '../definition';

/** A line that could not be read, kept word for word until someone has dealt with it. */
export const line = defineEntity('line', {
  fields: { text: longText(1000, 1), nookId: orNull(weakRef('space', 'shelf', 'bin')) },
  retire: 'freely',
  writtenBy: 'member',
  title: (row) => `“${row.text}”`,
});
