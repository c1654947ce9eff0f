import type { CommandAnswer } from '@ours/contracts';
import {
  applyCommand,
  describeCommand,
  foldLedger,
  HouseholdState,
  invertCommand,
  isInOrder,
  type Command,
  type LedgerEvent,
  type LotRow,
  type TaggedRow,
} from '@ours/core';
import { and, eq, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { inScope, type Transaction } from '../db/connect';
import { commandLog, householdSeq } from '../db/schema';
import { notifySql } from '../nudges/nudges';
import { insertEvents, readEvents } from './ledgerRepository';
import { readForCommand, writeRows } from './rowRepository';

interface Sender {
  householdId: string;
  accountId: string;
}

/**
 * Applies a command once, in one transaction, and numbers it. The same id again gets the first answer and changes
 * nothing. The household's row lock puts its commands in a line.
 */
export function runCommand(context: Context, sender: Sender, command: Command): Promise<CommandAnswer> {
  return inScope(context.db, sender, async (tx) => {
    const { householdId } = sender;
    const [counter] = await tx
      .select()
      .from(householdSeq)
      .where(eq(householdSeq.householdId, householdId))
      .for('update');
    const before = counter?.seq ?? 0;
    const known = await answeredBefore(tx, householdId, command.id);
    if (known) return known;

    const seq = before + 1;
    const reader = await readForCommand(tx, householdId, command);
    const applied = applyCommand(reader, command, seq);
    if (!applied.ok) {
      await logCommand(tx, context, sender, command, { refusal: applied.refusal });
      return { id: command.id, status: 'refused', refusal: applied.refusal };
    }
    const inverse = invertCommand(reader, command, { newId: context.newId, now: context.now().toISOString() });
    const rows = await withLedger(tx, householdId, command, reader, applied.changed);
    await writeRows(tx, householdId, rows);
    for (const row of rows) reader.put(row);
    await logCommand(tx, context, sender, command, { seq, inverse, summary: describeCommand(reader, command) });
    await tx.update(householdSeq).set({ seq }).where(eq(householdSeq.householdId, householdId));
    const { channel, payload } = notifySql(householdId, seq);
    await tx.execute(sql`select pg_notify(${channel}, ${payload})`);
    return { id: command.id, status: 'applied', seq };
  });
}

async function answeredBefore(tx: Transaction, householdId: string, id: string): Promise<CommandAnswer | null> {
  const [row] = await tx
    .select({ seq: commandLog.seq, refusal: commandLog.refusal })
    .from(commandLog)
    .where(and(eq(commandLog.householdId, householdId), eq(commandLog.id, id)));
  if (!row) return null;
  return row.seq === null ? { id, status: 'refused', refusal: row.refusal! } : { id, status: 'applied', seq: row.seq };
}

/** Stores the events; lots that got one late, twice or taken back are folded anew from their whole history. */
async function withLedger(
  tx: Transaction,
  householdId: string,
  command: Command,
  reader: HouseholdState,
  changed: TaggedRow[],
): Promise<TaggedRow[]> {
  const events = command.ops.flatMap((op) => (op.op === 'event' ? [op.event] : []));
  const added = await insertEvents(tx, householdId, command.id, events);
  const refold = added < events.length ? new Set(events.map((event) => event.lotId)) : lotsOutOfOrder(reader, events);
  if (refold.size === 0) return changed;
  const history = await readEvents(tx, householdId, [...refold]);
  return changed.map((tagged) => {
    if (tagged.entity !== 'lot' || !refold.has(tagged.row.id)) return tagged;
    const own = history.filter((event) => event.lotId === tagged.row.id);
    return { entity: 'lot', row: { ...tagged.row, ...foldLedger(own) } satisfies LotRow };
  });
}

function lotsOutOfOrder(reader: HouseholdState, events: readonly LedgerEvent[]): Set<string> {
  const seen = new Set<string>();
  const late = new Set<string>();
  for (const event of events) {
    const lot = reader.get('lot', event.lotId);
    if (seen.has(event.lotId) || (lot && !isInOrder(lot, event)) || (!lot && event.kind === 'voided'))
      late.add(event.lotId);
    seen.add(event.lotId);
  }
  return late;
}

async function logCommand(
  tx: Transaction,
  context: Context,
  { householdId, accountId }: Sender,
  { id, intent, occurredAt, undoes }: Command,
  outcome: Partial<typeof commandLog.$inferInsert>,
): Promise<void> {
  await tx.insert(commandLog).values({
    householdId,
    id,
    seq: null,
    accountId,
    intent,
    occurredAt: new Date(occurredAt),
    receivedAt: context.now(),
    undoes: undoes ?? null,
    summary: [],
    ...outcome,
  });
}
