import { ADULTS, defineEntity, instant, longText, orNull, ref, weakRef, whole } from '../definition';

/** In tenths of a degree Celsius: what a thermometer for people can show. */
export const BODY_TEMPERATURE = { least: 300, most: 450 } as const;

/** What was given to somebody, or what was measured. Entries are only added, or taken out when they were a mistake. */
export const careEntry = defineEntity('care_entry', {
  fields: {
    personId: ref('person'),
    /** Null: only the temperature was taken. */
    itemId: orNull(weakRef('item')),
    at: instant,
    /** As it was said: `5 ml`. */
    amount: longText(40),
    temperatureTenthC: orNull(whole(BODY_TEMPERATURE.least, BODY_TEMPERATURE.most)),
    byId: orNull(weakRef('person')),
    /** As the person was called who wrote it, for where nobody of the home is linked. */
    byName: longText(80),
  },
  retire: 'freely',
  writtenBy: ADULTS,
  readBy: ADULTS,
  title: ({ amount }) => amount,
});
