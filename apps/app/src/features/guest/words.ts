import type { CivilDate } from '@ours/core';
import { clockWords, dayWords } from '@/kit/text/dayWords';
import { today as dayAt } from '@/shared/opContext';

/** The day of an instant where it is read. */
export const dayOf = (instant: string): CivilDate => dayAt(new Date(instant));

/** `25 Nov, 14:05` by the reader's own clock. */
export const readAtWords = (instant: string, today: CivilDate): string =>
  `${dayWords(dayOf(instant), today)}, ${clockWords(new Date(instant))}`;
