import { recordLine } from './recordLine';
import type { RecordedLine } from './lineReading';

const TODAY = '2026-11-24';
type Want = Partial<Omit<RecordedLine, 'text' | 'packSize'>> & { size?: string };
type Case = [line: string, want: Want];

const sizeOf = (card: RecordedLine): string =>
  card.packSize ? `${card.packSize.amountThousandths / 1000} ${card.packSize.unit}` : '-';

function check(line: string, order: 'dmy' | 'mdy' | null, { size, ...want }: Want): void {
  const card = recordLine(line, { order, today: TODAY });
  expect(card).toMatchObject(want);
  if (size !== undefined) expect(sizeOf(card)).toBe(size);
  expect(card.text).toBe(line);
}

const n = (count: number): number => Math.round(count * 1000);

const QUANTITIES: Case[] = [
  ['rice', { name: 'rice', quantityThousandths: n(1), quantityGiven: false }],
  ['6 tins tomatoes', { name: 'tomatoes', unit: 'tin', quantityThousandths: n(6) }],
  ['1 tin tomatoes', { name: 'tomatoes', unit: 'tin', quantityThousandths: n(1) }],
  ['1 tin of tomatoes', { name: 'tomatoes', unit: 'tin' }],
  ['a tin of pike', { name: 'pike', unit: 'tin', quantityThousandths: n(1) }],
  ['2 bath towels white', { name: 'bath towels white', unit: null, quantityThousandths: n(2) }],
  ['two bath towels', { name: 'bath towels', quantityThousandths: n(2) }],
  ['twelve candles', { name: 'candles', quantityThousandths: n(12) }],
  ['a dozen eggs', { name: 'eggs', quantityThousandths: n(12) }],
  ['2 dozen eggs', { name: 'eggs', quantityThousandths: n(24) }],
  ['half a dozen eggs', { name: 'eggs', quantityThousandths: n(6) }],
  ['half dozen eggs', { name: 'eggs', quantityThousandths: n(6) }],
  ['half a loaf rye', { name: 'rye', unit: 'loaf', quantityThousandths: n(0.5) }],
  ['1/2 cabbage', { name: 'cabbage', quantityThousandths: n(0.5) }],
  ['½ cabbage', { name: 'cabbage', quantityThousandths: n(0.5) }],
  ['1 1/2 boxes candles', { name: 'candles', unit: 'box', quantityThousandths: n(1.5) }],
  ['1½ boxes candles', { name: 'candles', unit: 'box', quantityThousandths: n(1.5) }],
  ['2.5 bags charcoal', { name: 'charcoal', unit: 'bag', quantityThousandths: n(2.5) }],
  ['2,5 bags charcoal', { name: 'charcoal', unit: 'bag', quantityThousandths: n(2.5) }],
  ['0.125 bags salt', { name: 'salt', quantityThousandths: 125 }],
  ['6x tea lights', { name: 'tea lights', quantityThousandths: n(6) }],
  ['6 x tea lights', { name: 'tea lights', quantityThousandths: n(6) }],
  ['6× tea lights', { name: 'tea lights', quantityThousandths: n(6) }],
  ['tea lights x6', { name: 'tea lights', quantityThousandths: n(6) }],
  ['tea lights 6x', { name: 'tea lights', quantityThousandths: n(6) }],
  ['tea lights x 6', { name: 'tea lights', quantityThousandths: n(6) }],
  ['tea lights 3 packs', { name: 'tea lights', unit: 'pack', quantityThousandths: n(3) }],
  ['3 pkts yeast', { name: 'yeast', unit: 'pack', quantityThousandths: n(3) }],
  ['3 pkt yeast', { name: 'yeast', unit: 'pack', quantityThousandths: n(3) }],
  ['4 pcs soap', { name: 'soap', unit: 'piece' }],
  ['4 pc soap', { name: 'soap', unit: 'piece' }],
  ['2 loaves rye bread', { name: 'rye bread', unit: 'loaf', quantityThousandths: n(2) }],
  ['3 bunches dill', { name: 'dill', unit: 'bunch' }],
  ['12 rolls toilet paper', { name: 'toilet paper', unit: 'roll', quantityThousandths: n(12) }],
  ['2 pairs wool socks', { name: 'wool socks', unit: 'pair' }],
  ['1 set sheets blue', { name: 'sheets blue', unit: 'set' }],
  ['2 box files', { name: 'box files', unit: null, quantityThousandths: n(2) }],
  ['3 jar lids', { name: 'jar lids', unit: null, quantityThousandths: n(3) }],
  ['5 rolls', { name: 'rolls', unit: null, quantityThousandths: n(5) }],
  ['2 sheets', { name: 'sheets', quantityThousandths: n(2) }],
  ['4 portions pea soup', { name: 'pea soup', unit: 'portion', quantityThousandths: n(4) }],
  ['100 tablets pain relief', { name: 'pain relief', unit: 'tablet', quantityThousandths: n(100) }],
  ['3 tubes toothpaste', { name: 'toothpaste', unit: 'tube' }],
  ['2 cartons oat drink', { name: 'oat drink', unit: 'carton' }],
  ['7 bars soap', { name: 'soap', unit: 'bar' }],
  ['1000 screws', { name: 'screws', quantityThousandths: n(1000) }],
];

