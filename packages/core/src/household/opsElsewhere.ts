import type { Command, Op } from './command';
import { definitionOf, type EntityKind, type LotFields, type LotRow, type RowOf } from './registry';

/** Amounts that come to a place, and so can come to another one. */
const COMES = new Set(['put_in', 'moved_in', 'counted']);

/**
 * The operations of a command whose place is gone, for another place: what was to come to the one comes to the other. An
 * amount for a lot that is in the gone place becomes a new lot of the same kind in the other one.
 *
 * @param rows looks rows up as they are
 * @param gone the place that is no longer there
 * @param to a living place
 */
export function opsElsewhere(
  rows: { get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined },
  command: Command,
  gone: string,
  to: string,
  newId: () => string,
): Op[] {
  const moved = new Map<string, string>();
  const ops: Op[] = [];
  for (const op of command.ops) {
    if (op.op === 'create' || op.op === 'change') {
      const fields = Object.entries(op.fields).map(([key, value]) => [key, value === gone ? to : value]);
      ops.push({ ...op, fields: Object.fromEntries(fields) } as Op);
      continue;
    }
    const lot = op.op === 'event' && COMES.has(op.event.kind) ? rows.get('lot', op.event.lotId) : undefined;
    if (op.op !== 'event' || lot?.nookId !== gone) {
      ops.push(op);
      continue;
    }
    if (!moved.has(lot.id)) {
      const id = newId();
      moved.set(lot.id, id);
      ops.push({ op: 'create', entity: 'lot', id, fields: { ...fieldsOf(lot), nookId: to } });
    }
    ops.push({ op: 'event', event: { ...op.event, lotId: moved.get(lot.id)! } });
  }
  return ops;
}

const fieldsOf = (lot: LotRow): LotFields =>
  Object.fromEntries(
    Object.keys(definitionOf('lot').fields).map((key) => [key, lot[key as keyof LotFields]]),
  ) as unknown as LotFields;
