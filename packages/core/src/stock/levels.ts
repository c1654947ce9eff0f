/** How full a bin is, as somebody saw it or a scale showed it, and what that says of what is in it. */
import { convertMeasure, isMeasure, type CivilDate } from '../base';
import type { BinRow, ItemRow, LotRow, Op } from '../household';
import { opsForCounting, type OpContext } from './stockOps';

/** What a scale shows of a thing. */
export type WeighedAmount =
  | { kind: 'amount'; thousandths: number }
  /** The scale shows less than the empty container weighs. */
  | { kind: 'less_than_tare' }
  /** Nobody knows what one of it weighs. */
  | { kind: 'weight_unknown' };

/**
 * How much of a thing is in a container on a scale: what is left when the container's own weight is taken off, as a weight, or in
 * pieces of a known weight (gross − tare) / one.
 * @param item kept by weight, or with the weight of one
 */
export function amountByWeight(item: ItemRow, grossGrams: number, tareGrams: number): WeighedAmount {
  const net = grossGrams - tareGrams;
  if (net < 0) return { kind: 'less_than_tare' };
  if (isMeasure(item.unit)) {
    const thousandths = convertMeasure(net * 1000, 'g', item.unit);
    return thousandths === null ? { kind: 'weight_unknown' } : { kind: 'amount', thousandths: Math.round(thousandths) };
  }
  const one = item.traits?.weightGrams ?? null;
  if (one === null || one <= 0) return { kind: 'weight_unknown' };
  // A scale's last gram is no piece.
  return { kind: 'amount', thousandths: Math.round(net / one) * 1000 };
}

export interface SeenLevel {
  percent: number;
  on: CivilDate;
  how: 'seen' | 'weighed';
}

/**
 * Notes how full a bin is; where one thing alone is in it and it is known how much a full one holds, that is a count as well.
 * @param counted the only lot in it, and how much of it there is now; null: only the level is noted
 */
export function opsForLevel(
  bin: BinRow,
  { percent, on, how }: SeenLevel,
  counted: { lot: LotRow; thousandths: number } | null,
  context: OpContext,
): Op[] {
  const level = { percent: Math.round(Math.min(100, Math.max(0, percent))), seenOn: on, how };
  const ops: Op[] = [{ op: 'change', entity: 'bin', id: bin.id, fields: { level } }];
  return counted ? [...ops, ...opsForCounting(counted.lot, counted.thousandths, context)] : ops;
}
