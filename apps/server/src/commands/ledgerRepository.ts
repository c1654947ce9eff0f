import type { LedgerEvent, LedgerEventKind } from '@ours/core';
import { and, eq, inArray } from 'drizzle-orm';
import type { Transaction } from '../db/connect';
import { ledgerEvent } from '../db/schema';

/** Adds events that are not there yet; answers how many were new. */
export async function insertEvents(
  tx: Transaction,
  householdId: string,
  commandId: string,
  events: readonly LedgerEvent[],
): Promise<number> {
  if (events.length === 0) return 0;
  const rows = events.map((event) => ({ ...event, householdId, commandId, occurredAt: new Date(event.occurredAt) }));
  const added = await tx.insert(ledgerEvent).values(rows).onConflictDoNothing().returning({ id: ledgerEvent.id });
  return added.length;
}

/** The whole history of some lots, in no particular order. */
export async function readEvents(
  tx: Transaction,
  householdId: string,
  lotIds: readonly string[],
): Promise<LedgerEvent[]> {
  const rows = await tx
    .select()
    .from(ledgerEvent)
    .where(and(eq(ledgerEvent.householdId, householdId), inArray(ledgerEvent.lotId, [...lotIds])));
  return rows.map(({ id, lotId, kind, quantityThousandths, occurredAt, reason, voids }) => ({
    id,
    lotId,
    kind: kind as LedgerEventKind,
    quantityThousandths,
    occurredAt: occurredAt.toISOString(),
    reason,
    voids,
  }));
}
