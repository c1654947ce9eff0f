import { GROUPINGS, type GroupBy } from '@ours/core';

export const GROUP_BY_WORDS: Readonly<Record<GroupBy, string>> = {
  order: 'As the bins are',
  kind: 'Kind',
  season: 'Season',
  colour: 'Colour',
  room: 'Room',
  person: 'Person',
  symptom: 'Symptom',
  subject: 'Subject',
  alphabet: 'Alphabet',
  frequency: 'How often used',
};

/** As they are offered: what changes nothing comes first. */
export const GROUP_BY_CHOICES = (['order', ...GROUPINGS.filter((school) => school !== 'order')] as GroupBy[]).map(
  (value) => ({
    value,
    label: GROUP_BY_WORDS[value],
  }),
);
