import type { HouseholdState, ItemFields, LotFields, LotRow, Op } from '../household';
import { guideOf } from '../shelflife';
import { eventOp, opsForCountingAll, type OpContext } from '../stock';
import type { RowDoes } from './importStock';

/**
 * What rows of a table change, as operations, a list for each row. New things are made once, for all rows of them.
 * @param made new things by their key, carried on from rows before
 */
export function opsForImport(
  state: HouseholdState,
  rows: readonly RowDoes[],
  made: Map<string, string>,
  context: OpContext,
): Op[][] {
  const guide = guideOf(state);
  return rows.map(({ itemId: knownId, newKey, name, unit, item, amount }) => {
    const ops: Op[] = [];
    let itemId = knownId ?? made.get(newKey ?? name);
    if (itemId === undefined) {
      itemId = context.newId();
      made.set(newKey ?? name, itemId);
      const fields: ItemFields = { ...BARE, name, unit, ...item };
      ops.push({ op: 'create', entity: 'item', id: itemId, fields });
    } else if (Object.keys(item).length > 0) ops.push({ op: 'change', entity: 'item', id: itemId, fields: item });
    if (amount === null) return ops;
    const { nookId, thousandths, beforeThousandths, lotIds } = amount;
    const known = state.get('item', itemId);
    const lots = lotIds.flatMap((id): LotRow[] => {
      const lot = state.get('lot', id);
      return lot ? [lot] : [];
    });
    if (known && lots.length > 0) {
      if (thousandths !== beforeThousandths) ops.push(...opsForCountingAll(lots, known, guide, thousandths, context));
    } else if (thousandths > 0) {
      const lotId = context.newId();
      const fields: LotFields = { ...amount.lot, itemId, nookId, note: '' };
      ops.push({ op: 'create', entity: 'lot', id: lotId, fields }, eventOp(context, lotId, 'put_in', thousandths));
    }
    return ops;
  });
}

const BARE: Omit<ItemFields, 'name' | 'unit'> = {
  category: '',
  synonyms: [],
  tags: [],
  lowAtThousandths: null,
  openedDays: null,
  freezerMonths: null,
};
