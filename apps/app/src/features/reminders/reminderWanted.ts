import { useSyncExternalStore } from 'react';

/** Whether this device reminds of what is due. */
const WANTED = 'nook.remind';

const can = (): boolean => typeof Notification !== 'undefined';

const listeners = new Set<() => void>();
const isWanted = (): boolean => can() && localStorage.getItem(WANTED) === 'yes';
export function wantReminders(wanted: boolean): void {
  if (wanted) localStorage.setItem(WANTED, 'yes');
  else localStorage.removeItem(WANTED);
  for (const listener of listeners) listener();
}
function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
export const useReminderWanted = (): boolean => useSyncExternalStore(subscribe, isWanted);