const MEASURES: Case[] = [
  ['6 tins tomatoes 400 g', { name: 'tomatoes', unit: 'tin', quantityThousandths: n(6), size: '400 g' }],
  ['6 tins tomatoes 400g', { name: 'tomatoes', size: '400 g' }],
  ['6 tins 400 g tomatoes', { name: 'tomatoes', unit: 'tin', quantityThousandths: n(6), size: '400 g' }],
  ['6 x 400 g tomatoes', { name: 'tomatoes', quantityThousandths: n(6), size: '400 g' }],
  ['6x400g tomatoes', { name: 'tomatoes', quantityThousandths: n(6), size: '400 g' }],
  ['6 x 400g tins tomatoes', { name: 'tomatoes', unit: 'tin', quantityThousandths: n(6), size: '400 g' }],
  ['2×330 ml elderflower', { name: 'elderflower', quantityThousandths: n(2), size: '330 ml' }],
  ['elderflower 6x330ml', { name: 'elderflower', quantityThousandths: n(6), size: '330 ml' }],
  ['2 kg rice', { name: 'rice', unit: 'kg', quantityThousandths: n(2), size: '-' }],
  ['2kg rice', { name: 'rice', unit: 'kg', quantityThousandths: n(2) }],
  ['1.5 kg rye flour', { name: 'rye flour', unit: 'kg', quantityThousandths: n(1.5) }],
  ['1,5 kg rye flour', { name: 'rye flour', unit: 'kg', quantityThousandths: n(1.5) }],
  ['500 g butter', { name: 'butter', unit: 'g', quantityThousandths: n(500) }],
  ['500 grams of butter', { name: 'butter', unit: 'g' }],
  ['2 kilos potatoes', { name: 'potatoes', unit: 'kg' }],
  ['rice 2 kg', { name: 'rice', quantityThousandths: n(1), size: '2 kg' }],
  ['milk 1 l', { name: 'milk', quantityThousandths: n(1), size: '1 l' }],
  ['milk 1l', { name: 'milk', size: '1 l' }],
  ['milk 1 litre', { name: 'milk', size: '1 l' }],
  ['milk 1.5 liters', { name: 'milk', size: '1.5 l' }],
  ['3 milk 1 l', { name: 'milk', quantityThousandths: n(3), size: '1 l' }],
  ['2 lb carrots', { name: 'carrots', unit: 'lb', quantityThousandths: n(2) }],
  ['2 lbs carrots', { name: 'carrots', unit: 'lb' }],
  ['4 cans beans 15 oz', { name: 'beans', unit: 'can', size: '15 oz' }],
  ['4 cans beans 15.5oz', { name: 'beans', size: '15.5 oz' }],
  ['cream 8 fl oz', { name: 'cream', size: '8 fl oz' }],
  ['cream 8 fl. oz', { name: 'cream', size: '8 fl oz' }],
  ['2 bottles lamp oil 1 qt', { name: 'lamp oil', unit: 'bottle', size: '1 qt' }],
  ['1 gallon vinegar', { name: 'vinegar', unit: 'gal', quantityThousandths: n(1) }],
  ['cord 20 m', { name: 'cord', size: '20 m' }],
  ['10 m cord', { name: 'cord', unit: 'm', quantityThousandths: n(10) }],
  ['2 jars honey 500 g each', { name: 'honey', unit: 'jar', size: '500 g' }],
  // A strength tells which thing it is, not how much of it there is.
  ['pain relief 500 mg', { name: 'pain relief 500 mg', size: '-' }],
  ['7 pike fillets 300 g', { name: 'pike fillets', quantityThousandths: n(7), size: '300 g' }],
  ['detergent 75 cl', { name: 'detergent', size: '75 cl' }],
  ['bulb 60w warm', { name: 'bulb 60w warm', size: '-' }],
  ['flour type 405 1 kg', { name: 'flour type 405', size: '1 kg' }],
];

