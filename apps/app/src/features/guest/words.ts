import type { CivilDate } from '@ours/core';
import { clockWords, dayWords } from '@/kit/text/dayWords';

/** `25 Nov, 14:05` by the reader's own clock. */
export const readAtWords = (instant: string, today: CivilDate): string =>
  `${dayWords(instant.slice(0, 10), today)}, ${clockWords(new Date(instant))}`;
