import type { Me } from '@ours/contracts';

const KEY = 'nook.me';
const OWED = 'nook.signOutOwed';

/** Who used this device last: kept so that the app opens with no signal. */
export function rememberedMe(): Me | null {
  try {
    const text = localStorage.getItem(KEY);
    return text === null ? null : (JSON.parse(text) as Me);
  } catch {
    return null;
  }
}

export function rememberMe(me: Me | null): void {
  if (me === null) localStorage.removeItem(KEY);
  else localStorage.setItem(KEY, JSON.stringify(me));
}

/** Calls back when another tab of this browser has signed in or out. */
export function onOtherTabsMe(changed: (me: Me | null) => void): () => void {
  const heard = (event: StorageEvent): void => {
    if (event.key === KEY || event.key === null) changed(rememberedMe());
  };
  window.addEventListener('storage', heard);
  return () => window.removeEventListener('storage', heard);
}

/** A sign-out that the server has not heard of: it is told first thing. */
export const signOutIsOwed = (): boolean => localStorage.getItem(OWED) !== null;
export function oweSignOut(owed: boolean): void {
  if (owed) localStorage.setItem(OWED, 'yes');
  else localStorage.removeItem(OWED);
}
