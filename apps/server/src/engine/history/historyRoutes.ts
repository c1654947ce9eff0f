import type { HistoryEntry, ItemEvent } from '@ours/contracts';
import {
  BALANCING,
  mayRead,
  voidedIds,
  type Command,
  type ItemBefore,
  type LedgerEventKind,
  type Role,
} from '@ours/core';
import { and, desc, eq, inArray, isNotNull, ne, sql } from 'drizzle-orm';
import { Router } from 'express';
import { inHome, type SignedIn } from '../../accounts/signedIn';
import type { Context } from '../../context';
import { inScope, type Database, type Transaction } from '../../db/connect';
import { account, commandLog, item, ledgerEvent, lot } from '../../db/schema';
import { answering } from '../../http/answering';
import { mustBeMember } from '../../accounts/membership';

const PAGE = 60;

/** GET /api/history: who did what, when; GET /api/items/:id/events: what happened to a thing. The newest first. */
export function historyRoutes(context: Context): Router {
  const router = Router();
  answering(router)('GET /history', [inHome(context)], async (req) => ({
    entries: await readHistory(context.db, req.signedIn!),
  }));
  answering(router)('GET /items/:id/events', [inHome(context)], async (req) => ({
    events: await readItemEvents(context.db, req.signedIn!, String(req.params.id)),
  }));
  return router;
}

/** Who did it: as the file said that it came with, else by the account. */
const BY = sql<string>`coalesce(${commandLog.byName}, ${account.name})`;
const ITEM_EVENTS = 60;
const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** What happened to the lots of a thing. Takings-back are not listed; what they took back is marked. */
async function readItemEvents(db: Database, who: SignedIn, itemId: string): Promise<ItemEvent[]> {
  if (!UUID.test(itemId)) return [];
  return inScope(db, who, async (tx) => {
    await mustBeMember(tx, who);
    const ids = [itemId, ...(await idsBefore(tx, who.householdId, itemId))];
    const of = and(eq(ledgerEvent.householdId, who.householdId), inArray(lot.itemId!, ids));
    const ofItem = and(eq(item.householdId!, ledgerEvent.householdId), eq(item.id!, lot.itemId!));
    const ofLot = and(eq(lot.householdId!, ledgerEvent.householdId), eq(lot.id!, ledgerEvent.lotId));
    const ofCommand = and(
      eq(commandLog.householdId, ledgerEvent.householdId),
      eq(commandLog.id, ledgerEvent.commandId),
    );
    const rows = await tx
      .select({ event: ledgerEvent, by: BY, unit: sql<string>`${item.unit!}` })
      .from(ledgerEvent)
      .innerJoin(lot, ofLot)
      .innerJoin(item, ofItem)
      .leftJoin(commandLog, ofCommand)
      .leftJoin(account, eq(account.id, commandLog.accountId))
      .where(and(of, ne(ledgerEvent.kind, 'voided'), sql`${ledgerEvent.reason} is distinct from ${BALANCING}`))
      .orderBy(desc(ledgerEvent.occurredAt), desc(ledgerEvent.id))
      .limit(ITEM_EVENTS);
    const voids = await tx
      .select({ id: ledgerEvent.id, voids: ledgerEvent.voids })
      .from(ledgerEvent)
      .innerJoin(lot, ofLot)
      .where(and(of, eq(ledgerEvent.kind, 'voided')));
    const undone = voidedIds(voids);
    return rows.map(({ event, by, unit }) => ({
      id: event.id,
      kind: event.kind as LedgerEventKind,
      quantityThousandths: event.quantityThousandths,
      unit,
      occurredAt: event.occurredAt.toISOString(),
      reason: event.reason,
      by,
      undone: undone.has(event.id),
    }));
  });
}

/** Rows whose past is the thing's too: it was kept in another unit. */
async function idsBefore(tx: Transaction, householdId: string, itemId: string): Promise<string[]> {
  const [found] = await tx
    .select({ before: sql<ItemBefore[] | null>`${item.before!}` })
    .from(item)
    .where(and(eq(item.householdId!, householdId), eq(item.id!, itemId)));
  return (found?.before ?? []).map((before) => before.itemId);
}

async function readHistory(db: Database, who: SignedIn): Promise<HistoryEntry[]> {
  const { householdId } = who;
  return inScope(db, who, async (tx) => {
    const member = await mustBeMember(tx, who);
    const rows = await tx
      .select({ command: commandLog, by: BY })
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
      ...(mayReadAll(member.role, command.inverse)
        ? { summary: command.summary, inverse: command.inverse }
        : { summary: [], inverse: null }),
    }));
  });
}

/** What takes a command back has rows in it: who may not read such rows does not see it, nor what it says. */
const mayReadAll = (role: Role, inverse: Command | null): boolean =>
  (inverse?.ops ?? []).every((op) => op.op === 'event' || mayRead(role, op.entity));
