import { applyCommand } from '../household/applyCommand';
import { HouseholdState, type Op } from '../household';
import { AS_ADULT, itemFields, lotRow, sampleRows } from '../household/sampleHome.test-support';
import { columnsOfHead, meaningOf, STOCK_COLUMNS, type StockColumn } from './columns';
import { dateIn, dateOrderOf, decimalMarkOf, numberIn } from './habits';
import { opsForImport } from './importOps';
import { StockImport, type ImportHabits, type ImportHome, type RowDoes, type RowReading } from './importStock';

describe('numbers as tables write them', () => {
  it.each([
    [['1.5', '2'], '.', true],
    [['1,5', '2'], ',', true],
    [['1.250,00'], ',', true],
    [['1,250.00'], '.', true],
    [['1.234.567'], ',', true],
    [['0,250'], ',', true],
    // One thousand two hundred and fifty, or one and a quarter: nobody can tell.
    [['1,250', '3'], '.', false],
    [['3', 'none'], '.', false],
  ] as const)('%j: the mark is %s, proven %s', (cells, mark, proven) =>
    expect(decimalMarkOf(cells, '.')).toMatchObject({ value: mark, proven }),
  );
  it('where cells contradict each other nothing is proven, and both are named', () => {
    expect(decimalMarkOf(['2,5', '1,5', '1.5'], '.')).toEqual({
      value: ',',
      proven: false,
      because: '2,5',
      against: '1.5',
    });
    expect(dateOrderOf(['27.11.2026', '11/28/2026', '26.11.2026'], 'mdy')).toEqual({
      value: 'dmy',
      proven: false,
      because: '27.11.2026',
      against: '11/28/2026',
    });
    // The year in front is read in any order.
    expect(dateOrderOf(['27.11.2026', '2026-11-28'], 'dmy')).toMatchObject({ value: 'ymd', proven: false });
  });
  it('says which cell proves it', () => expect(decimalMarkOf(['1,250', '2,5'], '.').because).toBe('2,5'));

  // Outside check: as Intl.NumberFormat (CLDR) writes them in five languages they are read back.
  it.each(['en-GB', 'de-DE', 'fr-FR', 'sv-SE', 'de-CH'])('what %s writes is read back', (language) => {
    const mark = new Intl.NumberFormat(language).formatToParts(1.5).find(({ type }) => type === 'decimal')!.value as
      '.' | ',';
    for (const value of [0, 0.5, 1, 12.25, 999.999, 1234.5, 1_234_567.125])
      expect(numberIn(new Intl.NumberFormat(language, { maximumFractionDigits: 3 }).format(value), mark)).toBe(
        Math.round(value * 1000),
      );
  });
  it.each(['', 'three', '1.2.3', '12,34,56', '1 23', '1,,5', '1.5 kg', '--1'])('“%s” is no number', (text) =>
    expect(numberIn(text, '.')).toBeNull(),
  );
});

describe('dates as tables write them', () => {
  it.each([
    [['27.11.2026'], 'dmy', true],
    [['11/27/2026', '3/4/2027'], 'mdy', true],
    [['2026-11-27'], 'ymd', true],
    [['3/4/2027', '5/6/2027'], 'mdy', false],
  ] as const)('%j: %s, proven %s', (cells, order, proven) =>
    expect(dateOrderOf(cells, 'mdy')).toMatchObject({ value: order, proven }),
  );

  // Outside check: as Intl.DateTimeFormat (CLDR) writes them in five languages they are read back.
  it.each([
    ['en-US', 'mdy'],
    ['de-DE', 'dmy'],
    ['fr-FR', 'dmy'],
    ['sv-SE', 'ymd'],
    ['nl-NL', 'dmy'],
  ] as const)('what %s writes is read back', (language, order) => {
    const format = new Intl.DateTimeFormat(language, {
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      timeZone: 'UTC',
    });
    for (const on of ['2026-11-27', '2027-02-01', '2028-02-29', '2026-12-31'])
      expect(dateIn(format.format(new Date(`${on}T00:00:00Z`)), order)).toBe(on);
  });
  it.each([
    ['3/2027', '2027-03-31'],
    ['2028-02', '2028-02-29'],
    ['27.11.26', '2026-11-27'],
    ['3/27', '2027-03-31'],
    ['2026-11-27T00:00:00', '2026-11-27'],
  ])('%s is %s', (text, on) => expect(dateIn(text, 'dmy')).toBe(on));
  it.each(['31.2.2027', '29.2.2027', '13/2027', 'soon', '1.1', '27-11', '32.1.2027'])('“%s” is no date', (text) =>
    expect(dateIn(text, 'dmy')).toBeNull(),
  );
});

