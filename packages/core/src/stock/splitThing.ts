/** One name stood for two things: a part of it becomes a thing of its own. */
import type { HouseholdState, ItemFields, ItemRow, Op } from '../household';
import { eventOp, lotFieldsOf, type OpContext } from './stockOps';

export interface SplitPart {
  lotId: string;
  /** Not more than is there. */
  thousandths: number;
}

/**
 * Makes a part of what is there a thing of its own, kept as the first one is. A lot that goes as a whole takes its past along; of a lot that
 * goes in part, what happened before stays with the first thing. Marks, packs, sets and trade numbers stay with the first one as well: they
 * were said of it.
 * @returns the operations, and the id of the new thing
 */
export function opsForSplitting(
  state: HouseholdState,
  item: ItemRow,
  name: string,
  parts: readonly SplitPart[],
  context: OpContext,
): { ops: Op[]; itemId: string } {
  const itemId = context.newId();
  const fields: ItemFields = {
    name,
    category: item.category,
    unit: item.unit,
    synonyms: [],
    tags: item.tags,
    lowAtThousandths: null,
    openedDays: item.openedDays,
    freezerMonths: item.freezerMonths,
    traits: item.traits ?? null,
    meals: item.meals ?? null,
    keepDays: item.keepDays ?? null,
  };
  const ops: Op[] = [{ op: 'create', entity: 'item', id: itemId, fields }];
  for (const { lotId, thousandths } of parts) {
    const lot = state.get('lot', lotId);
    if (!lot || thousandths <= 0) continue;
    if (thousandths >= lot.quantityThousandths) {
      ops.push({ op: 'change', entity: 'lot', id: lotId, fields: { itemId } });
      continue;
    }
    const id = context.newId();
    ops.push(
      { op: 'create', entity: 'lot', id, fields: { ...lotFieldsOf(lot), itemId } },
      eventOp(context, lotId, 'moved_out', thousandths),
      eventOp(context, id, 'moved_in', thousandths),
    );
  }
  return { ops, itemId };
}
