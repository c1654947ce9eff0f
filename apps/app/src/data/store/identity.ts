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

/** A sign-out that the server has not heard of, and whose; it is told first thing. */
export function owedSignOut(): Pick<Me, 'accountId' | 'householdId'> | null {
  const text = localStorage.getItem(OWED);
  return text === null ? null : (JSON.parse(text) as Me);
}
export function oweSignOut(me: Me | null): void {
  if (me === null) localStorage.removeItem(OWED);
  else localStorage.setItem(OWED, JSON.stringify({ accountId: me.accountId, householdId: me.householdId }));
}
