import type { CivilDate, ReserveDays } from '@ours/core';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';
import { amountWords } from '@/features/stock/words';

/** `46 l for 3 people at 3.8 l a day`. */
export function reserveWords({ ration, thousandths, people }: ReserveDays): string {
  const each = `${amountWords(ration.perPersonDayThousandths, ration.unit)} a day each`;
  return `${amountWords(thousandths, ration.unit)} for ${counted(people, { one: '# person', other: '# people' })} at ${each}`;
}

/** What is left out, and what ends first; empty when there is nothing to say. */
export function leftOutWords({ ration, notCounted, pastThousandths, firstEnd }: ReserveDays, today: CivilDate): string {
  const parts = [
    firstEnd === null
      ? ''
      : firstEnd < today
        ? `Some is past its date (${dayWords(firstEnd, today)}).`
        : `The first of it ends ${dayWords(firstEnd, today)}.`,
    pastThousandths > 0 ? `Not counted, past use: ${amountWords(pastThousandths, ration.unit)}.` : '',
    notCounted.length > 0
      ? `Not counted, for it is not known how much ${ration.unit} they hold: ${notCounted
          .slice(0, 4)
          .map(({ name }) => name)
          .join(', ')}${notCounted.length > 4 ? ' and others' : ''}.`
      : '',
  ];
  return parts.filter((part) => part !== '').join(' ');
}

export const daysWords = (days: number): string => counted(days, { one: '# day', other: '# days' });
