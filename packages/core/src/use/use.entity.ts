import { defineEntity, text, weakRef } from '../definition';

/** How an item was put in and used: kept up by the rules with every event of its lots. */
export const use = defineEntity('use', {
  fields: {
    itemId: weakRef('item'),
    /** `readDigest` reads it. */
    digest: text(0, 20_000),
  },
  retire: 'freely',
  writtenBy: 'rules',
  title: () => null,
});
