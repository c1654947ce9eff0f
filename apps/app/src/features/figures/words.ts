import type { CountedThing, InsuredThing, MonthThrown, WorthOf } from '@ours/core';
import { amountWords } from '@/features/stock/words';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
/** `Nov 2026` */
export const monthWords = (month: string): string => `${MONTHS[Number(month.slice(5)) - 1]} ${month.slice(0, 4)}`;

export const unpricedWords = (unpriced: number): string | undefined =>
  unpriced === 0
    ? undefined
    : counted(unpriced, {
        one: '# thing without a price is not in it',
        other: '# things without a price are not in it',
      });

/** Of everything together. */
export const worthSum = (parts: readonly WorthOf[]): { minor: number; unpriced: number } => ({
  minor: parts.reduce((sum, { minor }) => sum + minor, 0),
  unpriced: parts.reduce((sum, { unpriced }) => sum + unpriced, 0),
});

export const thrownRemark = ({ things, unpriced }: MonthThrown): string | undefined =>
  things === 0
    ? undefined
    : [
        counted(things, { one: '# thing', other: '# things' }),
        unpriced > 0 ? `${unpriced} of them without a price` : '',
      ]
        .filter((part) => part !== '')
        .join(', ');

/** `+3 tins`, `−0.5 kg`, `as noted` */
export function gapWords({ gapThousandths, item }: CountedThing): string {
  if (gapThousandths === 0) return 'as noted';
  return `${gapThousandths > 0 ? '+' : '−'}${amountWords(Math.abs(gapThousandths), item.unit)}`;
}

/** `bought 2 May 2024`, `noted since 3 Mar`; empty when no day is known. */
export function sinceWords({ since, bought }: InsuredThing, today: string): string {
  if (since === null) return '';
  return `${bought ? 'bought' : 'noted since'} ${dayWords(since, today)}`;
}
