import type { Command, Op } from './command';
import type { RowReader } from './applyCommand';
import type { AnyRow, LotRow } from './entities';
import { continueLedger, type LedgerEvent } from '../stock/ledger';

/**
 * The command that takes another one back: created rows are retired, changed fields get their former values, ledger
 * events are voided.
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
  const balances = new Map<string, LotRow>();
  const inverse: Op[] = [];
  for (const op of command.ops) {
    if (op.op === 'create') {
      inverse.push({ op: 'retire', entity: op.entity, id: op.id });
      continue;
    }
    if (op.op === 'event') {
      const lot = balances.get(op.event.lotId) ?? before.get('lot', op.event.lotId);
      inverse.push({ op: 'event', event: voidingEvent(op.event, lot, context, balances) });
      continue;
    }
    if (op.op !== 'change') {
      inverse.push({ op: op.op === 'retire' ? 'restore' : 'retire', entity: op.entity, id: op.id });
      continue;
    }
    const row = before.get(op.entity, op.id);
    if (!row) continue;
    const fields = Object.fromEntries(Object.keys(op.fields).map((key) => [key, row[key as keyof AnyRow] ?? null]));
    inverse.push({ op: 'change', entity: op.entity, id: op.id, fields } as Op);
  }
  return {
    id: context.newId(),
    intent: 'undone',
    occurredAt: context.now,
    undoes: command.id,
    ops: inverse.reverse(),
  };
}

function voidingEvent(
  event: LedgerEvent,
  lot: LotRow | undefined,
  context: { newId: () => string; now: string },
  balances: Map<string, LotRow>,
): LedgerEvent {
  const start = lot ?? { quantityThousandths: 0, pleaseCount: false, countedAt: null, lastAt: null };
  const after = continueLedger(start, [event]);
  balances.set(event.lotId, { ...start, ...after } as LotRow);
  return {
    id: context.newId(),
    lotId: event.lotId,
    kind: 'voided',
    quantityThousandths: start.quantityThousandths - after.quantityThousandths,
    occurredAt: context.now,
    reason: null,
    voids: event.id,
  };
}
