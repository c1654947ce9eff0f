const KEY = 'nook.recent';
const MOST = 8;

/** The places this device looked at last, newest first. */
export function recentNooks(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((id): id is string => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

export function rememberNook(id: string): void {
  const next = [id, ...recentNooks().filter((other) => other !== id)].slice(0, MOST);
  localStorage.setItem(KEY, JSON.stringify(next));
}
