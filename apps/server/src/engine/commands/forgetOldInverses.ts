import { and, eq, isNotNull, lt } from 'drizzle-orm';
import type { Logger } from 'pino';
import { inScope, type Database } from '../../db/connect';
import { commandLog } from '../../db/schema';

const KEPT_DAYS = 90;
const DAY_MS = 86_400_000;

/**
 * What takes a command back is kept for 90 days; the command itself stays in the history. Done for a household that is
 * in use, once a day.
 */
export function forgetOldInverses({ db, log, now }: { db: Database; log: Logger; now: () => Date }) {
  const done = new Map<string, number>();
  return (householdId: string): void => {
    const at = now().getTime();
    if (at - (done.get(householdId) ?? 0) < DAY_MS) return;
    done.set(householdId, at);
    const before = new Date(at - KEPT_DAYS * DAY_MS);
    const { receivedAt, inverse } = commandLog;
    inScope(db, { householdId }, (tx) =>
      tx
        .update(commandLog)
        .set({ inverse: null })
        .where(and(eq(commandLog.householdId, householdId), lt(receivedAt, before), isNotNull(inverse))),
    ).catch((error: unknown) => log.warn({ err: error }, 'old inverses were not forgotten'));
  };
}
