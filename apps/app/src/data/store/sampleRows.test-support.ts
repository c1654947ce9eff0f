import type { ChangePage } from '@ours/contracts';
import { writeCode, type TaggedRow } from '@ours/core';

export const ID = {
  home: '019ab2f0-0000-7000-8000-000000000001',
  loft: '019ab2f0-0000-7000-8000-000000000002',
  rack: '019ab2f0-0000-7000-8000-000000000003',
  shelf: '019ab2f0-0000-7000-8000-000000000004',
  bin: '019ab2f0-0000-7000-8000-000000000005',
  item: '019ab2f0-0000-7000-8000-000000000006',
  lot: '019ab2f0-0000-7000-8000-000000000007',
} as const;

const base = (id: string, seq = 1) => ({ id, seq, retired: false });

/** A rack with one bin and 24 lanterns in it, as the server would send it. */
export const sampleRows = (): TaggedRow[] => [
  { entity: 'household', row: { ...base(ID.home), name: 'Ferry house', lengthUnit: 'metric', dateOrder: 'dmy' } },
  { entity: 'room', row: { ...base(ID.loft), name: 'Boat loft', sort: 0 } },
  {
    entity: 'space',
    row: {
      ...base(ID.rack),
      roomId: ID.loft,
      name: 'Rack 1',
      kind: 'storage_rack',
      code: writeCode('BL1', ''),
      widthTenthMm: 18000,
      heightTenthMm: 21000,
      depthTenthMm: 5000,
      postWidthTenthMm: 350,
      locked: false,
      note: '',
      sort: 0,
    },
  },
  {
    entity: 'shelf',
    row: {
      ...base(ID.shelf),
      spaceId: ID.rack,
      name: '',
      kind: 'shelf',
      code: writeCode('BL1', 'A'),
      sort: 0,
      leftTenthMm: null,
      bottomTenthMm: null,
      widthTenthMm: null,
      heightTenthMm: null,
      depthTenthMm: null,
    },
  },
  {
    entity: 'bin',
    row: {
      ...base(ID.bin),
      shelfId: ID.shelf,
      parentBinId: null,
      name: 'paper lanterns',
      look: 'see_through',
      hasLid: true,
      code: writeCode('BL1', 'A1'),
      sort: 0,
      leftTenthMm: null,
      widthTenthMm: null,
      heightTenthMm: null,
      depthTenthMm: null,
      tags: [],
    },
  },
  {
    entity: 'item',
    row: {
      ...base(ID.item),
      name: 'Paper lantern',
      category: '',
      unit: 'piece',
      synonyms: ['lampion'],
      tags: ['midsummer'],
      lowAtThousandths: null,
      openedDays: null,
      freezerMonths: null,
    },
  },
  { entity: 'lot', row: lotRow(24, 1) },
];

export const lotRow = (quantity: number, seq: number) => ({
  ...base(ID.lot, seq),
  itemId: ID.item,
  nookId: ID.bin,
  packSize: null,
  expiresOn: null,
  dateKind: null,
  openedOn: null,
  frozenOn: null,
  note: '',
  quantityThousandths: quantity * 1000,
  pleaseCount: false,
  countedAt: null,
  lastAt: null,
});

/** A page of the feed, the last one unless `more` says otherwise. */
export const feedPage = (seq: number, rows: TaggedRow[] = [], more: Partial<ChangePage> = {}): ChangePage => ({
  seq,
  cursor: null,
  generation: 'one',
  now: new Date().toISOString(),
  rows,
  ...more,
});
