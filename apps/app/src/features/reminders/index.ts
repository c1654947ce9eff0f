import { createElement, lazy, Suspense } from 'react';
import { useReminderWanted } from './reminderWanted';

const Reminding = lazy(async () => ({ default: (await import('./Reminding')).Reminding }));

/**
 * The browser's own notification of what is due, on a device that wants it, whatever page is open. Nothing is pushed: it comes while the
 * app is open.
 */
export function RoundReminder() {
  return useReminderWanted() ? createElement(Suspense, { fallback: null }, createElement(Reminding)) : null;
}

export { useReminderWanted, wantReminders } from './reminderWanted';
