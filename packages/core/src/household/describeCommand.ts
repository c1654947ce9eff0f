import { formatQuantity, pluralUnit } from '../base';
import type { Command, Op } from './command';
import { definitionOf, NOOK_KINDS, type EntityKind, type RowOf } from './registry';

const SIGN: Readonly<Record<string, string>> = {
  put_in: '+',
  moved_in: '+',
  taken: '−',
  moved_out: '−',
  discarded: '−',
  counted: '= ',
};
const MOST_LINES = 6;

/** Looks rows up by kind and id. */
interface Rows {
  get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined;
}

/**
 * What a command touched, for history: `Tea lights −1 piece, BL1-B3K`.
 * @param after looks rows up as they are once the command is applied
 * @returns at most six short lines, without repeats; may be empty
 */
export function describeCommand(after: Rows, command: Command): string[] {
  return atMost(command.ops.map((op) => describeOp(after, op)));
}

const atMost = (lines: (string | null)[]): string[] =>
  [...new Set(lines.filter((line): line is string => line !== null && line !== ''))].slice(0, MOST_LINES);

function describeOp(after: Rows, op: Op): string | null {
  if (op.op === 'event') {
    const lot = after.get('lot', op.event.lotId);
    const item = lot && after.get('item', lot.itemId);
    if (!lot || !item) return null;
    const amount = op.event.quantityThousandths;
    const sign = op.event.kind === 'voided' ? (amount < 0 ? '−' : '+') : (SIGN[op.event.kind] ?? '');
    const where = codeOf(after, lot.nookId);
    return `${item.name} ${sign}${formatQuantity(Math.abs(amount))} ${pluralUnit(item.unit, Math.abs(amount))}${where && `, ${where}`}`;
  }
  const row = after.get(op.entity, op.id);
  return row ? definitionOf(op.entity).title(row as never) : null;
}

function codeOf(after: Rows, nookId: string): string {
  for (const kind of NOOK_KINDS) {
    const nook = after.get(kind, nookId);
    if (nook) return nook.code;
  }
  return '';
}

const PUT: Readonly<Record<string, string>> = {
  put_in: 'into',
  moved_in: 'into',
  taken: 'out of',
  moved_out: 'out of',
  discarded: 'out of',
  counted: 'counted in',
};

/**
 * What a command that could not be applied was about: `3 River stones into BL1-B12K`.
 * @param now looks rows up as they are; what the command itself would have made is taken from the command
 */
export function describeRefusedOps(now: Rows, command: Command): string[] {
  const made = new Map(command.ops.flatMap((op) => (op.op === 'create' ? [[op.id, op] as const] : [])));
  const rows: Rows = {
    get: (entity, id) => {
      const op = made.get(id);
      return op?.entity === entity ? ({ ...op.fields, id } as never) : now.get(entity, id);
    },
  };
  const events = command.ops.filter((op) => op.op === 'event');
  const lines = events.map(({ event }) => {
    const lot = rows.get('lot', event.lotId);
    const item = lot && rows.get('item', lot.itemId);
    const how = PUT[event.kind];
    if (!lot || !item || !how) return null;
    const unit = item.unit === 'piece' ? '' : `${pluralUnit(item.unit, event.quantityThousandths)} `;
    const where = codeOf(rows, lot.nookId);
    return `${formatQuantity(event.quantityThousandths)} ${unit}${item.name}${where && ` ${how} ${where}`}`;
  });
  const told = atMost(lines);
  return told.length > 0 ? told : describeCommand(rows, command);
}