const DATES_DAY_FIRST: Case[] = [
  [
    '6 tins tomatoes 400 g exp 3/27',
    { name: 'tomatoes', expiresOn: '2027-03-31', expiryPrecision: 'month', dateKind: 'best_before', size: '400 g' },
  ],
  ['tomatoes exp 03/2027', { expiresOn: '2027-03-31', expiryPrecision: 'month' }],
  ['tomatoes exp 03.2027', { expiresOn: '2027-03-31' }],
  ['tomatoes exp 2027-03', { expiresOn: '2027-03-31' }],
  ['tomatoes exp 2027-03-05', { expiresOn: '2027-03-05', expiryPrecision: 'day' }],
  ['tomatoes exp 5/3/27', { expiresOn: '2027-03-05' }],
  ['tomatoes exp 5.3.2027', { expiresOn: '2027-03-05' }],
  ['tomatoes exp 05-03-27', { expiresOn: '2027-03-05' }],
  ['tomatoes exp 25/3', { expiresOn: '2027-03-25' }],
  ['tomatoes exp 3/4', { expiresOn: '2027-04-03' }],
  ['tomatoes exp 12 mar', { expiresOn: '2027-03-12', name: 'tomatoes' }],
  ['tomatoes exp mar 12', { expiresOn: '2027-03-12' }],
  ['tomatoes exp 12 march 2027', { expiresOn: '2027-03-12' }],
  ['tomatoes exp 12 mar 28', { expiresOn: '2028-03-12' }],
  ['tomatoes exp mar 2027', { expiresOn: '2027-03-31', expiryPrecision: 'month' }],
  ['tomatoes exp march', { expiresOn: '2027-03-31' }],
  ['tomatoes exp feb 2028', { expiresOn: '2028-02-29' }],
  ['tomatoes exp 2/28', { expiresOn: '2028-02-29' }],
  ['tomatoes exp 2028', { expiresOn: '2028-12-31', expiryPrecision: 'year' }],
  ['tomatoes exp tomorrow', { expiresOn: '2026-11-25' }],
  ['tomatoes exp today', { expiresOn: '2026-11-24' }],
  ['tomatoes exp in 3 days', { expiresOn: '2026-11-27', name: 'tomatoes' }],
  ['tomatoes exp in 2 weeks', { expiresOn: '2026-12-08' }],
  ['tomatoes exp in a month', { expiresOn: '2026-12-24' }],
  ['tomatoes exp in 1 year', { expiresOn: '2027-11-24' }],
  ['tomatoes exp fri', { expiresOn: '2026-11-27' }],
  ['tomatoes exp: 3/27', { expiresOn: '2027-03-31' }],
  ['tomatoes expires 3/27', { expiresOn: '2027-03-31' }],
  ['tomatoes expires on 25/3/27', { expiresOn: '2027-03-25' }],
  ['tomatoes bb 3/27', { expiresOn: '2027-03-31', dateKind: 'best_before' }],
  ['tomatoes bbe mar 2027', { expiresOn: '2027-03-31' }],
  ['tomatoes best before 25.03.2027', { expiresOn: '2027-03-25', name: 'tomatoes' }],
  ['tomatoes best before end 3/27', { expiresOn: '2027-03-31', name: 'tomatoes' }],
  ['tomatoes best by 3/27', { expiresOn: '2027-03-31' }],
  ['smoked trout use by tomorrow', { name: 'smoked trout', expiresOn: '2026-11-25', dateKind: 'use_by' }],
  ['smoked trout use-by 27.11.', { expiresOn: '2026-11-27', dateKind: 'use_by' }],
  ['smoked trout ub 27/11', { expiresOn: '2026-11-27', dateKind: 'use_by' }],
  ['ham until sat', { name: 'ham', expiresOn: '2026-11-28' }],
  ['exp 3/27 tomatoes', { name: 'tomatoes', expiresOn: '2027-03-31' }],
  ['yeast 12.03.2027', { name: 'yeast', expiresOn: '2027-03-12' }],
  ['yeast 03/2027', { name: 'yeast', expiresOn: '2027-03-31' }],
  ['yeast 3/27', { name: 'yeast', expiresOn: '2027-03-31' }],
  ['milk 1 l opened today', { name: 'milk', size: '1 l', openedOn: TODAY, expiresOn: null }],
  ['milk 1 l opened', { name: 'milk', openedOn: TODAY }],
  ['milk opened yesterday', { openedOn: '2026-11-23' }],
  ['milk opened 3 days ago', { openedOn: '2026-11-21', name: 'milk' }],
  ['milk opened sun', { openedOn: '2026-11-22' }],
  ['milk opened 20/11', { openedOn: '2026-11-20' }],
  ['milk opened 20 nov', { openedOn: '2026-11-20' }],
  ['milk opened 2 dec', { openedOn: '2025-12-02' }],
  ['milk opened today exp 1/12', { openedOn: TODAY, expiresOn: '2026-12-01' }],
  ['4 portions pea soup frozen', { name: 'pea soup', frozenOn: TODAY, quantityThousandths: n(4) }],
  ['pea soup frozen 21 aug', { name: 'pea soup', frozenOn: '2026-08-21' }],
  ['pea soup frozen 21.8.', { frozenOn: '2026-08-21' }],
  ['2 bags frozen peas 750 g', { name: 'frozen peas', unit: 'bag', frozenOn: null, size: '750 g' }],
  ['frozen berries', { name: 'frozen berries', frozenOn: null }],
];

