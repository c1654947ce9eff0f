import type { HouseholdState, ItemRow, LotRow } from '../household';
import { batchKey, partsOfBatch, UNKNOWN_BATCH } from './batch';

/** A lot that a recall may be about. */
export interface RecalledLot {
  lot: LotRow;
  item: ItemRow;
  /** Its batch is the one asked for; else its thing is, and nobody wrote a batch down. */
  byBatch: boolean;
}

/**
 * Everything in the home that a recall may be about.
 *
 * @param batch the maker's batch; empty: any
 * @param itemId the thing; null: any
 * @returns lots of the batch, then lots of the thing without a batch, which have to be looked at. Lots of the thing with another
 * batch are none of it. Empty when nothing is asked for.
 */
export function recalledLots(state: HouseholdState, batch: string, itemId: string | null): RecalledLot[] {
  const key = batchKey(batch);
  if (key === '' && itemId === null) return [];
  const found = state.all('lot').flatMap((lot): RecalledLot[] => {
    const item = state.get('item', lot.itemId);
    if (!item || lot.quantityThousandths <= 0 || (itemId !== null && item.id !== itemId)) return [];
    const own = partsOfBatch(lot.batch);
    if (key !== '' && own.some((batch) => batchKey(batch) === key)) return [{ lot, item, byBatch: true }];
    // Without a batch to compare, every lot of the thing; with one, those of which nobody knows theirs.
    const mayBe = itemId !== null && (key === '' || own.includes(UNKNOWN_BATCH));
    return mayBe ? [{ lot, item, byBatch: false }] : [];
  });
  return found.sort((a, b) => Number(b.byBatch) - Number(a.byBatch) || (a.item.name < b.item.name ? -1 : 1));
}
