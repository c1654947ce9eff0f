import {
  type HouseholdState,
  type RowView,
  type AnyRow,
  type BinRow,
  type EntityKind,
  type ItemRow,
  type LotRow,
  type ShelfRow,
  SortedRows,
} from '../household';
import { addDays, type CivilDate } from '../base';
import { effectiveDue, guideOf, SOON_DAYS, type Due } from '../shelflife';

/** A lot with the date that counts for it. */
export interface DueLot {
  lot: LotRow;
  item: ItemRow;
  due: Due;
}
/** A thing at or below its low mark, with how much is left in thousandths. */
export interface LowItem {
  item: ItemRow;
  leftThousandths: number;
  lots: LotRow[];
}
/** What a drawing says about a nook: what is in it and in the bins inside it. */
export interface NookSummary {
  lots: number;
  /** Different kinds of things, in this nook and the bins inside it. */
  itemNames: string[];
  late: number;
  soon: number;
  low: number;
  pleaseCount: number;
}

const names = new Intl.Collator('en');

/**
 * What lists and drawings show of the stock, kept up row by row: what is due, how much is on hand, what is low, what a nook
 * holds. Rows that changed are noted and looked at when something is asked for, so that reading a home costs nothing here.
 */
export class StockView implements RowView {
  private readonly changedLots = new Set<string>();
  private readonly changedItems = new Set<string>();
  /** Items of which a lot changed. */
  private readonly itemsToCount = new Set<string>();
  private readonly due = new SortedRows<DueLot>(
    (a, b) => (a.due.on < b.due.on ? -1 : a.due.on > b.due.on ? 1 : 0) || byId(a.lot, b.lot),
  );
  private readonly low = new SortedRows<LowItem>(
    (a, b) =>
      Number(a.leftThousandths > 0) - Number(b.leftThousandths > 0) ||
      names.compare(a.item.name, b.item.name) ||
      byId(a.item, b.item),
  );
  private readonly toCount = new SortedRows<LotRow>(byId);
  private readonly onHandOf = new Map<string, number>();
  private readonly dueOf = new Map<string, CivilDate>();
  private readonly isLow = new Set<string>();
  private readonly summaries = new Map<string, NookSummary>();
  /** Nooks whose summary has to be made anew. */
  private readonly outdated = new Set<string>();
  private summarizedOn: CivilDate = '';
  /** The first of the due list, by the day until which they were asked for. */
  private soon: { list: readonly DueLot[]; until: CivilDate; lots: readonly DueLot[] } | null = null;

  constructor(private readonly state: HouseholdState) {
    for (const lot of state.all('lot')) this.changedLots.add(lot.id);
    for (const item of state.all('item')) this.changedItems.add(item.id);
  }

  changed(entity: EntityKind, before: AnyRow | undefined, after: AnyRow | undefined): void {
    if (entity === 'lot') {
      for (const row of [before, after] as (LotRow | undefined)[]) {
        // What is retired counts nowhere: a device reads tens of thousands of such rows after it has opened.
        if (!row || row.retired) continue;
        this.changedLots.add(row.id);
        this.itemsToCount.add(row.itemId);
        this.forgetSummary(row.nookId);
      }
    } else if (entity === 'keeping') for (const item of this.state.all('item')) this.changedItems.add(item.id);
    else if (entity === 'item') this.changedItems.add((before ?? after)!.id);
    else if (entity === 'bin') {
      for (const row of [before, after] as (BinRow | undefined)[]) {
        if (!row) continue;
        this.forgetSummary(row.id);
        this.forgetSummary(row.parentBinId ?? row.shelfId);
      }
    } else if (entity === 'shelf') {
      for (const row of [before, after] as (ShelfRow | undefined)[]) if (row) this.forgetSummary(row.spaceId);
    }
  }

  /** Lots with a date, something of which is there, the earliest first. */
  dated(): readonly DueLot[] {
    this.settle();
    return this.due.list();
  }

  /** Those of `dated` that are late or end within some days (two weeks, if nothing is said). The same array as long as none of them changed. */
  dueUntil(today: CivilDate, days = SOON_DAYS): readonly DueLot[] {
    const list = this.dated();
    const until = addDays(today, days);
    if (this.soon?.list === list && this.soon.until === until) return this.soon.lots;
    let count = 0;
    while (count < list.length && list[count]!.due.on <= until) count++;
    const known = this.soon?.lots;
    const same = known?.length === count && known.every((one, at) => one === list[at]);
    const lots = same ? known : list.slice(0, count);
    this.soon = { list, until, lots };
    return lots;
  }

  /** Items at or below their low mark, those that are gone first, then by name. */
  lowItems(): readonly LowItem[] {
    this.settle();
    return this.low.list();
  }

  /** Lots of which more was taken than was known. */
  lotsToCount(): readonly LotRow[] {
    this.settle();
    return this.toCount.list();
  }

