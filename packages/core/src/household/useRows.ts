import { addScaled, carryOn, dayNumberOf, emptyDigest, noteEvent, noteLot, readDigest, writeDigest } from '../use';
import type { UseDigest } from '../use';
import { bookOfLot, compareEventKeys, liveEvents, type LedgerEvent } from './ledger';
import type { EntityKind, ItemRow, LotBalance, RowOf, UseRow } from './registry';

/** Where the version of a UUID stands, and the one that is free for ids made from others (RFC 9562, version 8). */
const VERSION_AT = 14;
const OWN_VERSION = '8';

/** The id of an item's row of use: the item's own, marked. An id is given out once among all kinds. */
export const useIdOf = (itemId: string): string =>
  itemId.slice(0, VERSION_AT) + OWN_VERSION + itemId.slice(VERSION_AT + 1);

/**
 * How a thing was put in and used, as text for `readDigest`; with what happened while it was kept in another unit.
 * Empty: nothing happened.
 */
export function digestOf(
  rows: { get<K extends EntityKind>(entity: K, id: string): RowOf[K] | undefined },
  item: ItemRow,
): string {
  const own = rows.get('use', useIdOf(item.id))?.digest ?? '';
  const before = (item.before ?? []).flatMap(({ itemId, each }) => {
    const digest = rows.get('use', useIdOf(itemId))?.digest ?? '';
    return digest === '' ? [] : [{ digest, each }];
  });
  if (before.length === 0) return own;
  const sum = readDigest(own);
  for (const { digest, each } of before) addScaled(sum, readDigest(digest), each);
  return writeDigest(sum);
}

const rowOf = (known: UseRow | undefined, itemId: string, digest: UseDigest): UseRow => ({
  id: useIdOf(itemId),
  seq: 0,
  retired: false,
  ...known,
  itemId,
  digest: writeDigest(digest),
});

/**
 * An item's row of use after one more event of one of its lots, from nothing but what the lot's row says. Exact for events in
 * order, and for late ones that are no counts and have at most one count after them; a late count is left to who has the history.
 *
 * @param known the row so far; undefined: there was none
 * @param lot as it was before the event
 */
export function continueUse(known: UseRow | undefined, itemId: string, lot: LotBalance, event: LedgerEvent): UseRow {
  const digest = readDigest(known?.digest ?? '');
  carryOn(digest, dayNumberOf(event.occurredAt));
  const { countedAt } = lot;
  const countDayAfter = (key: { occurredAt: string; id: string }): number | null =>
    countedAt && compareEventKeys(key, countedAt) < 0 ? dayNumberOf(countedAt.occurredAt) : null;
  if (event.kind === 'voided') {
    const { undone, voids } = event;
    if (undone && voids !== null) {
      noteEvent(digest, undone, undone.again ? 1 : -1, {
        bookThousandths: undone.bookThousandths ?? 0,
        nextCountDay: countDayAfter({ occurredAt: undone.occurredAt, id: voids }),
      });
    }
  } else {
    const nextCountDay = countDayAfter(event);
    if (event.kind !== 'counted' || nextCountDay === null) {
      noteEvent(digest, { ...event, kind: event.kind }, 1, { bookThousandths: bookOfLot(lot), nextCountDay });
    }
  }
  return rowOf(known, itemId, digest);
}

/**
 * An item's row of use after one of its lots got another history. Exact whatever the order in which events came.
 * @param before all that was known of the lot; empty when it was none of the item's
 * @param after all that is known now; empty when it is none of the item's any more
 */
export function refoldUse(
  known: UseRow | undefined,
  itemId: string,
  before: readonly LedgerEvent[],
  after: readonly LedgerEvent[],
): UseRow {
  const digest = readDigest(known?.digest ?? '');
  for (const { occurredAt } of after) carryOn(digest, dayNumberOf(occurredAt));
  noteLot(digest, liveEvents(before), -1);
  noteLot(digest, liveEvents(after), 1);
  return rowOf(known, itemId, digest);
}

/** An item's row of use from the whole history of each of its lots. */
export function rebuildUse(itemId: string, lots: Iterable<readonly LedgerEvent[]>): UseRow {
  const digest = emptyDigest();
  const histories = [...lots];
  for (const events of histories) for (const { occurredAt } of events) carryOn(digest, dayNumberOf(occurredAt));
  for (const events of histories) noteLot(digest, liveEvents(events), 1);
  return rowOf(undefined, itemId, digest);
}
