import { entriesOf, isShown, levelOf, OrderedRows, rowsInView, USUAL_VIEW, type TableView } from './tableView';
import { shownColumns } from './columns';
import { worthOf, type StockRow } from './stockRows';
import { worthWords } from './words';

const days = { today: '2026-11-27', nextTrip: '2026-12-05' };
const row = (more: object, name = 'Rice'): StockRow =>
  ({
    id: name,
    item: { name, category: '', lowAtThousandths: 2000 },
    there: 3000,
    due: null,
    entry: null,
    worthMinor: null,
    room: null,
    space: null,
    within: new Set(),
    countedOn: null,
    text: name.toLowerCase(),
    ...more,
  }) as unknown as StockRow;
const view = (more: Partial<TableView>): TableView => ({ ...USUAL_VIEW, ...more });
const namesOf = (rows: readonly StockRow[]): string[] => rows.map(({ item }) => item.name);

describe('which rows are shown', () => {
  it.each([
    ['low', { there: 2000 }, true],
    ['low', { there: 3000 }, false],
    ['none', { there: 0 }, true],
    ['ends', { due: { on: '2026-12-01', reason: 'use_by' } }, true],
    ['ends', { due: { on: '2027-12-01', reason: 'use_by' } }, false],
    // The trip after the next one is eight days ahead.
    ['runs_out', { entry: { out: { early: 7 } } }, true],
    ['runs_out', { entry: { out: { early: 8 } } }, false],
    ['runs_out', { entry: { out: { early: null } } }, false],
  ] as const)('%s %j: %s', (shown, more, want) => expect(isShown(row(more), view({ shown }), days)).toBe(want));
  it.each([
    ['this_week', '2026-11-21', true],
    ['this_week', '2026-11-20', false],
    ['not_month', '2026-10-27', true],
    // 30 days ago it was.
    ['not_month', '2026-10-28', false],
    ['not_year', '2025-11-26', true],
    ['not_year', '2025-11-27', false],
    // Of what nobody knows nothing is said.
    ['not_year', null, false],
  ] as const)('counted %s, on %s: %s', (counted, countedOn, want) =>
    expect(isShown(row({ countedOn }), view({ counted }), days)).toBe(want),
  );
  it('by place, category and words, all of them', () => {
    const rows = [
      row({ within: new Set(['loft']), text: 'rice kitchen loft' }),
      row({ item: { name: 'Oats', category: 'grain' }, text: 'oats grain' }, 'Oats'),
    ];
    expect(namesOf(rowsInView(rows, view({ placeId: 'loft' }), days))).toEqual(['Rice']);
    expect(namesOf(rowsInView(rows, view({ category: 'grain' }), days))).toEqual(['Oats']);
    expect(namesOf(rowsInView(rows, view({ category: '' }), days))).toEqual(['Rice']);
    expect(namesOf(rowsInView(rows, view({ words: ' Loft ric ' }), days))).toEqual(['Rice']);
    expect(rowsInView(rows, view({ words: 'loft oats' }), days)).toEqual([]);
  });
});

describe('order', () => {
  const rows = [row({ worthMinor: 100 }, 'b10'), row({ worthMinor: null }, 'a'), row({ worthMinor: 900 }, 'b9')];
  it('what has nothing to sort by is last, whichever way', () => {
    expect(namesOf(rowsInView(rows, view({ sort: 'worth' }), days))).toEqual(['b10', 'b9', 'a']);
    expect(namesOf(rowsInView(rows, view({ sort: 'worth', down: true }), days))).toEqual(['b9', 'b10', 'a']);
  });
  it('names with numbers in them as people count', () =>
    expect(namesOf(rowsInView(rows, view({ sort: 'what' }), days))).toEqual(['a', 'b9', 'b10']));
  it('put in order after each change, rows stand as if they had been put in order from the start', () => {
    const ordered = new OrderedRows();
    let now = Array.from({ length: 40 }, (_, at) =>
      row({ there: ((at * 7) % 11) * 1000, id: `id ${at}` }, `n${at % 9}`),
    );
    const views = [view({ sort: 'amount' }), view({ sort: 'what', down: true }), view({ sort: 'amount', words: 'n1' })];
    for (let turn = 0; turn < 60; turn++) {
      const at = (turn * 13) % now.length;
      now = now.map((one, place) => (place === at ? { ...one, there: ((turn * 5) % 12) * 1000 } : one));
      if (turn % 7 === 0) now = [...now.slice(3), row({ id: `new ${turn}` }, `n${turn % 9}`)];
      const of = views[turn % views.length]!;
      expect(ordered.read(now, of, days)).toEqual(rowsInView(now, of, days));
    }
  });
  it('what is gone comes first by how long it lasts', () => {
    const lasting = [
      row({ entry: { out: { early: 3 } } }, 'three days'),
      row({}, 'nobody knows'),
      row({ there: 0 }, 'gone'),
    ];
    expect(namesOf(rowsInView(lasting, view({ sort: 'lasts' }), days))).toEqual(['gone', 'three days', 'nobody knows']);
  });
});

describe('groups', () => {
  it('stand under their names, with what they are worth; what is nowhere comes last', () => {
    const rows = [
      row({ worthMinor: 100, room: { id: 'l', name: 'Loft' } }, 'a'),
      row({}, 'b'),
      row({ worthMinor: 50, room: { id: 'c', name: 'Cellar' } }, 'c'),
      row({ worthMinor: 5, room: { id: 'l', name: 'Loft' } }, 'd'),
    ];
    expect(
      entriesOf(rows, 'room').map((entry) =>
        entry.kind === 'group' ? [entry.name, entry.rows, entry.worth.minor] : entry.row.item.name,
      ),
    ).toEqual([['Cellar', 1, 50], 'c', ['Loft', 2, 105], 'a', 'd', ['Nowhere', 1, 0], 'b']);
  });
  it('none: rows alone', () => expect(entriesOf([row({})], 'none')).toMatchObject([{ kind: 'row', id: 'Rice' }]));
});

it('the name is shown whatever a view hides', () =>
  expect(shownColumns(['what', 'category', 'level', 'counted', 'mark', 'worth', 'lasts', 'until'])).toEqual([
    'what',
    'amount',
    'where',
  ]));

describe('figures', () => {
  it('what rows are worth, where prices are known', () => {
    const rows = [row({ worthMinor: 250 }), row({}), row({ there: 0 })];
    expect(worthWords(worthOf(rows), 'EUR')).toBe('worth €2.50 (1 without a price)');
    expect(worthWords({ minor: 0, unpriced: 2 }, 'EUR')).toBe('no prices known');
  });
  it('how full it is only where somebody said what full is', () => {
    expect(levelOf(row({ item: { restock: { fullThousandths: 12_000 } } }))).toBe(0.25);
    expect(levelOf(row({}))).toBeNull();
  });
});
