import { day, defineEntity, longText, oneOf, whole } from '../definition';

/** Days on which the home uses another amount than usual: nobody there, or guests. */
export const absence = defineEntity('absence', {
  fields: {
    kind: oneOf('away', 'guests'),
    fromOn: day,
    /** The last day, included. */
    toOn: day,
    /** How many guests; 0 when away. */
    people: whole(0, 200),
    note: longText(200),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ kind, note }) => (note === '' ? (kind === 'away' ? 'Away' : 'Guests') : note),
});
