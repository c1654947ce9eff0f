import type { HistoryEntry } from '@ours/contracts';
import { and, desc, eq, inArray, isNotNull } from 'drizzle-orm';
import { Router } from 'express';
import { inHome, type SignedIn } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { inScope, type Database } from '../../db/connect';
import { account, commandLog } from '../../db/schema';
import { answering } from '../../http/answering';
import { mustBeMember } from '../../accounts/membership';

const PAGE = 60;

/** GET /api/history: who did what, when; the newest first. */
export function historyRoutes(context: Context): Router {
  const router = Router();
  answering(router)('GET /history', [inHome(context)], async (req) => ({
    entries: await readHistory(context.db, req.signedIn!),
  }));
  return router;
}

async function readHistory(db: Database, who: SignedIn): Promise<HistoryEntry[]> {
  const { householdId } = who;
  return inScope(db, who, async (tx) => {
    await mustBeMember(tx, who);
    const rows = await tx
      .select({ command: commandLog, by: account.name })
      .from(commandLog)
      .innerJoin(account, eq(account.id, commandLog.accountId))
      .where(and(eq(commandLog.householdId, householdId), isNotNull(commandLog.seq)))
      .orderBy(desc(commandLog.seq))
      .limit(PAGE);
    const ids = rows.map(({ command }) => command.id);
    const undoing =
      ids.length === 0
        ? []
        : await tx
            .select({ undoes: commandLog.undoes })
            .from(commandLog)
            .where(
              and(eq(commandLog.householdId, householdId), isNotNull(commandLog.seq), inArray(commandLog.undoes, ids)),
            );
    const undone = new Set(undoing.map((row) => row.undoes));
    return rows.map(({ command, by }) => ({
      id: command.id,
      seq: command.seq!,
      intent: command.intent,
      occurredAt: command.occurredAt.toISOString(),
      receivedAt: command.receivedAt.toISOString(),
      by,
      undoes: command.undoes,
      undone: undone.has(command.id),
      summary: command.summary,
      inverse: command.inverse,
    }));
  });
}
