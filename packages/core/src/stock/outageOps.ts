import type { Op } from '../household';
import type { HouseholdState, ItemRow, LotRow } from '../household';
import { coldKind, outageVerdict, type OutageVerdict, type WarmTime } from '../shelflife';
import { nooksWithin } from '../spaces';
import { opsForDiscarding, type OpContext } from './stockOps';

/** A lot in a place that was warm, and what is to be done with it. */
export interface OutageLot {
  lot: LotRow;
  item: ItemRow;
  verdict: OutageVerdict;
}

/** Everything in a space, by what is to be done: thrown out first, then looked at, then kept. */
export function outageLots(
  state: HouseholdState,
  spaceId: string,
  warm: WarmTime,
  appliance: 'refrigerator' | 'freezer',
): OutageLot[] {
  const rank = { discard: 0, check: 1, keep: 2 } as const;
  return nooksWithin(state, spaceId)
    .flatMap((nookId) => state.lotsIn(nookId))
    .flatMap((lot): OutageLot[] => {
      const item = state.get('item', lot.itemId);
      if (!item || lot.quantityThousandths <= 0) return [];
      return [{ lot, item, verdict: outageVerdict(coldKind(item), warm, appliance) }];
    })
    .sort((a, b) => rank[a.verdict] - rank[b.verdict] || (a.item.name < b.item.name ? -1 : 1));
}

const LONGEST_NOTE = 2000;

/**
 * Notes the event on lots that stay, and throws out the others.
 * @param note one line, such as `Power cut 26 Nov: 6 h; kept`
 */
export function opsAfterOutage(
  kept: readonly LotRow[],
  thrownOut: readonly LotRow[],
  note: string,
  context: OpContext,
): Op[] {
  const notes = kept.map((lot): Op => {
    const text = lot.note === '' ? note : `${lot.note}\n${note}`;
    return { op: 'change', entity: 'lot', id: lot.id, fields: { note: text.slice(-LONGEST_NOTE) } };
  });
  return [...notes, ...thrownOut.flatMap((lot) => opsForDiscarding(lot, lot.quantityThousandths, 'spoiled', context))];
}
