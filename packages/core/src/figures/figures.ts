/** Figures of the home: what is worth how much, what was thrown away, what counts found. */
import { addMonths, type CivilDate } from '../base';
import { dayNumber } from '../forecast';
import { digestOf, type HouseholdState, type ItemRow } from '../household';
import { packFor } from '../restock';
import { placePath } from '../spaces';
import { COUNTS, GAP, readDigest, WINDOW_DAYS } from '../use';

/** What one of a thing's unit costs, in hundredths, where a pack of it has a price; the cheapest. */
function priceOf(item: ItemRow): number | null {
  const { amountThousandths, priceMinor } = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, null);
  return priceMinor === null ? null : (priceMinor * 1000) / amountThousandths;
}

/** What one of a unit costs, by id: also of rows in which things were kept in another unit before. Things without a price are left out. */
export function unitPrices(state: HouseholdState): Map<string, number> {
  const prices = new Map<string, number>();
  for (const item of state.all('item')) {
    const price = priceOf(item);
    if (price === null) continue;
    prices.set(item.id, price);
    for (const { itemId, each } of item.before ?? []) prices.set(itemId, price * each);
  }
  return prices;
}

export interface WorthOf {
  /** Empty: no category, or a place without a room. */
  name: string;
  minor: number;
  /** Things of which there is some and no price is known: they are worth something, and nobody knows what. */
  unpriced: number;
}

/** What all that is there costs when bought again at the prices that are known, by room or category; the most first. */
export function worthBy(state: HouseholdState, by: 'room' | 'category'): WorthOf[] {
  const rooms = new Map<string, string>();
  const roomOf = (nookId: string): string => {
    const known = rooms.get(nookId);
    if (known !== undefined) return known;
    const name = placePath(state, nookId)?.room?.name ?? '';
    rooms.set(nookId, name);
    return name;
  };
  const parts = new Map<string, { minor: number; unpriced: Set<string> }>();
  for (const item of state.all('item')) {
    const price = priceOf(item);
    for (const lot of state.lotsOf(item.id)) {
      if (lot.quantityThousandths <= 0) continue;
      const name = by === 'category' ? item.category : roomOf(lot.nookId);
      const part = parts.get(name) ?? { minor: 0, unpriced: new Set<string>() };
      parts.set(name, part);
      if (price === null) part.unpriced.add(item.id);
      else part.minor += (price * lot.quantityThousandths) / 1000;
    }
  }
  return [...parts]
    .map(([name, { minor, unpriced }]) => ({ name, minor: Math.round(minor), unpriced: unpriced.size }))
    .sort((a, b) => b.minor - a.minor || (a.name < b.name ? -1 : 1));
}

/** What left the house unused. */
export interface Thrown {
  /** `2026-11` */
  month: string;
  itemId: string;
  quantityThousandths: number;
}
export interface MonthThrown {
  month: string;
  /** What it would cost to buy again at today's prices. */
  minor: number;
  things: number;
  /** Of them without a price. */
  unpriced: number;
}

/** The last months to this one, the oldest first; a month in which nothing was thrown away is there, too. */
export function thrownByMonth(
  thrown: readonly Thrown[],
  prices: ReadonlyMap<string, number>,
  today: CivilDate,
  months = 12,
): MonthThrown[] {
  const first = `${today.slice(0, 7)}-01`;
  return Array.from({ length: months }, (_, at) => {
    const month = addMonths(first, at - months + 1).slice(0, 7);
    const own = thrown.filter((one) => one.month === month);
    const things = new Set(own.map(({ itemId }) => itemId));
    let minor = 0;
    for (const { itemId, quantityThousandths } of own)
      minor += ((prices.get(itemId) ?? 0) * quantityThousandths) / 1000;
    return {
      month,
      minor: Math.round(minor),
      things: things.size,
      unpriced: [...things].filter((id) => !prices.has(id)).length,
    };
  });
}

/** What counts of a thing found against what was noted. */
export interface CountedThing {
  item: ItemRow;
  counts: number;
  /** More (or, negative, less) than the book said, all counts together. */
  gapThousandths: number;
}

/** Things that were counted in the last half year, those whose counts differed most from what was noted first. */
export function countsAgainst(state: HouseholdState, today: CivilDate): CountedThing[] {
  const from = dayNumber(today) - WINDOW_DAYS;
  const found: CountedThing[] = [];
  for (const item of state.all('item')) {
    const digest = digestOf(state, item);
    if (digest === '') continue;
    let [counts, gapThousandths] = [0, 0];
    for (const [day, cell] of readDigest(digest).days) {
      if (day < from) continue;
      counts += cell[COUNTS];
      gapThousandths += cell[GAP];
    }
    if (counts > 0) found.push({ item, counts, gapThousandths });
  }
  return found.sort(
    (a, b) => Math.abs(b.gapThousandths) - Math.abs(a.gapThousandths) || (a.item.name < b.item.name ? -1 : 1),
  );
}
