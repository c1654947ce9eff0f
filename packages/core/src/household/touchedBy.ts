import type { Command, Op } from './command';
import { BALANCING, type LedgerEvent } from './ledger';
import { definitionOf, NOOK_KINDS, type EntityKind, type RowOf } from './registry';

/** One thing that a command is about: an amount of an item somewhere, or a row by its name. */
export type Touched =
  | {
      kind: 'amount';
      item: string;
      unit: string;
      /** `in` and `out` add up; `counted` is how many there are now. */
      how: 'in' | 'out' | 'counted';
      /** 0 and more. */
      quantityThousandths: number;
      /** Empty when the place is not known. */
      code: string;
    }
  | { kind: 'row'; title: string };

const MOST = 6;
const HOW: Readonly<Record<LedgerEvent['kind'], 'in' | 'out' | 'counted' | 'voided'>> = {
  put_in: 'in',
  moved_in: 'in',
  taken: 'out',
  moved_out: 'out',
  discarded: 'out',
  counted: 'counted',
  voided: 'voided',
};

/** Looks rows up by kind and id. */
interface Rows {
  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined;
}

/**
 * What a command touches, in the order of its operations.
 * @param rows as they are once the command is applied; of one that is not, what it would make is taken from the command
 * @returns at most six, without repeats; may be empty. What is not known is left out
 */
export function touchedBy(rows: Rows, command: Command): Touched[] {
  const made = new Map(command.ops.flatMap((op) => (op.op === 'create' ? [[op.id, op] as const] : [])));
  const known: Rows = {
    get: (entity, id) => {
      const op = made.get(id);
      return rows.get(entity, id) ?? (op?.entity === entity ? ({ ...op.fields, id } as never) : undefined);
    },
  };
  const seen = new Map<string, Touched>();
  for (const op of command.ops) {
    const touched = touchedByOp(known, op);
    if (touched) seen.set(JSON.stringify(touched), touched);
  }
  return [...seen.values()].slice(0, MOST);
}

function touchedByOp(rows: Rows, op: Op): Touched | null {
  if (op.op !== 'event') {
    const { title: titleOf, readBy } = definitionOf(op.entity);
    // A history is read by everybody of the home: what only some may read has no name in it.
    const row = readBy ? undefined : rows.get(op.entity, op.id);
    const title = row && titleOf(row as never);
    return !title ? null : { kind: 'row', title };
  }
  const { kind, lotId, quantityThousandths: amount, reason } = op.event;
  if (reason === BALANCING) return null;
  const how = HOW[kind];
  const lot = rows.get('lot', lotId);
  const item = lot && rows.get('item', lot.itemId);
  if (!item) return null;
  return {
    kind: 'amount',
    item: item.name,
    unit: item.unit,
    how: how === 'voided' ? (amount < 0 ? 'out' : 'in') : how,
    quantityThousandths: Math.abs(amount),
    code: codeOf(rows, lot.nookId),
  };
}

function codeOf(rows: Rows, nookId: string): string {
  for (const kind of NOOK_KINDS) {
    const nook = rows.get(kind, nookId);
    if (nook) return nook.code;
  }
  return '';
}
