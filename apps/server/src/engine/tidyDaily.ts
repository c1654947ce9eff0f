import type { Logger } from 'pino';
import type { Database } from '../db/connect';
import { forgetOldPictures } from '../pictures/forgetOldPictures';
import { forgetOldInverses } from './commands/forgetOldInverses';

/** What takes a command back is kept for so many days, and with it what it would bring back. */
const KEPT_DAYS = 90;
const DAY_MS = 86_400_000;

/** Forgets what is no longer needed of a household that is in use, once a day. */
export function tidyDaily({ db, log, now }: { db: Database; log: Logger; now: () => Date }) {
  const done = new Map<string, number>();
  return (householdId: string): void => {
    const at = now().getTime();
    if (at - (done.get(householdId) ?? 0) < DAY_MS) return;
    done.set(householdId, at);
    const before = new Date(at - KEPT_DAYS * DAY_MS);
    Promise.all([forgetOldInverses(db, householdId, before), forgetOldPictures(db, householdId, before)]).catch(
      (error: unknown) => log.warn({ err: error }, 'what is old was not forgotten'),
    );
  };
}
