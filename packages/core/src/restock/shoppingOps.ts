import type { CivilDate } from '../base';
import type { FieldsOf, HouseholdState, ItemRow, LotFields, LotRow, Op, Pack, PurchaseRow } from '../household';
import { opsForPuttingIn, type OpContext } from '../stock';
import type { RestockEntry } from './restockList';
import type { Trip } from './trips';

type PurchaseFields = FieldsOf['purchase'];

const lineFields = (trip: Trip, more: Partial<PurchaseFields> & { name: string }): PurchaseFields => ({
  itemId: null,
  shopId: trip.shop?.id ?? null,
  forDay: trip.day,
  packs: 1,
  packThousandths: null,
  priceMinor: null,
  state: 'wanted',
  instead: '',
  note: '',
  byPersonId: null,
  atInstant: null,
  ...more,
});
const changed = (id: string, fields: Partial<PurchaseFields>): Op => ({ op: 'change', entity: 'purchase', id, fields });

/** Writes a line on a trip's list: a thing of the home, or words. */
export const opsForListing = (
  trip: Trip,
  line: Partial<PurchaseFields> & { name: string },
  { newId }: OpContext,
): Op[] => [{ op: 'create', entity: 'purchase', id: newId(), fields: lineFields(trip, line) }];

/**
 * Whether something is on a list and not bought yet: a thing of the home by a list of today or later; words by any list, since what
 * was written by hand comes along to the next trip.
 */
export const isListed = (
  state: HouseholdState,
  { itemId, name }: Pick<PurchaseRow, 'itemId' | 'name'>,
  today: CivilDate,
): boolean =>
  state.all('purchase').some((line) => {
    const waits = line.state === 'wanted' || line.state === 'basket';
    return itemId === null
      ? line.itemId === null && line.name === name && (waits || line.state === 'not_there')
      : line.itemId === itemId && waits && line.forDay >= today;
  });

/** Writes what the list proposes, so that everybody who shops has the same lines. */
export const opsForStartingTrip = (trip: Trip, entries: readonly RestockEntry[], context: OpContext): Op[] =>
  entries.flatMap((entry) => opsForListing(trip, lineOfEntry(entry), context));

const lineOfEntry = ({ itemId, name, packs, packThousandths, priceMinor }: RestockEntry) => ({
  itemId,
  name,
  packs,
  packThousandths,
  priceMinor,
});

/**
 * Another number of packs than is proposed; 0 means not this week.
 * @param offer for another price than usual: it is this line's only, the thing's usual price stays
 */
export function opsForWanting(
  trip: Trip,
  entry: RestockEntry,
  lines: readonly PurchaseRow[],
  packs: number,
  context: OpContext,
  offer: { priceMinor?: number } = {},
): Op[] {
  const state = packs > 0 ? ('wanted' as const) : ('dismissed' as const);
  const fields = { packs: Math.max(0, packs), state, ...offer };
  const own = lines.filter(({ itemId }) => itemId === entry.itemId);
  if (own.length > 0) return own.map(({ id }) => changed(id, fields));
  return opsForListing(trip, { ...lineOfEntry(entry), ...fields }, context);
}

/** Ticks a line, or takes the tick off. Every line of the same thing goes with it: two phones may have written one each. */
export function opsForTicking(
  lines: readonly PurchaseRow[],
  state: 'basket' | 'wanted' | 'not_there',
  by: string | null,
  { now }: OpContext,
): Op[] {
  const fields = state === 'wanted' ? { byPersonId: null, atInstant: null } : { byPersonId: by, atInstant: now };
  return lines.filter((line) => line.state !== 'put_away').map(({ id }) => changed(id, { state, ...fields }));
}

/**
 * A price that was paid for one pack: on the line, and on the item, so that the next list knows it.
 * @param item null for a line without a thing of the home
 */
export function opsForPrice(line: PurchaseRow, item: ItemRow | null, priceMinor: number | null): Op[] {
  const ops: Op[] = [changed(line.id, { priceMinor })];
  if (item === null || priceMinor === null) return ops;
  const amountThousandths = line.packThousandths ?? 1000;
  const isSame = (pack: Pack): boolean => pack.shopId === line.shopId && pack.amountThousandths === amountThousandths;
  const others = (item.packs ?? []).filter((pack) => !isSame(pack));
  const packs = [...others, { shopId: line.shopId, amountThousandths, priceMinor }].slice(-20);
  return [...ops, { op: 'change', entity: 'item', id: item.id, fields: { packs } }];
}

export interface PutAway {
  nookId: string;
  amountThousandths: number;
  expiresOn: CivilDate | null;
  dateKind: LotFields['dateKind'];
  packSize: LotFields['packSize'];
  batch?: string | null;
  /** Frozen on this day; null: it is not frozen, or was bought so and keeps the date on it. */
  frozenOn?: CivilDate | null;
}

/**
 * What was bought goes to its places, and its line is done: in one command, so that a second person's is refused as a whole.
 * @param parts into one or several places; amounts above 0
 * @param present the lots there are of the item, to add to one of the same date
 */
export function opsForPuttingAway(
  lines: readonly PurchaseRow[],
  item: ItemRow,
  parts: readonly PutAway[],
  present: readonly LotRow[],
  context: OpContext,
): Op[] {
  const done = lines.map(({ id }) => changed(id, { state: 'put_away' }));
  const put = parts.flatMap(({ amountThousandths, batch = null, frozenOn = null, ...place }) => {
    if (amountThousandths <= 0) return [];
    const fields: LotFields = {
      itemId: item.id,
      ...place,
      batch,
      openedOn: null,
      frozenOn,
      note: '',
    };
    const there = present.filter(({ nookId }) => nookId === place.nookId);
    return opsForPuttingIn(fields, amountThousandths, there, context);
  });
  return [...done, ...put];
}
