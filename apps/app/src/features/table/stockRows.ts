import {
  dayOfId,
  effectiveDue,
  guideOf,
  packFor,
  type Due,
  type HouseholdState,
  type ItemRow,
  type KeepingGuide,
  type LotRow,
  type RestockEntry,
} from '@ours/core';
import type { Outlook } from '@/features/restock';
import { wayTo } from '@/shared/placeWords';

/** One row of the table: a thing of the home with all of its lots, or one of them. */
export interface StockRow {
  /** The thing's id, or the lot's. */
  id: string;
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
  /** The code of the fullest of them; null: it is nowhere. */
  code: string | null;
  /** The room and the space of the fullest of them; null: it is nowhere. */
  room: Named | null;
  space: Named | null;
  /** Ids of all rooms and spaces it is in. */
  within: ReadonlySet<string>;
  /** The ways to its places. */
  ways: readonly Way[];
  /** The day on which the lot that was looked at longest ago was counted or put in; null: nothing is there, or it is not known. */
  countedOn: string | null;
  /** For the filter: name, category, tags and places, in lower case. */
  text: string;
}
export interface Named {
  id: string;
  name: string;
}

/** The way to a place, as rows speak of it. */
interface Way {
  nookId: string;
  code: string | null;
  text: string;
  room: Named | null;
  space: Named | null;
}

/**
 * Every thing of the home, or every lot of it that is there; what is known of its pace once that is worked out. Rows of what has not
 * changed stay the same objects from one time to the next: of thousands only one is worked out and drawn anew after a count.
 */
export class StockRows {
  private known = new Map<string, StockRow>();
  private ways = new Map<string, Way>();
  private of: { each: string; outlook: Outlook | null; guide: KeepingGuide; shopId: string | null } | null = null;

  read(state: HouseholdState, outlook: Outlook | null, each: 'thing' | 'lot'): StockRow[] {
    const guide = guideOf(state);
    // What all rows depend on.
    const shopId = outlook?.trip.shop?.id ?? null;
    if (this.of?.each !== each || this.of.guide !== guide || this.of.shopId !== shopId) this.known = new Map();
    const sameOutlook = this.of?.outlook === outlook;
    this.of = { each, outlook, guide, shopId };
    this.readWays(state);
    const entries = new Map(outlook?.answer.entries.map((entry) => [entry.itemId, entry]));
    const rows: StockRow[] = [];
    const add = (id: string, item: ItemRow, lots: readonly LotRow[]): void => {
      const before = this.known.get(id);
      const same = before?.item === item && sameOnes(before.lots, lots) && before.ways.every((way) => this.isNow(way));
      const entry = entries.get(item.id) ?? null;
      if (!same) rows.push(this.make(id, item, lots, { shopId, guide, entry }));
      // Another outlook changes what is known of the pace, and nothing else.
      else rows.push(sameOutlook || before.entry === entry ? before : { ...before, entry });
    };
    for (const item of state.all('item')) {
      const lots = state.lotsOf(item.id);
      if (each === 'thing') add(item.id, item, lots);
      else for (const lot of lots) add(lot.id, item, [lot]);
    }
    this.known = new Map(rows.map((row) => [row.id, row]));
    return rows;
  }

  /** Reads the ways of the places that are spoken of, anew; those that say the same stay the same objects. */
  private readWays(state: HouseholdState): void {
    const fresh = new Map<string, Way>();
    for (const lot of state.all('lot')) {
      if (fresh.has(lot.nookId)) continue;
      const way = wayTo(state, lot.nookId);
      const now: Way = {
        nookId: lot.nookId,
        code: way?.code ?? null,
        text: way ? [...way.steps, way.code].join(' ') : '',
        room: way?.room ?? null,
        space: way?.space ?? null,
      };
      const before = this.ways.get(lot.nookId);
      const same = before?.text === now.text && before.room?.id === now.room?.id && before.space?.id === now.space?.id;
      fresh.set(lot.nookId, same ? before : now);
    }
    this.ways = fresh;
  }
  private isNow(way: Way): boolean {
    return this.ways.get(way.nookId) === way;
  }

  private make(
    id: string,
    item: ItemRow,
    lots: readonly LotRow[],
    { shopId, guide, entry }: { shopId: string | null; guide: KeepingGuide; entry: RestockEntry | null },
  ): StockRow {
    const there = lots.reduce((sum, lot) => sum + lot.quantityThousandths, 0);
    const nookIds = fullestFirst(lots);
    const ways = nookIds.flatMap((nookId) => this.ways.get(nookId) ?? []);
    const pack = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, shopId);
    return {
      id,
      item,
      lots,
      there,
      size: lots.find(({ packSize }) => packSize !== null)?.packSize ?? null,
      due: firstDue(lots, item, guide),
      entry,
      worthMinor: pack.priceMinor === null ? null : Math.round((pack.priceMinor / pack.amountThousandths) * there),
      nookIds,
      code: ways[0]?.code ?? null,
      room: ways[0]?.room ?? null,
      space: ways[0]?.space ?? null,
      within: new Set(ways.flatMap(({ room, space }) => [room?.id, space?.id].filter((one) => one !== undefined))),
      ways,
      countedOn: longestAgo(lots),
      text: [item.name, item.category, ...item.synonyms, ...item.tags, ...ways.map(({ text }) => text)]
        .join(' ')
        .toLowerCase(),
    };
  }
}

const sameOnes = <T>(a: readonly T[], b: readonly T[]): boolean =>
  a.length === b.length && a.every((one, at) => one === b[at]);

/** A lot was looked at when it was counted, else when it was put in; where that is not known of one, it is not known of all. */
function longestAgo(lots: readonly LotRow[]): string | null {
  let first: string | null = null;
  for (const { countedAt, id } of lots) {
    const on = countedAt?.occurredAt.slice(0, 10) ?? dayOfId(id);
    if (on === null) return null;
    if (first === null || on < first) first = on;
  }
  return first;
}

function firstDue(lots: readonly LotRow[], item: ItemRow, guide: KeepingGuide): Due | null {
  let first: Due | null = null;
  for (const lot of lots) {
    const due = effectiveDue(lot, item, guide);
    if (due && (first === null || due.on < first.on)) first = due;
  }
  return first;
}

function fullestFirst(lots: readonly LotRow[]): string[] {
  if (lots.length < 2) return lots.map(({ nookId }) => nookId);
  const byNook = new Map<string, number>();
  for (const lot of lots) byNook.set(lot.nookId, (byNook.get(lot.nookId) ?? 0) + lot.quantityThousandths);
  return [...byNook].sort((a, b) => b[1] - a[1]).map(([id]) => id);
}

export interface Worth {
  minor: number;
  /** Rows with something there whose price nobody knows. */
  unpriced: number;
}
export const worthOf = (rows: readonly StockRow[]): Worth => ({
  minor: rows.reduce((sum, { worthMinor }) => sum + (worthMinor ?? 0), 0),
  unpriced: rows.filter(({ worthMinor, there }) => worthMinor === null && there > 0).length,
});
