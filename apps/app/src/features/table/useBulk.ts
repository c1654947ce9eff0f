import {
  linesOfTrip,
  opsForDiscarding,
  opsForListing,
  opsForMoving,
  opsForUnit,
  opsForWanting,
  type ItemRow,
  type Op,
} from '@ours/core';
import { useMemo } from 'react';
import { useToast } from '@/kit/feedback/Toasts';
import { counted } from '@/kit/text/counted';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useRunMany } from '@/shared/useRunMany';
import type { Outlook } from '@/features/restock';
import type { StockRow } from './stockRows';

/** What is done with many rows at once; each can be taken back as one. */
export function useBulk(outlook: Outlook | null) {
  const { store } = useHouseholdContext();
  const toast = useToast();
  const { runMany, underWay } = useRunMany();
  // The same from one drawing to the next, so that what offers it is not drawn in vain.
  return useMemo(
    () => ({ ...bulkDeeds(store, outlook, toast, runMany), underWay }),
    [store, outlook, toast, runMany, underWay],
  );
}

function bulkDeeds(
  store: ReturnType<typeof useHouseholdContext>['store'],
  outlook: Outlook | null,
  toast: ReturnType<typeof useToast>,
  runMany: ReturnType<typeof useRunMany>['runMany'],
) {
  const many = (count: number): string => counted(count, { one: '# row', other: '# rows' });
  const recategorise = (items: readonly ItemRow[], category: string): void =>
    void runMany(
      'item_changed',
      items.map(
        ({ id, category: before }) =>
          (): Op[] =>
            before === category ? [] : [{ op: 'change', entity: 'item', id, fields: { category } }],
      ),
      (done) => `${category || 'No category'}: ${counted(done, { one: '# thing', other: '# things' })}.`,
    );
  return {
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
    /** @param eachFor how much of the new unit one of a thing's is; null: nobody can say */
    keepIn: (rows: readonly StockRow[], unit: string, eachFor: (from: string) => number | null): void => {
      const things = thingsOf(rows).filter(({ item }) => item.unit !== unit);
      const able = things.flatMap(({ item }) => {
        const each = eachFor(item.unit);
        return each === null || !opsForUnit(store.state, item, unit, each, opContext()).ok ? [] : [{ item, each }];
      });
      const rest = things.length - able.length;
      const stay =
        rest === 0 ? '' : ` ${counted(rest, { one: '# stays', other: '# stay' })} as before: open them one by one.`;
      if (able.length === 0)
        return toast({ text: `None of them can be kept in ${unit} like that.${stay}`, problem: true });
      void runMany(
        'unit_changed',
        able.map(({ item, each }) => (): Op[] => {
          const changed = opsForUnit(store.state, item, unit, each, opContext());
          return changed.ok ? changed.ops : [];
        }),
        (done) => `Kept in ${unit}: ${counted(done, { one: '# thing', other: '# things' })}.${stay}`,
      );
    },
    categorise: (rows: readonly StockRow[], category: string): void =>
      recategorise(
        thingsOf(rows).map(({ item }) => item),
        category,
      ),
    recategorise,
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
