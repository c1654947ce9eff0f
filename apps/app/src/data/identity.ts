import type { Me } from '@ours/contracts';

const KEY = 'nook.me';

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
