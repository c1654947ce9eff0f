import type { HouseholdState } from '../household/HouseholdState';
import type { ItemRow, LotRow } from '../household/registry';
import type { CivilDate } from '../shelflife/civilDate';
import { dueState, effectiveDue, SOON_DAYS, type Due } from '../shelflife/dueDate';

export interface DueLot {
  lot: LotRow;
  item: ItemRow;
  due: Due;
}
export interface LowItem {
  item: ItemRow;
  leftThousandths: number;
  lots: LotRow[];
}

/** Lots whose date is past or within `soonDays`, the earliest first. Frozen ones count with their quality date. */
export function lotsDueSoon(state: HouseholdState, today: CivilDate, soonDays = SOON_DAYS): DueLot[] {
  const found: DueLot[] = [];
  for (const lot of state.all('lot')) {
    if (lot.quantityThousandths <= 0) continue;
    const item = state.get('item', lot.itemId);
    const due = item && effectiveDue(lot, item);
    if (item && due && dueState(due, today, soonDays) !== 'later') found.push({ lot, item, due });
  }
  return found.sort((a, b) => (a.due.on < b.due.on ? -1 : a.due.on > b.due.on ? 1 : a.lot.id < b.lot.id ? -1 : 1));
}

/** How much of an item the whole home has, in thousandths of its unit. */
export function onHand(state: HouseholdState, itemId: string): number {
  return state.lotsOf(itemId).reduce((sum, lot) => sum + lot.quantityThousandths, 0);
}

/** Items at or below their low mark, those that are gone first, then by name. */
export function lowItems(state: HouseholdState): LowItem[] {
  const found: LowItem[] = [];
  for (const item of state.all('item')) {
    if (item.lowAtThousandths === null) continue;
    const leftThousandths = onHand(state, item.id);
    if (leftThousandths <= item.lowAtThousandths) found.push({ item, leftThousandths, lots: state.lotsOf(item.id) });
  }
  return found.sort(
    (a, b) =>
      Number(a.leftThousandths > 0) - Number(b.leftThousandths > 0) || a.item.name.localeCompare(b.item.name, 'en'),
  );
}

export interface NookSummary {
  lots: number;
  /** Different kinds of things, in this nook and the bins inside it. */
  itemNames: string[];
  late: number;
  soon: number;
  low: number;
  pleaseCount: number;
}

/** What a drawing says about a nook: everything in it and in the bins inside it. */
export function summarizeNook(state: HouseholdState, nookId: string, today: CivilDate): NookSummary {
  const summary: NookSummary = { lots: 0, itemNames: [], late: 0, soon: 0, low: 0, pleaseCount: 0 };
  const seen = new Set<string>();
  const visit = (id: string): void => {
    for (const lot of state.lotsIn(id)) {
      const item = state.get('item', lot.itemId);
      if (!item) continue;
      summary.lots++;
      if (lot.pleaseCount) summary.pleaseCount++;
      const due = lot.quantityThousandths > 0 ? effectiveDue(lot, item) : null;
      const dated = due ? dueState(due, today) : 'later';
      if (dated === 'late') summary.late++;
      if (dated === 'soon') summary.soon++;
      if (seen.has(item.id)) continue;
      seen.add(item.id);
      summary.itemNames.push(item.name);
      if (item.lowAtThousandths !== null && onHand(state, item.id) <= item.lowAtThousandths) summary.low++;
    }
    for (const bin of state.binsIn(id)) visit(bin.id);
  };
  visit(nookId);
  return summary;
}
