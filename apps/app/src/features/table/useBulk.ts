import { linesOfTrip, opsForDiscarding, opsForListing, opsForMoving, opsForWanting, type Op } from '@ours/core';
import { counted } from '@/kit/text/counted';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunMany } from '@/shared/useRunMany';
import type { Outlook } from '@/features/restock';
import type { StockRow } from './stockRows';

/** What is done with many rows at once; each can be taken back as one. */
export function useBulk(outlook: Outlook | null) {
  const { store } = useHouseholdContext();
  const { runMany, underWay } = useRunMany();
  const many = (count: number): string => counted(count, { one: '# row', other: '# rows' });
  return {
    underWay,
    list: (rows: readonly StockRow[]): void => {
      if (!outlook) return;
      const { trip } = outlook;
      const lines = linesOfTrip(store.state, trip);
      void runMany(
        'list_changed',
        thingsOf(rows).map(({ item, entry }) => (): Op[] => {
          const packs = Math.max(1, entry?.packs ?? 1);
          return entry
            ? opsForWanting(trip, entry, lines, packs, opContext())
            : opsForListing(trip, { itemId: item.id, name: item.name, packs }, opContext());
        }),
        (done) => `On the list: ${counted(done, { one: '# thing', other: '# things' })}.`,
      );
    },
    move: (rows: readonly StockRow[], nookId: string, name: string): void =>
      void runMany(
        'stock_moved',
        rows.map(
          ({ lots }) =>
            () =>
              lots.flatMap((lot) =>
                opsForMoving(lot, lot.quantityThousandths, nookId, store.state.lotsIn(nookId), opContext()),
              ),
        ),
        (done) => `Moved: all of ${many(done)} to ${name}.`,
      ),
    give: (rows: readonly StockRow[]): void =>
      void runMany(
        'stock_discarded',
        rows.map(
          ({ lots }) =>
            () =>
              lots
                .filter(({ quantityThousandths }) => quantityThousandths > 0)
                .flatMap((lot) => opsForDiscarding(lot, lot.quantityThousandths, 'given_away', opContext())),
        ),
        (done) => `Given away: all of ${many(done)}.`,
      ),
    categorise: (rows: readonly StockRow[], category: string): void =>
      void runMany(
        'item_changed',
        thingsOf(rows).map(
          ({ item }) =>
            (): Op[] =>
              item.category === category ? [] : [{ op: 'change', entity: 'item', id: item.id, fields: { category } }],
        ),
        (done) => `${category || 'No category'}: ${counted(done, { one: '# thing', other: '# things' })}.`,
      ),
  };
}

/** Each thing once, though several of its lots are chosen. */
function thingsOf(rows: readonly StockRow[]): StockRow[] {
  const seen = new Set<string>();
  return rows.filter(({ item }) => {
    if (seen.has(item.id)) return false;
    seen.add(item.id);
    return true;
  });
}
