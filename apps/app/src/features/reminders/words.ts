import type { RoundNow } from '@ours/core';

/** What a reminder says: `Due: Friday list, Expiry round and 2 more.` */
export function dueTodayWords(due: readonly Pick<RoundNow, 'round'>[]): string {
  const names = due.map(({ round }) => round.name);
  return names.length <= 3
    ? `Due: ${names.join(', ')}.`
    : `Due: ${names.slice(0, 2).join(', ')} and ${names.length - 2} more.`;
}