describe('columns by what they mean', () => {
  it.each<[string, StockColumn]>([
    ['Bezeichnung', 'what'],
    ['Menge (Stück)', 'amount'],
    ['MHD', 'until'],
    ['Quantité', 'amount'],
    ['Date de péremption', 'until'],
    ['Emplacement', 'where'],
    ['best-before', 'until'],
    ['EAN', 'codes'],
    ['Utgångsdatum', 'until'],
  ])('%s is %s', (head, column) => expect(meaningOf(head)).toBe(column));
  it('a meaning is given once; a first row without any is a row like the others', () => {
    expect(columnsOfHead(['Name', 'Artikel', 'Farbe', 'Anzahl'])).toEqual(['what', null, null, 'amount']);
    expect(columnsOfHead(['Rice', '3', 'BL1-B3K'])).toBeNull();
  });
  it('the heads that this app writes are its own columns', () =>
    expect(columnsOfHead([...STOCK_COLUMNS])).toEqual([...STOCK_COLUMNS]));
});

const base = (id: string) => ({ id, seq: 1, retired: false });
function home(): { state: HouseholdState; asImport: ImportHome; code: string } {
  const state = new HouseholdState();
  for (const row of sampleRows()) state.put(row);
  state.put({
    entity: 'item',
    row: { ...base('rice'), ...itemFields({ name: 'Rice', unit: 'kg', synonyms: ['Reis'], category: 'Dry' }) },
  });
  state.put({
    entity: 'lot',
    row: lotRow('rice-lot', {
      itemId: 'rice',
      nookId: 'top',
      quantityThousandths: 2000,
      expiresOn: '2027-03-31',
      dateKind: 'best_before',
    }),
  });
  const nooks = (['space', 'shelf', 'bin'] as const).flatMap((kind) =>
    state.all(kind).map(({ id, code, name }) => ({ id, code, name })),
  );
  return {
    state,
    code: state.get('shelf', 'top')!.code,
    asImport: {
      items: state.all('item').map((item) => ({ ...item, codes: item.codes ?? [] })),
      lots: state.all('lot').map((lot) => ({ ...lot, batch: lot.batch ?? null })),
      nooks,
    },
  };
}
const HABITS: ImportHabits = { mark: ',', order: 'dmy', nookId: null };
const COLUMNS: StockColumn[] = ['what', 'amount', 'unit', 'where', 'until'];
const read = (rows: string[][], columns: readonly (StockColumn | null)[] = COLUMNS, habits = HABITS): RowReading[] => {
  const reader = new StockImport(home().asImport, columns, habits);
  return rows.map((row, at) => reader.read(row, at + 1));
};
const CODE = home().code;

