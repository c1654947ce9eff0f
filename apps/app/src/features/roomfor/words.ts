import type { RoomAnswer, RoomPlace } from '@ours/core';
import { counted } from '@/kit/text/counted';

/** `instead of shoe box, small (SP1-C2)`. */
export const insteadWords = ({ insteadOf }: RoomPlace): string => `if “${insteadOf?.name ?? ''}” goes`;

/** How it stands there, and what is not known. */
export function besideWords({ laid, loose }: RoomPlace): string {
  const parts = [
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
