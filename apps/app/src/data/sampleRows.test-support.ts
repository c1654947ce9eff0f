import { writeCode, type TaggedRow } from '@ours/core';

const base = (id: string, seq = 1) => ({ id, seq, retired: false });

/** A rack with one bin and 24 lanterns in it, as the server would send it. */
export const sampleRows = (): TaggedRow[] => [
  { entity: 'household', row: { ...base('home'), name: 'Ferry house', lengthUnit: 'metric', dateOrder: 'dmy' } },
  { entity: 'room', row: { ...base('loft'), name: 'Boat loft', sort: 0 } },
  {
    entity: 'space',
    row: {
      ...base('rack'),
      roomId: 'loft',
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
      ...base('shelf'),
      spaceId: 'rack',
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
      ...base('bin'),
      shelfId: 'shelf',
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
      ...base('item'),
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
  ...base('lot', seq),
  itemId: 'item',
  nookId: 'bin',
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
