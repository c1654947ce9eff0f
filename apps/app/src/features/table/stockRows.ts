import {
  effectiveDue,
  guideOf,
  packFor,
  type Due,
  type HouseholdState,
  type ItemRow,
  type LotRow,
  type RestockEntry,
} from '@ours/core';
import type { Outlook } from '@/features/restock';
import { wayTo } from '@/shared/placeWords';

/** One thing of the home as a row of the table. */
export interface StockRow {
  item: ItemRow;
  lots: readonly LotRow[];
  /** In all, in thousandths. */
  there: number;
  size: LotRow['packSize'];
  /** What ends first of it. */
  due: Due | null;
  entry: RestockEntry | null;
  /** Null: no price is known. */
  worthMinor: number | null;
  /** Ids of the places it is in, the fullest first. */
  nookIds: readonly string[];
  /** Ids of the rooms and spaces it is in. */
  within: ReadonlySet<string>;
  /** For the filter: name, category, tags and places, in lower case. */
  text: string;
}

export const SHOWN = ['all', 'runs_out', 'ends', 'low', 'none'] as const;
/** Which rows are shown: all; what may run out before the trip after the next one; what ends in two weeks; what is at its mark; what is gone. */
export type Shown = (typeof SHOWN)[number];

interface Way {
  text: string;
  within: string[];
}

/** Every thing of the home; what is known of its pace once that is worked out. */
export function stockRows(state: HouseholdState, outlook: Outlook | null): StockRow[] {
  const entries = new Map(outlook?.answer.entries.map((entry) => [entry.itemId, entry]));
  const guide = guideOf(state);
  const ways = new Map<string, Way>();
  const wayOf = (nookId: string): Way => {
    const known = ways.get(nookId);
    if (known !== undefined) return known;
    const way = wayTo(state, nookId);
    const found: Way = {
      text: way ? [...way.steps, way.code].join(' ') : '',
      within: [way?.room?.id, way?.space?.id].filter((id) => id !== undefined),
    };
    ways.set(nookId, found);
    return found;
  };
  return state.all('item').map((item): StockRow => {
    const lots = state.lotsOf(item.id);
    const there = lots.reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    const dues = lots.flatMap((lot) => effectiveDue(lot, item, guide) ?? []);
    const byNook = new Map<string, number>();
    for (const lot of lots) byNook.set(lot.nookId, (byNook.get(lot.nookId) ?? 0) + lot.quantityThousandths);
    const nookIds = [...byNook].sort((a, b) => b[1] - a[1]).map(([id]) => id);
    const pack = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, outlook?.trip.shop?.id ?? null);
    return {
      item,
      lots,
      there,
      size: lots.find(({ packSize }) => packSize !== null)?.packSize ?? null,
      due: dues.length === 0 ? null : dues.reduce((first, due) => (due.on < first.on ? due : first)),
      entry: entries.get(item.id) ?? null,
      worthMinor: pack.priceMinor === null ? null : Math.round((pack.priceMinor / pack.amountThousandths) * there),
      nookIds,
      within: new Set(nookIds.flatMap((id) => wayOf(id).within)),
      text: [item.name, item.category, ...item.synonyms, ...item.tags, ...nookIds.map((id) => wayOf(id).text)]
        .join(' ')
        .toLowerCase(),
    };
  });
}

/**
 * Whether a row is shown.
 * @param runsOutBefore days from today, exclusive
 * @param endsBy the last day that counts as soon
 */
export function isShown(row: StockRow, shown: Shown, runsOutBefore: number, endsBy: string): boolean {
  switch (shown) {
    case 'all':
      return true;
    case 'runs_out':
      return row.there > 0 && (row.entry?.out?.early ?? Infinity) < runsOutBefore;
    case 'ends':
      return row.due !== null && row.due.on <= endsBy;
    case 'low':
      return row.item.lowAtThousandths !== null && row.there <= row.item.lowAtThousandths;
    case 'none':
      return row.there <= 0;
  }
}

/** All words of a filter stand in the row. */
export const hasWords = (row: StockRow, filter: string): boolean =>
  filter
    .toLowerCase()
    .split(/\s+/)
    .every((word) => row.text.includes(word));

export interface Worth {
  minor: number;
  /** Rows with something there whose price nobody knows. */
  unpriced: number;
}
export const worthOf = (rows: readonly StockRow[]): Worth => ({
  minor: rows.reduce((sum, { worthMinor }) => sum + (worthMinor ?? 0), 0),
  unpriced: rows.filter(({ worthMinor, there }) => worthMinor === null && there > 0).length,
});
