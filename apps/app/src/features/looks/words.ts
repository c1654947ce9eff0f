import type { LookView } from '@ours/contracts';
import type { CivilDate } from '@ours/core';
import { dayWords } from '@/kit/text/dayWords';
import { today as dayAt } from '@/shared/opContext';

export const LOOK_DAYS = [1, 7, 30, 90] as const;
const DAY_WORDS: Readonly<Record<(typeof LOOK_DAYS)[number], string>> = {
  1: 'a day',
  7: 'a week',
  30: '30 days',
  90: '90 days',
};
export const LOOK_CHOICES = LOOK_DAYS.map((days) => ({ value: String(days), label: DAY_WORDS[days] }));

/** `made 25 Nov, ends 2 Dec, never opened` */
export function lookWords({ madeAt, endsAt, lastOpenedAt }: LookView, today: CivilDate): string {
  const day = (instant: string): string => dayWords(dayAt(new Date(instant)), today);
  const opened = lastOpenedAt === null ? 'never opened' : `last opened ${day(lastOpenedAt)}`;
  return `made ${day(madeAt)}, ends ${day(endsAt)}, ${opened}`;
}
