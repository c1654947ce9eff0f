/** Times of the day as people type them. */
const TYPED = /^(\d{1,2})(?:[:.h]?(\d{2}))?(?:\s*([ap])\.?\s?m\.?)?$/i;

/**
 * A time of the day from what was typed or came: `7:30`, `0730`, `7.30`, `7h30` and `7:30 am` are `07:30`. An hour alone needs am or pm:
 * `7` could be a number of anything.
 * @returns `HH:MM`; null: it is no time of a day
 * @example clockTime('6:30 pm') //=> '18:30'
 * @example clockTime('12:05 am') //=> '00:05'
 */
export function clockTime(text: string | null | undefined): string | null {
  const [, hours, minutes, half] = TYPED.exec((text ?? '').trim()) ?? [];
  if (hours === undefined || (minutes === undefined && half === undefined)) return null;
  const typed = Number(hours);
  if (half !== undefined && (typed < 1 || typed > 12)) return null;
  const hour = half === undefined ? typed : (typed % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  if (hour > 23 || Number(minutes ?? 0) > 59) return null;
  return `${String(hour).padStart(2, '0')}:${minutes ?? '00'}`;
}
