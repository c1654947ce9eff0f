import { guideOf, HouseholdState, writeCode, type TaggedRow } from '@ours/core';
import { ID, lotRow, sampleRows } from '@/data/store/sampleRows.test-support';
import { cellText, readCell, whyNot, type CellReading, type EditedColumn } from './cellEdits';
import { StockRows, type StockRow } from './stockRows';

const OTHER = '019ab2f0-0000-7000-8000-0000000000e1';
const RICE = '019ab2f0-0000-7000-8000-0000000000e2';
const LOT = '019ab2f0-0000-7000-8000-0000000000e3';

function home(more: TaggedRow[] = []): { state: HouseholdState; row: (name: string) => StockRow } {
  const state = new HouseholdState();
  const rows = sampleRows();
  const bin = rows.find(({ entity }) => entity === 'bin')!;
  const item = rows.find(({ entity }) => entity === 'item')!;
  const all = [
    ...rows,
    { entity: 'bin', row: { ...bin.row, id: OTHER, name: 'Reserve', code: writeCode('BL1', 'A2') } } as never,
    { entity: 'item', row: { ...item.row, id: RICE, name: 'Rice', unit: 'kg' } } as never,
    ...more,
  ];
  for (const tagged of all) state.put(tagged as TaggedRow);
  return { state, row: (name) => new StockRows().read(state, null, 'thing').find(({ item: of }) => of.name === name)! };
}

function read(column: EditedColumn, text: string, name = 'Paper lantern', more: TaggedRow[] = []): CellReading {
  const { state, row } = home(more);
  let next = 0;
  return readCell(row(name), column, text, {
    state,
    guide: guideOf(state),
    order: 'dmy',
    today: '2026-11-27',
    context: () => ({ newId: () => `new${next++}`, now: '2026-11-27T10:00:00.000Z', today: '2026-11-27' }),
  });
}
const opsOf = (reading: CellReading): unknown => (reading.ok ? reading.change?.ops : reading.problem);

describe('a cell is read as a recorded line is', () => {
  it.each<[EditedColumn, string, unknown]>([
    ['amount', '1 1/2', [{ op: 'event', event: { kind: 'counted', quantityThousandths: 1500, lotId: ID.lot } }]],
    ['amount', 'a dozen', [{ op: 'event', event: { kind: 'counted', quantityThousandths: 12_000 } }]],
    ['what', ' Lampion,  white ', [{ op: 'change', entity: 'item', id: ID.item, fields: { name: 'Lampion, white' } }]],
    ['category', 'light', [{ op: 'change', fields: { category: 'light' } }]],
    ['mark', '6', [{ op: 'change', fields: { lowAtThousandths: 6000 } }]],
    ['until', '3/27', [{ op: 'change', entity: 'lot', fields: { expiresOn: '2027-03-31', dateKind: 'best_before' } }]],
    ['until', 'in 3 days', [{ op: 'change', fields: { expiresOn: '2026-11-30' } }]],
  ])('%s %j', (column, text, want) => expect(opsOf(read(column, text))).toMatchObject(want as object));
  it.each(['reserve', writeCode('BL1', 'A2'), 'bl1 a2'])('a place by its name or code: %s', (text) =>
    expect(opsOf(read('where', text))).toMatchObject([
      { op: 'event', event: { kind: 'moved_out', quantityThousandths: 24_000, lotId: ID.lot } },
      { op: 'create', entity: 'lot', fields: { nookId: OTHER } },
      { op: 'event', event: { kind: 'moved_in', quantityThousandths: 24_000 } },
    ]),
  );
  it.each<[EditedColumn, string]>([
    ['amount', ''],
    ['what', 'Paper lantern'],
    ['category', ''],
    ['mark', ''],
    ['until', ''],
    ['where', 'paper lanterns'],
  ])('%s %j changes nothing', (column, text) => expect(read(column, text)).toEqual({ ok: true, change: null }));
});

describe('what cannot be read gets a sentence, and changes nothing', () => {
  it.each<[EditedColumn, string, string]>([
    ['amount', 'many', '“many” is no amount; write for example 3, 1 1/2 or 2 x 400 g.'],
    ['amount', '1 250', '“1 250” can be read in more than one way; write the number alone, in pieces.'],
    ['what', '', 'A thing needs a name.'],
    ['what', 'x'.repeat(121), 'That is 121 letters; a name has at most 120.'],
    ['what', 'RICE', 'Another thing is called “Rice”: two of one name cannot be told apart.'],
    ['until', 'soon', '“soon” is no date; write for example 3/27, 12 mar, 2027-03-01 or in 3 days.'],
    ['where', 'attic', 'No place has the code or the name “attic”.'],
  ])('%s %j', (column, text, problem) => expect(read(column, text)).toEqual({ ok: false, problem }));
  it('a measure that the thing is not kept in', () =>
    expect(read('mark', '2 tins', 'Rice')).toEqual({
      ok: false,
      problem: 'It is kept in kg; “2 tins” is another measure.',
    }));
  it('a name that two places have', () => {
    const twin = sampleRows().find(({ entity }) => entity === 'bin')!;
    const rows = ['f1', 'f2'].map((id) => ({ ...twin, row: { ...twin.row, id, name: 'Box', code: `BL1-${id}` } }));
    expect(read('where', 'box', 'Paper lantern', rows as never)).toEqual({
      ok: false,
      problem: '2 places are called “box”; write the code.',
    });
  });
});

it('of a thing in two lots only what is of the thing is written in its row', () => {
  const { state, row } = home([{ entity: 'lot', row: { ...lotRow(3, 1), id: LOT, nookId: OTHER } } as never]);
  const both = row('Paper lantern');
  expect(whyNot(both, 'amount')).toBeNull();
  expect(whyNot(both, 'until')).toBe(
    'Paper lantern is in 2 lots: let the table have a row for each lot to change one of them.',
  );
  expect(whyNot(row('Rice'), 'amount')).toMatch(/^Nothing of Rice is recorded yet/);
  const [first] = new StockRows().read(state, null, 'lot');
  expect(whyNot(first!, 'until')).toBeNull();
  expect(cellText(first!, 'where', state)).toMatch(/^BL1-A/);
});

it('rows of what has not changed are the same objects; a place that is called otherwise changes those in it', () => {
  const { state } = home([{ entity: 'lot', row: { ...lotRow(3, 1), id: LOT, itemId: RICE, nookId: OTHER } } as never]);
  const reader = new StockRows();
  const [lantern, rice] = reader.read(state, null, 'thing');
  state.put({ entity: 'lot', row: { ...lotRow(5, 2), id: LOT, itemId: RICE, nookId: OTHER } } as never);
  const after = reader.read(state, null, 'thing');
  expect(after[0]).toBe(lantern);
  expect(after[1]).toMatchObject({ there: 5000 });
  const bin = state.get('bin', OTHER)!;
  state.put({ entity: 'bin', row: { ...bin, name: 'Left box' } });
  const [, renamed] = reader.read(state, null, 'thing');
  expect(renamed).not.toBe(after[1]);
  expect(renamed!.text).toContain('left box');
  expect(rice!.text).toContain('reserve');
});
