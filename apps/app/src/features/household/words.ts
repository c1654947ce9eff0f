import type { SessionView } from '@ours/contracts';
import { formatLength, type CivilDate, type LengthUnit, type PersonRow } from '@ours/core';
import { counted } from '@/kit/text/counted';
import { dayWords } from '@/kit/text/dayWords';

/** Said before one signs out with changes that only this device knows. */
export const unsentWords = (waiting: number): string =>
  counted(waiting, {
    one: '# change has not been sent yet and would be lost on this device.',
    other: '# changes have not been sent yet and would be lost on this device.',
  });

/** `child, 7 · reaches 95 cm · allergic to nuts`. */
export const personWords = ({ role, ageYears, reachTenthMm, note }: PersonRow, unit: LengthUnit): string =>
  [
    ageYears === null ? role : `${role}, ${ageYears}`,
    reachTenthMm === null ? '' : `reaches ${formatLength(reachTenthMm, unit)}`,
    note,
  ]
    .filter(Boolean)
    .join(' · ');

/** Since when a device is signed in; of another one, when it was last heard of. */
export const sessionWords = (session: SessionView, today: CivilDate): string => {
  const day = (at: string): string => dayWords(at.slice(0, 10), today);
  return `since ${day(session.createdAt)}, ${session.current ? session.device : `last seen ${day(session.lastSeenAt)}`}`;
};
