import { formatQuantity, pluralUnit, type Touched } from '@ours/core';

const SIGN = { in: '+', out: '−', counted: '= ' } as const;

/** A line of history: `Tea lights −1 piece, BL1-B3K`, or a row's name. */
export function touchedWords(one: Touched): string {
  if (one.kind === 'row') return one.title;
  const amount = `${SIGN[one.how]}${formatQuantity(one.quantityThousandths)} ${pluralUnit(one.unit, one.quantityThousandths)}`;
  return `${one.item} ${amount}${one.code && `, ${one.code}`}`;
}
