import { defineEntity, added, currency, oneOf, orNull, text, ADULTS } from '../definition';

export const household = defineEntity('household', {
  fields: {
    name: text(1, 120),
    lengthUnit: oneOf('metric', 'inch'),
    /** How `03/04` is read: day first, month first, or (null) always asked. */
    dateOrder: orNull(oneOf('dmy', 'mdy')),
    /** Null or missing means EUR. */
    currency: added(orNull(currency)),
    /** The telephone number of the poison centre that answers where they live. */
    poisonCentre: added(orNull(text(1, 40))),
  },
  retire: 'never',
  single: true,
  writtenBy: ADULTS,
  title: ({ name }) => name,
});
