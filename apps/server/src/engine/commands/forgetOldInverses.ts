import { and, eq, isNotNull, lt } from 'drizzle-orm';
import { inScope, type Database } from '../../db/connect';
import { commandLog } from '../../db/schema';

/** Forgets what takes commands back that came before a day; the commands themselves stay in the history. */
export async function forgetOldInverses(db: Database, householdId: string, before: Date): Promise<void> {
  const { receivedAt, inverse } = commandLog;
  await inScope(db, { householdId }, (tx) =>
    tx
      .update(commandLog)
      .set({ inverse: null })
      .where(and(eq(commandLog.householdId, householdId), lt(receivedAt, before), isNotNull(inverse))),
  );
}
