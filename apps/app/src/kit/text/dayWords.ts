import type { CivilDate } from '@ours/core';

const parts = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
  new Intl.DateTimeFormat('en-US', { timeZone: 'UTC', ...options });
const month = parts({ month: 'short' });

/**
 * A day in words, without the year when it is this one.
 * @example dayWords('2027-03-31', '2026-11-26') //=> '31 Mar 2027'
 */
export function dayWords(date: CivilDate, today: CivilDate): string {
  const at = new Date(`${date}T00:00:00Z`);
  const short = `${at.getUTCDate()} ${month.format(at)}`;
  return date.slice(0, 4) === today.slice(0, 4) ? short : `${short} ${date.slice(0, 4)}`;
}
