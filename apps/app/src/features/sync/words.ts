import { formatQuantity, pluralUnit, type Touched } from '@ours/core';
import type { Connection } from '@/data/sync/SyncEngine';

/** How it stands between this device and the server, in full sentences. */
export function connectionWords(connection: Connection | 'lost', somethingRefused: boolean): string {
  switch (connection) {
    case 'online':
      if (somethingRefused) return 'The server can be reached. It did not take what is listed here; the rest is saved.';
      return 'This device is in step with the others.';
    case 'connecting':
      return 'Asking the server …';
    case 'signed_out':
      return 'This device is signed out; sign in again to send what waits.';
    case 'other_home':
      return 'This browser is signed in as somebody else or to another home, perhaps in another tab. Nothing is sent from here; what waits is kept until this home is opened again.';
    case 'stuck':
      return 'The server answers, but what it sends leads nowhere. Everything recorded is kept here. Try again; if it stays so, the server needs looking after.';
    case 'lost':
      return 'This device cannot keep data: its storage is full, or the browser has cleared it. What you record now would not be saved. Make room, then load the page again.';
    case 'offline':
      return 'There is no line to the server. Everything works; changes are kept here and sent when it is back.';
  }
}

const HOW = { in: 'into', out: 'out of', counted: 'counted in' } as const;

/** What a command that waits or was refused is about: `3 River stones into BL1-B12K`; its intent when nothing of it is known. */
export function commandWords(touched: readonly Touched[], intent: string): string {
  // Where amounts are meant, the rows that were made for them say nothing more.
  const amounts = touched.filter((one) => one.kind === 'amount');
  const lines = (amounts.length > 0 ? amounts : touched).map((one) => {
    if (one.kind === 'row') return one.title;
    const { quantityThousandths: amount, unit } = one;
    const counted = `${formatQuantity(amount)} ${unit === 'piece' ? '' : `${pluralUnit(unit, amount)} `}${one.item}`;
    return `${counted}${one.code && ` ${HOW[one.how]} ${one.code}`}`;
  });
  return lines.length > 0 ? lines.join('; ') : intent.replace(/_/g, ' ');
}