  /** How much of an item the whole home has, in thousandths of its unit. */
  onHand(itemId: string): number {
    this.settle();
    return this.onHandOf.get(itemId) ?? 0;
  }

  /** What a drawing says about a nook: everything in it and in the bins inside it. The same object while that is the same. */
  summary(nookId: string, today: CivilDate): NookSummary {
    this.settle();
    if (this.summarizedOn !== today) {
      this.summaries.clear();
      this.outdated.clear();
    }
    this.summarizedOn = today;
    const known = this.summaries.get(nookId);
    if (known && !this.outdated.delete(nookId)) return known;
    const summary: NookSummary = { lots: 0, itemNames: [], late: 0, soon: 0, low: 0, pleaseCount: 0 };
    this.gather(nookId, today, summary, new Set());
    if (known && isSame(known, summary)) return known;
    this.summaries.set(nookId, summary);
    return summary;
  }

  private gather(nookId: string, today: CivilDate, summary: NookSummary, seen: Set<string>): void {
    const soon = addDays(today, SOON_DAYS);
    for (const lot of this.state.lotsIn(nookId)) {
      const item = this.state.get('item', lot.itemId);
      if (!item) continue;
      summary.lots++;
      if (lot.pleaseCount) summary.pleaseCount++;
      const due = this.dueOf.get(lot.id);
      if (due !== undefined && due < today) summary.late++;
      else if (due !== undefined && due <= soon) summary.soon++;
      if (seen.has(item.id)) continue;
      seen.add(item.id);
      summary.itemNames.push(item.name);
      if (this.isLow.has(item.id)) summary.low++;
    }
    for (const bin of this.state.binsIn(nookId)) this.gather(bin.id, today, summary, seen);
  }

  /** A nook's summary goes with those of all that it is in. */
  private forgetSummary(nookId: string): void {
    let id: string | undefined = nookId;
    for (let depth = 0; id !== undefined && depth < 30 && this.summaries.size > 0; depth++) {
      if (this.summaries.has(id)) this.outdated.add(id);
      const nook = this.state.nook(id);
      id =
        nook?.kind === 'bin'
          ? (nook.row.parentBinId ?? nook.row.shelfId)
          : nook?.kind === 'shelf'
            ? nook.row.spaceId
            : undefined;
    }
  }

  /** Works in what has changed. Asking does it as well; called on the way it spreads the work of reading a home. */
  settle(): void {
    const { changedLots, changedItems, itemsToCount, state } = this;
    if (changedLots.size === 0 && changedItems.size === 0 && itemsToCount.size === 0) return;
    for (const id of changedItems) this.settleItem(id, true);
    for (const id of itemsToCount) if (!changedItems.has(id)) this.settleItem(id, false);
    changedItems.clear();
    itemsToCount.clear();
    for (const id of changedLots) {
      const lot = state.get('lot', id);
      this.settleLot(id, lot, lot && state.get('item', lot.itemId));
    }
    changedLots.clear();
  }

  /** @param isOther whether the item itself is another, not only how much of it there is */
  private settleItem(id: string, isOther: boolean): void {
    const item = this.state.get('item', id);
    const lots = this.state.lotsOf(id);
    const left = lots.reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    this.onHandOf.set(id, left);
    const low = item !== undefined && !item.retired && item.lowAtThousandths !== null && left <= item.lowAtThousandths;
    this.low.set(id, low ? { item, leftThousandths: left, lots } : null);
    // A lot's date comes from its item, and what a nook says of the item as well.
    if (isOther || low !== this.isLow.has(id))
      for (const lot of lots) {
        this.changedLots.add(lot.id);
        this.forgetSummary(lot.nookId);
      }
    if (low) this.isLow.add(id);
    else this.isLow.delete(id);
  }

  private settleLot(id: string, lot: LotRow | undefined, item: ItemRow | undefined): void {
    const there = lot && !lot.retired && item ? lot : null;
    const due = there && there.quantityThousandths > 0 ? effectiveDue(there, item!, guideOf(this.state)) : null;
    this.due.set(id, due ? { lot: there!, item: item!, due } : null);
    if (due) this.dueOf.set(id, due.on);
    else this.dueOf.delete(id);
    this.toCount.set(id, there?.pleaseCount ? there : null);
  }
}

/** What is low, due and held in a home, kept up from the first time it is asked for. */
export const stockOf = (state: HouseholdState): StockView => state.view(StockView);

const isSame = (a: NookSummary, b: NookSummary): boolean =>
  a.lots === b.lots &&
  a.late === b.late &&
  a.soon === b.soon &&
  a.low === b.low &&
  a.pleaseCount === b.pleaseCount &&
  a.itemNames.length === b.itemNames.length &&
  a.itemNames.every((name, at) => name === b.itemNames[at]);

function byId(a: { id: string }, b: { id: string }): number {
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}
