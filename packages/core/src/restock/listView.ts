/** The list of a trip, as everybody of the home sees it. */
import type { HouseholdState, ItemRow, LotRow, PurchaseRow } from '../household';
import { costOf, type OutlookAnswer } from './HomeOutlook';
import { dismissedItems, linesOfTrip } from './restockItems';
import type { RestockEntry } from './restockList';
import type { Trip } from './trips';

/** A line of the list: what the outlook proposes, what somebody wrote, or both. */
export interface ListLine {
  key: string;
  item: ItemRow | null;
  name: string;
  size: LotRow['packSize'];
  packs: number;
  packThousandths: number;
  priceMinor: number | null;
  entry: RestockEntry | null;
  /** What is written on the list about it; two phones may have written one line each. */
  written: PurchaseRow[];
  /** What somebody in the shop said of it; null: nothing yet. */
  ticked: 'basket' | 'not_there' | null;
}

function tickedOf(written: readonly PurchaseRow[]): ListLine['ticked'] {
  if (written.some(({ state }) => state === 'basket')) return 'basket';
  return written.some(({ state }) => state === 'not_there') ? 'not_there' : null;
}

export interface ListView {
  lines: ListLine[];
  /** How many are left has to be said: nobody notes it when some is taken, or a count could change what is bought. */
  ask: { entry: RestockEntry; item: ItemRow }[];
  notBought: { entry: RestockEntry; item: ItemRow }[];
  /** Somebody has begun the trip: all that is proposed is on everybody's list, or something is ticked. */
  begun: boolean;
  costMinor: number;
  /** Lines whose price is not known. */
  unpriced: number;
}

/** Asked at most, for each trip. */
const MOST_ASKED = 3;

const sizeOf = (state: HouseholdState, item: ItemRow | null): LotRow['packSize'] =>
  item === null ? null : (state.lotsOf(item.id).find(({ packSize }) => packSize !== null)?.packSize ?? null);

/** What the list of a trip shows. */
export function listView(
  state: HouseholdState,
  { answer, trip }: { answer: Pick<OutlookAnswer, 'entries'>; trip: Trip },
): ListView {
  const written = linesOfTrip(state, trip);
  const off = dismissedItems(state, trip.day);
  const byItem = new Map<string, PurchaseRow[]>();
  for (const line of written)
    if (line.itemId !== null) byItem.set(line.itemId, [...(byItem.get(line.itemId) ?? []), line]);
  const lines: ListLine[] = [];
  const view: ListView = { lines, ask: [], notBought: [], begun: false, costMinor: 0, unpriced: 0 };
  for (const entry of answer.entries) {
    const item = state.get('item', entry.itemId);
    if (!item || item.retired) continue;
    // What is put away is stock, and no line any more.
    const own = (byItem.get(item.id) ?? []).filter(({ state: of }) => of !== 'dismissed' && of !== 'put_away');
    const asks = entry.verdict === 'ask' || (entry.verdict !== 'unknown' && entry.countFirst);
    if (asks && own.length === 0 && !off.has(item.id) && view.ask.length < MOST_ASKED) view.ask.push({ entry, item });
    if (own.length > 0 || (entry.verdict === 'buy' && !off.has(item.id))) {
      const last = own.at(-1);
      lines.push({
        key: item.id,
        item,
        name: item.name,
        size: sizeOf(state, item),
        packs: last ? Math.max(...own.map(({ packs }) => packs)) : entry.packs,
        packThousandths: last?.packThousandths ?? entry.packThousandths,
        priceMinor: last?.priceMinor ?? entry.priceMinor,
        entry,
        written: own,
        ticked: tickedOf(own),
      });
    } else if (entry.verdict !== 'unknown' && entry.verdict !== 'ask') view.notBought.push({ entry, item });
  }
  for (const line of written)
    if (line.itemId === null && line.state !== 'dismissed' && line.state !== 'put_away')
      lines.push({
        key: line.id,
        item: null,
        name: line.name,
        size: null,
        packs: line.packs,
        packThousandths: line.packThousandths ?? 1000,
        priceMinor: line.priceMinor,
        entry: null,
        written: [line],
        ticked: tickedOf([line]),
      });
  view.costMinor = costOf(lines.map(({ packs, priceMinor }) => ({ verdict: 'buy', packs, priceMinor })));
  const ticked = written.some(({ state: of }) => of === 'basket' || of === 'not_there' || of === 'put_away');
  const proposed = lines.filter(({ entry }) => entry?.verdict === 'buy');
  view.begun = ticked || (proposed.length > 0 && proposed.every(({ written: own }) => own.length > 0));
  view.unpriced = lines.filter(({ priceMinor }) => priceMinor === null).length;
  return view;
}