const DATES_MONTH_FIRST: Case[] = [
  ['tomatoes exp 3/5/27', { expiresOn: '2027-03-05' }],
  ['tomatoes exp 12/31/2026', { expiresOn: '2026-12-31' }],
  ['tomatoes exp 3/2027', { expiresOn: '2027-03-31' }],
  ['tomatoes exp 3/4', { expiresOn: '2027-03-04' }],
  [
    'tomatoes exp 3/31',
    { questions: expect.arrayContaining([expect.objectContaining({ kind: 'which_date' })]) as never },
  ],
  [
    'tomatoes exp 3/27',
    {
      expiresOn: null,
      questions: [
        {
          kind: 'which_date',
          field: 'expiresOn',
          written: '3/27',
          options: [
            { on: '2027-03-27', precision: 'day' },
            { on: '2027-03-31', precision: 'month' },
          ],
        },
      ],
    },
  ],
  ['tomatoes exp mar 12', { expiresOn: '2027-03-12' }],
  ['tomatoes exp 12 mar', { expiresOn: '2027-03-12' }],
  ['tomatoes exp march 5, 2027', { expiresOn: '2027-03-05', name: 'tomatoes' }],
  ['tomatoes exp 2027-03-05', { expiresOn: '2027-03-05' }],
  ['milk opened 11/20', { openedOn: '2026-11-20' }],
  ['milk 1/2 gal opened 11/22', { openedOn: '2026-11-22' }],
  [
    'ham use by 11/28',
    {
      questions: [
        {
          kind: 'which_date',
          field: 'expiresOn',
          written: '11/28',
          options: [
            { on: '2026-11-28', precision: 'day' },
            { on: '2028-11-30', precision: 'month' },
          ],
        },
      ],
    },
  ],
  ['ham use by 11/28/26', { expiresOn: '2026-11-28', dateKind: 'use_by' }],
  ['4 cans beans 15 oz exp 06/2028', { name: 'beans', expiresOn: '2028-06-30', size: '15 oz' }],
];

