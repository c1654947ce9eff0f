import { day, defineEntity, whole } from '../definition';

/** How many places were as they were set up, on a day on which somebody looked. Rows are only added; of a week the last counts. */
export const inPlace = defineEntity('in_place', {
  fields: {
    on: day,
    places: whole(0, 1_000_000),
    inPlace: whole(0, 1_000_000),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: () => null,
});
