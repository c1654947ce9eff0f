import { addDays, rebuildUse, type ItemFields, type LedgerEvent, type TaggedRow } from '@ours/core';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { today } from '@/shared/opContext';

export const OTHER_BIN = '019ab2f0-0000-7000-8000-000000000015';

/**
 * The sample home with lanterns that are used one a day, bought each week and counted today.
 * @param left how many are there
 */
export function usedHome(left: number, item: Partial<ItemFields> = {}, lot: object = {}): TaggedRow[] {
  const day = today();
  const tell = (ago: number, kind: LedgerEvent['kind'], units: number, n: number): LedgerEvent => ({
    id: `e${String(n).padStart(4, '0')}`,
    lotId: ID.lot,
    kind,
    quantityThousandths: units * 1000,
    occurredAt: `${addDays(day, -ago)}T${kind === 'put_in' ? '01' : '02'}:00:00.000Z`,
    reason: null,
    voids: null,
  });
  const events = [
    ...Array.from({ length: 12 }, (_, week) => tell(84 - 7 * week, 'put_in', 7, week)),
    ...Array.from({ length: 84 }, (_, n) => tell(84 - n, 'taken', 1, 100 + n)),
    tell(0, 'put_in', left, 900),
    tell(0, 'counted', left, 901),
  ];
  const rows = sampleRows().map((tagged): TaggedRow => {
    if (tagged.entity === 'item') return { entity: 'item', row: { ...tagged.row, ...item } };
    return tagged.entity === 'lot' ? { entity: 'lot', row: { ...lotRow(left, 1), ...lot } } : tagged;
  });
  const bin = rows.find(({ entity }) => entity === 'bin')!;
  return [
    ...rows,
    { entity: 'bin', row: { ...bin.row, id: OTHER_BIN, name: 'reserve', code: 'BL1-A2T', sort: 1 } as never },
    { entity: 'use', row: rebuildUse(ID.item, [events]) },
  ];
}

/** Packs of two at €3.50. */
export const PACKS = [{ shopId: null, amountThousandths: 2000, priceMinor: 350 }];
