import { VIEW_COUNTED, VIEW_GROUPS, VIEW_ROWS, VIEW_SHOWN, type CivilDate, type KeptViewFields } from '@ours/core';
import { choicesOf, type Choice } from '@/kit/form/choice';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { costWords } from '@/features/restock/words';
import type { Worth } from './stockRows';

/** `worth €49.13`, `worth €49.13 (12 without a price)`. */
export function worthWords({ minor, unpriced }: Worth, currency: string): string {
  if (minor === 0 && unpriced > 0) return 'no prices known';
  const sum = `worth ${costWords(minor, currency)}`;
  return unpriced === 0 ? sum : `${sum} (${unpriced.toLocaleString('en')} without a price)`;
}

/** `44 rows, worth €130.61`: what a group holds. */
export const groupWords = ({ rows, worth }: { rows: number; worth: Worth }, currency: string): string =>
  `${counted(rows, { one: '# row', other: '# rows' })}, ${worthWords(worth, currency)}`;

export const shownChoices = (nextTrip: CivilDate | null, today: CivilDate): Choice<KeptViewFields['shown']>[] =>
  choicesOf(VIEW_SHOWN, {
    all: 'everything',
    runs_out: nextTrip === null ? 'what may run out' : `what may run out before ${dayWords(nextTrip, today)}`,
    ends: 'what ends in two weeks',
    low: 'what is at its mark',
    none: 'what is gone',
  });
export const COUNTED_CHOICES = choicesOf<KeptViewFields['counted']>(VIEW_COUNTED, {
  whenever: 'whenever it was counted',
  this_week: 'counted in the last seven days',
  not_month: 'not counted for 30 days',
  not_year: 'not counted for a year',
});
export const ROWS_CHOICES = choicesOf<KeptViewFields['rows']>(VIEW_ROWS, { thing: 'thing', lot: 'lot' });
export const GROUP_CHOICES = choicesOf<KeptViewFields['groupBy']>(VIEW_GROUPS, {
  none: 'in one list',
  room: 'by room',
  space: 'by space',
  category: 'by category',
});

/** Which keys a table knows, for whoever asks. */
export const TABLE_KEYS: readonly (readonly [keys: string, words: string])[] = [
  ['↑ ↓ ← →', 'cell'],
  ['Space', 'select'],
  ['Shift ↑ ↓', 'select more'],
  ['Ctrl A', 'all'],
  ['Enter', 'edit, save'],
  ['Esc', 'leave'],
  ['O', 'open'],
  ['M', 'move'],
  ['L', 'on the list'],
  ['F', 'words'],
  ['Ctrl C', 'copy'],
];