describe('rows against the home', () => {
  it('the same, another amount, a new thing, a new date, a blank row', () => {
    const readings = read([
      ['Rice', '2', 'kg', CODE, '31.3.2027'],
      ['Salt', '3', 'packs', CODE, ''],
      ['Reis', '1,5', 'kg', CODE, '1.6.2027'],
      ['', '', '', '', ''],
    ]);
    expect(readings.map(({ kind }) => kind)).toEqual(['same', 'new', 'new', 'blank']);
    expect(read([['reis', '500', 'g', CODE, '3/2027']])[0]).toMatchObject({
      kind: 'changed',
      does: { itemId: 'rice', amount: { thousandths: 500, beforeThousandths: 2000, lotIds: ['rice-lot'] } },
    });
  });
  it('a code on a worn label, and a place by its name', () => {
    const worn = CODE.toLowerCase().replace('-', ' ');
    expect(read([['Rice', '2', 'kg', worn, '31.3.2027']])[0]!.kind).toBe('same');
    expect(read([['Rice', '2', '', home().state.get('shelf', 'top')!.name || CODE, '31.3.2027']])[0]!.kind).toBe(
      'same',
    );
  });
  it('what a table has no column for may be anything: with no dates the sum counts', () => {
    expect(read([['Rice', '2', CODE]], ['what', 'amount', 'where'])[0]!.kind).toBe('same');
    expect(read([['Rice', '5', CODE]], ['what', 'amount', 'where'])[0]).toMatchObject({ kind: 'changed' });
  });
  it('without a place and an amount it is about things alone', () => {
    const readings = read(
      [
        ['Rice', 'Dry', '0,5'],
        ['Rice', 'Grain', ''],
        ['Oats', 'Grain', '1'],
      ],
      ['what', 'category', 'mark'],
    );
    expect(readings).toMatchObject([
      { kind: 'changed', does: { item: { lowAtThousandths: 500 }, amount: null } },
      { kind: 'changed', does: { item: { category: 'Grain' } } },
      { kind: 'new', does: { newKey: 'oats' } },
    ]);
  });
  it.each<[string[], object]>([
    [['', '2', 'kg', CODE, ''], { kind: 'no_name' }],
    [['Rice', 'some', 'kg', CODE, ''], { kind: 'no_amount', text: 'some' }],
    [['Rice', '-2', 'kg', CODE, ''], { kind: 'no_amount', text: '-2' }],
    [['Rice', '2', 'tins', CODE, ''], { kind: 'other_unit', said: 'tin', unit: 'kg' }],
    [['Rice', '2', 'kg', 'nowhere', ''], { kind: 'no_place', text: 'nowhere' }],
    [['Rice', '2', 'kg', '', ''], { kind: 'no_place', text: '' }],
    [['Rice', '2', 'kg', CODE, '31.2.2027'], { kind: 'no_date', column: 'until', text: '31.2.2027' }],
    [['x'.repeat(121), '2', '', CODE, ''], { kind: 'long_name', most: 120 }],
  ])('%j', (row, problem) => expect(read([row])[0]).toEqual({ kind: 'unreadable', problem }));
  it('the same thing, place and day in two rows: neither counts, since nobody knows which is meant', () => {
    const row = ['Rice', '3', 'kg', CODE, '31.3.2027'];
    const reader = new StockImport(home().asImport, COLUMNS, HABITS);
    const rows = [row, ['Salt', '1', '', CODE, ''], row];
    rows.forEach((cells, at) => reader.note(cells, at + 1));
    expect(rows.map((cells, at) => reader.read(cells, at + 1))).toMatchObject([
      { kind: 'unreadable', problem: { kind: 'twice', row: 3 } },
      { kind: 'new' },
      { kind: 'unreadable', problem: { kind: 'twice', row: 1 } },
    ]);
  });
  it('a mark that spreadsheets put before formulas is no part of a name', () =>
    expect(read([["'=Sum", '1', '', CODE, '']])[0]).toMatchObject({ does: { name: '=Sum' } }));
});

it('what rows change is what the home then says: read again, every row is the same', () => {
  const { state } = home();
  const rows = [
    ['Rice', '1,5', 'kg', CODE, '31.3.2027'],
    ['Salt', '3', 'packs', CODE, ''],
    ['Salt', '2', 'packs', CODE, '1.1.2028'],
  ];
  const does = read(rows).flatMap((reading): RowDoes[] => ('does' in reading ? [reading.does] : []));
  let serial = 0;
  const context = { newId: () => `n${serial++}`, now: '2026-11-27T10:00:00.000Z', today: '2026-11-27' };
  const ops: Op[] = opsForImport(state, does, new Map(), context).flat();
  // The new thing is made once, though it stands in two rows.
  expect(ops.filter((op) => op.op === 'create' && op.entity === 'item')).toHaveLength(1);
  const applied = applyCommand(state, { id: 'c', intent: 'table_read', occurredAt: context.now, ops }, AS_ADULT);
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  for (const row of applied.changed) state.put(row);
  const again = new StockImport(
    {
      items: state.all('item').map((item) => ({ ...item, codes: item.codes ?? [] })),
      lots: state.all('lot').map((lot) => ({ ...lot, batch: lot.batch ?? null })),
      nooks: home().asImport.nooks,
    },
    COLUMNS,
    HABITS,
  );
  expect(rows.map((row, at) => again.read(row, at).kind)).toEqual(['same', 'same', 'same']);
});