const ambiguous = (written: string, ...on: string[]): Want => ({
  expiresOn: null,
  questions: [
    {
      kind: 'which_date',
      field: 'expiresOn',
      written,
      options: on.map((day) => expect.objectContaining({ on: day }) as never),
    },
  ],
});
const ASKED_WITHOUT_ORDER: Case[] = [
  ['tomatoes exp 3/4/27', ambiguous('3/4/27', '2027-04-03', '2027-03-04')],
  ['tomatoes exp 5.6.2027', ambiguous('5.6.2027', '2027-06-05', '2027-05-06')],
  ['tomatoes exp 3/4', ambiguous('3/4', '2027-04-03', '2027-03-04')],
  ['tomatoes exp 4/4/27', { expiresOn: '2027-04-04', questions: [] }],
  ['tomatoes exp 25/3/27', { expiresOn: '2027-03-25', questions: [] }],
  ['tomatoes exp 3/25/27', { expiresOn: '2027-03-25', questions: [] }],
  ['tomatoes exp 3/27', ambiguous('3/27', '2027-03-27', '2027-03-31')],
  ['tomatoes exp 2027-03-04', { expiresOn: '2027-03-04', questions: [] }],
  ['tomatoes exp 12 mar', { expiresOn: '2027-03-12', questions: [] }],
];
const ASKED_DAY_FIRST: Case[] = [
  ['tomatoes exp mar 27', ambiguous('mar 27', '2027-03-27', '2027-03-31')],
  ['tomatoes exp 20/11', ambiguous('20/11', '2027-11-20', '2026-11-20')],
  ['tomatoes exp 20 nov', ambiguous('20 nov', '2027-11-20', '2026-11-20')],
  ['tomatoes exp 27-03-04', ambiguous('27-03-04', '2004-03-27', '2027-03-04')],
  [
    'tomatoes exp 45/3',
    { expiresOn: null, questions: [{ kind: 'date_unreadable', field: 'expiresOn', written: '45/3' }] },
  ],
  [
    'tomatoes exp 31/2/27',
    { expiresOn: null, questions: [{ kind: 'date_unreadable', field: 'expiresOn', written: '31/2/27' }] },
  ],
  ['tomatoes exp 99', { expiresOn: null, questions: [{ kind: 'date_unreadable', field: 'expiresOn', written: '99' }] }],
  [
    'printer ink 12',
    {
      name: 'printer ink 12',
      quantityGiven: false,
      questions: [{ kind: 'number_in_name', written: '12', thousandths: n(12) }],
    },
  ],
  [
    'paint 7035',
    { name: 'paint 7035', questions: [{ kind: 'number_in_name', written: '7035', thousandths: n(7035) }] },
  ],
];

