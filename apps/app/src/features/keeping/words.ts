import type { GuideRow } from '@ours/core';
import { counted } from '@/kit/text/counted';

const days = (count: number): string => counted(count, { one: '# day', other: '# days' });

/** `opened 3 days, cooked 3 days, 4 months in a freezer`. */
export function timesWords({ openedDays, cookedDays, freezerMonths }: GuideRow): string {
  const parts = [
    openedDays === null ? '' : `opened ${days(openedDays)}`,
    cookedDays === null ? '' : `cooked ${days(cookedDays)}`,
    freezerMonths === null ? '' : `${counted(freezerMonths, { one: '# month', other: '# months' })} in a freezer`,
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'nothing said' : parts.join(', ');
}

/** Where a rule is from, and of which edition. */
export const fromWords = ({ own, source, edition }: GuideRow): string =>
  own ? (source === '' ? 'Our own rule.' : `Our own rule: ${source}.`) : `${source}, ${edition}.`;
