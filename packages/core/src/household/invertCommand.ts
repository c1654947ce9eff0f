import { bookOfLot, continueLedger, NOTHING_YET, type LedgerEvent, type UndoneEvent } from './ledger';
import type { RowReader } from './applyCommand';
import type { Command, Op } from './command';
import type { AnyRow, LotBalance } from './registry';

/**
 * The command that takes another one back: created rows are retired, changed fields get their former values, ledger
 * events are voided. A lot made together with what was put in is not retired: once its events are voided it holds
 * nothing of this command, and what others have put in since stays.
 *
 * @param before looks rows up as they were before `command` was applied
 * @param context the new command's id and instant, and a maker of ids for the voiding events
 * @returns the inverse, its operations in reverse order; an empty list of operations when nothing can be taken back
 */
export function invertCommand(
  before: RowReader,
  command: Command,
  context: { newId: () => string; now: string },
): Command {
  const balances = new Map<string, LotBalance>();
  const made = new Set<string>();
  const touched = new Map<string, AnyRow>();
  const withEvents = new Set(command.ops.flatMap((op) => (op.op === 'event' ? [op.event.lotId] : [])));
  const inverse: Op[] = [];
  for (const op of command.ops) {
    if (op.op === 'event') {
      const balance = balances.get(op.event.lotId) ?? before.get('lot', op.event.lotId) ?? NOTHING_YET;
      const after = continueLedger(balance, [op.event]);
      balances.set(op.event.lotId, after);
      const quantityThousandths = balance.quantityThousandths - after.quantityThousandths;
      inverse.push({
        op: 'event',
        event: { ...voidingEvent(op.event, quantityThousandths, context), undone: undoneBy(op.event, balance) },
      });
    } else if (op.op === 'create') {
      made.add(op.id);
      if (!withEvents.has(op.id)) inverse.push({ op: 'retire', entity: op.entity, id: op.id });
    } else if (op.op !== 'change') {
      inverse.push({ op: op.op === 'retire' ? 'restore' : 'retire', entity: op.entity, id: op.id });
    } else if (!made.has(op.id)) {
      const row = touched.get(op.id) ?? before.get(op.entity, op.id);
      if (!row) continue;
      touched.set(op.id, { ...row, ...op.fields } as AnyRow);
      const fields = Object.fromEntries(Object.keys(op.fields).map((key) => [key, row[key as keyof AnyRow] ?? null]));
      inverse.push({ op: 'change', entity: op.entity, id: op.id, fields } as Op);
    }
  }
  return {
    id: context.newId(),
    intent: 'undone',
    occurredAt: context.now,
    undoes: command.id,
    ops: inverse.reverse(),
  };
}

/** What taking this event back takes back: taking back a taking-back puts the first event in force again. */
function undoneBy(event: LedgerEvent, before: LotBalance): UndoneEvent | null {
  if (event.kind === 'voided') return event.undone ? { ...event.undone, again: !event.undone.again } : null;
  const { kind, quantityThousandths, occurredAt, reason } = event;
  const bookThousandths = kind === 'counted' ? bookOfLot(before) : null;
  return { kind, quantityThousandths, occurredAt, reason, bookThousandths, again: false };
}

const voidingEvent = (
  event: LedgerEvent,
  quantityThousandths: number,
  context: { newId: () => string; now: string },
): LedgerEvent => ({
  id: context.newId(),
  lotId: event.lotId,
  kind: 'voided',
  quantityThousandths,
  occurredAt: context.now,
  reason: null,
  voids: event.id,
});
