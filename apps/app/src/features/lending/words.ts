import { type CivilDate, type FieldsOf, type LoanRow, overdueDays, type Waiting } from '@ours/core';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

export const WAIT_WORDS: Readonly<Record<FieldsOf['waiting_place']['waitsFor'], string>> = {
  hand_wash: 'hand wash',
  ironing: 'ironing',
  mending: 'mending',
  to_try: 'to try on',
  to_repaint: 'to repaint',
  to_return: 'to be returned',
  to_file: 'to be filed',
};
/** `5 days overdue`; empty: it is not. */
export function overdueWords(loan: Pick<LoanRow, 'dueOn'>, today: CivilDate): string {
  const days = overdueDays(loan, today);
  return days === 0 ? '' : counted(days, { one: '# day overdue', other: '# days overdue' });
}

/** `26 days here; usual are 7`. */
export const waitingWords = ({ days, tooLong }: Waiting, usualDays: number): string =>
  `${counted(days, { zero: 'since today', one: '# day here', other: '# days here' })}${tooLong ? `; usual: up to ${usualDays}` : ''}`;

/** What a waiting place is for, and how long things usually wait there. */
export const placeWaitsWords = (waitsFor: keyof typeof WAIT_WORDS, usualDays: number): string =>
  `${WAIT_WORDS[waitsFor]}, usually up to ${counted(usualDays, { one: '# day', other: '# days' })}`;

export const backWords = (loan: Pick<LoanRow, 'backOn' | 'to'>, today: CivilDate): string =>
  loan.backOn === null
    ? `${loan.to}; used up, thrown away or put away meanwhile`
    : `${loan.to}; back ${dayWords(loan.backOn, today)}`;
