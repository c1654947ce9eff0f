import { GROUPINGS, type GroupBy, type Verdict } from '@ours/core';

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

export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  keep: 'Keep here',
  elsewhere: 'Belongs elsewhere',
  give_away: 'Give away',
  recycle: 'Recycle',
  throw_out: 'Throw out',
  empty_package: 'Empty package',
};

export const DISPOSAL_CAUTIONS = {
  medicine:
    'Old medicines go back to a pharmacy or a take-back point, never into the drain. When unsure, ask a pharmacist.',
  chemical:
    'Chemicals, paint and oil go to the collection point in their own containers. Never pour them together or away.',
  cells: 'Batteries go to a collection box. Tape the ends of button cells; keep them away from small children.',
} as const;
