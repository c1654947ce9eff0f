import { added, defineEntity, length, longText, oneOf, orNull, text, whole, yesNo } from '../definition';

export const PERSON_ROLES = ['adult', 'child', 'helper'] as const;

export const person = defineEntity('person', {
  fields: {
    name: text(1, 120),
    role: oneOf(...PERSON_ROLES),
    /** Whole years on the day it was noted, or null when nobody wrote it down. */
    ageYears: orNull(whole(0, 130)),
    /** Height a hand reaches without a step, above the floor. */
    reachTenthMm: orNull(length()),
    note: longText(2000),
    /** Takes a step or stool; null: grown people do, children do not. */
    takesSteps: added(orNull(yesNo)),
  },
  retire: 'freely',
  writtenBy: 'member',
  title: ({ name }) => name,
});
