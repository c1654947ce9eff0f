import type { RoomAnswer, RoomPlace } from '@ours/core';
import { counted } from '@/kit/text/counted';

/** `if “shoe box” goes to Rack 1, top shelf`. @param to where that finds room; empty: nowhere was found */
export const insteadWords = ({ insteadOf }: Pick<RoomPlace, 'insteadOf'>, to: string): string =>
  insteadOf?.look === 'kept_free'
    ? `in the place kept free for “${insteadOf.name}”`
    : `if “${insteadOf?.name ?? ''}” goes${to === '' ? '' : ` to ${to}`}`;

/** How it stands there, and what is not known. */
export function besideWords({ laid, loose, count }: Pick<RoomPlace, 'laid' | 'loose' | 'count'>): string {
  const parts = [
    count > 1 ? `at least ${count} of it` : '',
    laid ? 'lying on its side' : '',
    loose > 0
      ? `${counted(loose, { one: '# lot stands there', other: '# lots stand there' })} without a bin: look whether they leave room`
      : '',
  ];
  return parts.filter((part) => part !== '').join('; ');
}

/** What was tried, and what nothing can be said about. */
export function notJudgedWords({ tried, unknown }: RoomAnswer): string {
  const said = `Tried on ${counted(tried, { one: '# shelf', other: '# shelves' })}, by outside measures and with the bins on each pushed together.`;
  if (unknown === 0) return said;
  return `${said} Nothing is said about ${counted(unknown, { one: '# other', other: '# others' })}: a measure is missing, or the bins on it do not fit by theirs.`;
}
