/** Filling things from their packet into a jar, can or bottle: what becomes of their dates. */
import { isMeasure, LONGEST_BATCH } from '../base';
import type { ItemRow, LotFields, LotRow, Op } from '../household';
import { BETWEEN_BATCHES, partsOfBatch, UNKNOWN_BATCH } from './batch';
import { eventOp, lotFieldsOf, opsForCounting, opsForPuttingIn, sameLot, type OpContext } from './stockOps';

/** What is frozen or thawed is not poured together with other things. */
const isCold = (lot: LotFields): boolean => lot.frozenOn !== null || (lot.thawedOn ?? null) !== null;
/** Whether it can be decanted at all. */
export const canDecant = (lot: LotRow): boolean => lot.quantityThousandths > 0 && !isCold(lot);

const earlier = (a: string | null, b: string | null): string | null =>
  a === null || b === null ? (a ?? b) : a < b ? a : b;

/**
 * Two amounts of one thing that are poured together: of every date the earlier one counts, a use-by date of either makes it one for
 * all, and what one of them was cooked on is not lost. So no date is later than those of its parts.
 */
export function pouredTogether(a: LotFields, b: LotFields): LotFields {
  const expiresOn = earlier(a.expiresOn, b.expiresOn);
  const isUseBy = [a, b].some((lot) => lot.expiresOn !== null && lot.dateKind === 'use_by');
  const made = [a, b].filter((lot) => (lot.madeOn ?? null) !== null).sort((x, y) => (x.madeOn! < y.madeOn! ? -1 : 1));
  // Cooked keeps shorter than anything else that was made: said of all from the earlier day.
  const madeKind = made.some((lot) => lot.madeKind === 'cooked') ? 'cooked' : (made[0]?.madeKind ?? null);
  const notes = [...new Set([a.note, b.note].filter((note) => note !== ''))];
  return {
    ...b,
    packSize:
      a.packSize?.unit === b.packSize?.unit && a.packSize?.amountThousandths === b.packSize?.amountThousandths
        ? a.packSize
        : null,
    expiresOn,
    dateKind: expiresOn === null ? null : isUseBy ? 'use_by' : 'best_before',
    openedOn: earlier(a.openedOn, b.openedOn),
    madeOn: made[0]?.madeOn ?? null,
    madeKind,
    batch: batchesTogether(a.batch ?? null, b.batch ?? null),
    decantedOn: earlier(a.decantedOn ?? null, b.decantedOn ?? null),
    note: notes.join('\n').slice(0, 2000),
  };
}
/** Of a part nobody knows the batch; a list too long to be kept is not known at all, so that a recall still asks to look. */
function batchesTogether(a: string | null, b: string | null): string | null {
  const all = [...new Set([a, b].flatMap((batch) => partsOfBatch(batch)))];
  const text = all.join(BETWEEN_BATCHES);
  return text === UNKNOWN_BATCH || text.length > LONGEST_BATCH ? null : text;
}

/**
 * Pours an amount from its packets into a jar, one after the other, which opens them. The dates go with it; poured together and
 * topped up, the earlier ones count for all that is in the jar.
 *
 * @param packets what is poured from, the first first; what is frozen or thawed is left out
 * @param present what is in the jar
 * @param washed the jar was emptied and washed before: what was in it by the book is gone, and its dates with it
 */
export function opsForDecanting(
  packets: readonly LotRow[],
  item: Pick<ItemRow, 'unit'>,
  quantityThousandths: number,
  jarId: string,
  present: readonly LotRow[],
  washed: boolean,
  context: OpContext,
): Op[] {
  const ops: Op[] = [];
  let sum = 0;
  let poured: LotFields | null = null;
  const emptied = new Set(packets.map(({ id }) => id));
  for (const lot of packets) {
    const amount = Math.min(quantityThousandths - sum, lot.quantityThousandths);
    if (amount <= 0 || !canDecant(lot)) continue;
    sum += amount;
    const openedOn = lot.openedOn ?? context.today;
    const part: LotFields = { ...lotFieldsOf(lot), nookId: jarId, openedOn, decantedOn: context.today };
    poured = poured === null ? part : pouredTogether(poured, part);
    ops.push(eventOp(context, lot.id, 'moved_out', amount));
    // The rest of a packet that is kept by measure is open now as well.
    if (isMeasure(item.unit) && lot.openedOn === null && amount < lot.quantityThousandths)
      ops.push({ op: 'change', entity: 'lot', id: lot.id, fields: { openedOn } });
  }
  if (poured === null) return [];
  const { itemId } = poured;
  const inJar = present.filter((one) => one.itemId === itemId && !emptied.has(one.id) && canDecant(one));
  if (washed) {
    for (const one of inJar) ops.push(...opsForCounting(one, 0, context));
    return [...ops, ...opsForPuttingIn(poured, sum, [], context, 'moved_in')];
  }
  const mixed = inJar.reduce((all, one) => pouredTogether(lotFieldsOf(one), all), poured);
  const stays = inJar.find((one) => sameLot(one, mixed)) ?? null;
  for (const one of inJar) {
    if (one === stays) continue;
    ops.push(eventOp(context, one.id, 'moved_out', one.quantityThousandths));
    sum += one.quantityThousandths;
  }
  return [...ops, ...opsForPuttingIn(mixed, sum, stays ? [stays] : [], context, 'moved_in')];
}