const ACTIONS: Case[] = [
  ['-1 rice', { action: 'take', name: 'rice', quantityThousandths: n(1) }],
  ['−1 rice', { action: 'take', name: 'rice' }],
  ['- 2 rice', { action: 'take', name: 'rice', quantityThousandths: n(2) }],
  ['-2 tins tomatoes', { action: 'take', unit: 'tin', name: 'tomatoes', quantityThousandths: n(2) }],
  ['-0.5 kg rice', { action: 'take', unit: 'kg', quantityThousandths: n(0.5) }],
  ['-500g rice', { action: 'take', unit: 'g', quantityThousandths: n(500) }],
  ['+3 candles', { action: 'put_in', name: 'candles', quantityThousandths: n(3) }],
  ['+ rice', { action: 'put_in', name: 'rice' }],
  ['=5 candles', { action: 'count', name: 'candles', quantityThousandths: n(5) }],
  ['= 0 candles', { action: 'count', name: 'candles', quantityThousandths: 0 }],
  ['took 2 candles', { action: 'take', name: 'candles', quantityThousandths: n(2) }],
  ['take one candle', { action: 'take', name: 'candle' }],
  ['used 200 g flour', { action: 'take', unit: 'g', name: 'flour' }],
  ['used tyres', { action: 'put_in', name: 'used tyres' }],
  ['put 3 candles', { action: 'put_in', name: 'candles', quantityThousandths: n(3) }],
  ['new potatoes', { action: 'put_in', name: 'new potatoes' }],
  ['count 5 candles', { action: 'count', quantityThousandths: n(5) }],
  ['5 candles left', { action: 'count', name: 'candles', quantityThousandths: n(5) }],
  ['bought 2 kg rice', { action: 'put_in', unit: 'kg', name: 'rice' }],
];

const PLACES_AND_TAGS: Case[] = [
  ['3 lanterns #midsummer', { name: 'lanterns', tags: ['midsummer'] }],
  ['#party 12 glasses #fragile', { name: 'glasses', tags: ['party', 'fragile'], quantityThousandths: n(12) }],
  ['glass hooks #Café', { tags: ['café'] }],
  ['issue # 5', { tags: [] }],
  ['3 lanterns @nothing', { name: 'lanterns @nothing', placeKey: null }],
  ['t-shirts', { name: 't-shirts', placeKey: null }],
  ['x-ray apron', { name: 'x-ray apron', placeKey: null }],
];

const KEPT_AS_TYPED: Case[] = [
  ['', { understood: false, name: '' }],
  ['   ', { understood: false }],
  ['12', { understood: false }],
  ['exp 3/27', { understood: false, expiresOn: '2027-03-31' }],
  ['???', { understood: false }],
  ['400 g', { understood: false }],
  ['-1', { understood: false }],
  ['#party', { understood: false, tags: ['party'] }],
  ['mhd brown lense', { understood: true, name: 'mhd brown lense' }],
  [`${'long '.repeat(60)}rope`, { understood: false }],
  ['søm og skruer', { understood: true, name: 'søm og skruer' }],
  ['🕯', { understood: false }],
  ['2 🕯 candles', { understood: true, name: '🕯 candles', quantityThousandths: n(2) }],
];

describe('recordLine', () => {
  describe('how many', () => it.each(QUANTITIES)('%s', (line, want) => check(line, 'dmy', want)));
  describe('how many, month first', () => it.each(QUANTITIES)('%s', (line, want) => check(line, 'mdy', want)));
  describe('how much and what size', () => it.each(MEASURES)('%s', (line, want) => check(line, 'dmy', want)));
  describe('dates, day first', () => it.each(DATES_DAY_FIRST)('%s', (line, want) => check(line, 'dmy', want)));
  describe('dates, month first', () => it.each(DATES_MONTH_FIRST)('%s', (line, want) => check(line, 'mdy', want)));
  describe('dates, order not set', () => it.each(ASKED_WITHOUT_ORDER)('%s', (line, want) => check(line, null, want)));
  describe('asked, never guessed', () => it.each(ASKED_DAY_FIRST)('%s', (line, want) => check(line, 'dmy', want)));
  describe('take, put, count', () => it.each(ACTIONS)('%s', (line, want) => check(line, 'dmy', want)));
  describe('tags', () => it.each(PLACES_AND_TAGS)('%s', (line, want) => check(line, 'dmy', want)));
  describe('kept as typed', () => it.each(KEPT_AS_TYPED)('%s', (line, want) => check(line, 'dmy', want)));
});
