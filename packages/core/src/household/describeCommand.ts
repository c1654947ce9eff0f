import { formatQuantity } from '../stock/quantity';
import { pluralUnit } from '../stock/recordLine/units';
import type { RowReader } from './applyCommand';
import type { Command, Op } from './command';
import type { BinRow } from './entities';

const SIGN: Readonly<Record<string, string>> = {
  put_in: '+',
  moved_in: '+',
  taken: '−',
  moved_out: '−',
  discarded: '−',
  counted: '= ',
};
const MOST_LINES = 6;

/**
 * What a command touched, for history: `Tea lights −1 piece, BL1-B3K`.
 * @param after looks rows up as they are once the command is applied
 * @returns at most six short lines, without repeats; may be empty
 */
export function describeCommand(after: RowReader, command: Command): string[] {
  const lines = command.ops.map((op) => describeOp(after, op)).filter((line): line is string => line !== null);
  return [...new Set(lines)].slice(0, MOST_LINES);
}

function describeOp(after: RowReader, op: Op): string | null {
  if (op.op === 'event') {
    const lot = after.get('lot', op.event.lotId);
    const item = lot && after.get('item', lot.itemId);
    if (!lot || !item) return null;
    const amount = op.event.quantityThousandths;
    const sign = op.event.kind === 'voided' ? (amount < 0 ? '−' : '+') : (SIGN[op.event.kind] ?? '');
    const where = codeOf(after, lot.nookId);
    return `${item.name} ${sign}${formatQuantity(Math.abs(amount))} ${pluralUnit(item.unit, Math.abs(amount))}${where && `, ${where}`}`;
  }
  if (op.entity === 'lot') return null;
  const row = after.get(op.entity, op.id);
  if (!row) return null;
  const code = 'code' in row ? ` ${row.code}` : '';
  if (!('name' in row) && !('text' in row)) return null;
  return 'text' in row ? `“${row.text}”` : `${row.name}${code}`.trim();
}

function codeOf(after: RowReader, nookId: string): string {
  const nook = after.get('bin', nookId) ?? after.get('shelf', nookId) ?? after.get('space', nookId);
  return (nook as BinRow | undefined)?.code ?? '';
}
