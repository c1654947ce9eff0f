import type { ItemRow, RoomThere } from '@ours/core';
import { counted } from '@/kit/text/counted';
import { amountWords } from '@/features/stock/words';
import { budgetWords, listWords, roundMoney } from './words';

type Unit = Pick<ItemRow, 'unit'>;

/** Of the things of a list, for how many their place has room: `31 fit; of 8 nobody can tell`. */
export function roomWords({
  fits,
  untold,
  crowded,
}: {
  fits: number;
  untold: number;
  crowded: readonly unknown[];
}): string {
  const of = [
    fits > 0 ? counted(fits, { one: '# fits', other: '# fit' }) : '',
    crowded.length > 0 ? counted(crowded.length, { one: '# does not, or just', other: '# do not, or just' }) : '',
    untold > 0 ? `of ${untold} it is not known` : '',
  ];
  return of.filter((part) => part !== '').join('; ');
}
/** Of one whose place does not take it. */
export const crowdedWords = ({ verdict, by }: RoomThere): string =>
  verdict === 'tight'
    ? 'only just, by the volume of what is there'
    : by === 'number'
      ? 'more than its place holds, and there is no reserve place'
      : 'more than its bin takes, by volume';
/** `4 of it go to the reserve`. */
export const toReserveWords = ({ reserveThousandths }: RoomThere, { unit }: Unit): string =>
  `${amountWords(reserveThousandths, unit)} of it to the reserve`;

/** What has to be kept cold on the way; empty for nothing. */
export function coldWords({ chilled, frozen }: { chilled: readonly string[]; frozen: readonly string[] }): string {
  const parts = [
    frozen.length > 0 ? `${frozen.length} frozen (${listWords(frozen)})` : '',
    chilled.length > 0 ? `${chilled.length} for the refrigerator (${listWords(chilled)})` : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? '' : `Take a cool bag: ${parts.join('; ')}. Take them last, and go straight home.`;
}

/** `About €164 of €180, €16 free; 2 without a price.` */
export function moneyWords(
  { costMinor, unpriced }: { costMinor: number; unpriced: number },
  budgetMinor: number | null,
  currency: string,
): string {
  const parts = [
    `About ${roundMoney(costMinor, currency)}${budgetMinor === null ? '' : ` ${budgetWords(costMinor, budgetMinor, currency)}`}`,
    unpriced > 0 ? `${unpriced} without a price` : '',
  ];
  return `${parts.filter((part) => part !== '').join('; ')}.`;
}
