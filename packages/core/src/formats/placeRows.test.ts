import { writeCode } from '../base';
import { applyCommand, SHELF_KINDS, SPACE_KINDS } from '../household';
import { AS_ADULT, idMaker, sampleHome } from '../household/sampleHome.test-support';
import { placeSortOf, placeSortWord } from './placeKinds';
import { opsForPlaceRow, placeRows } from './placeRows';
import { opsForNewPlaces } from './placeTree';

const RACK = writeCode('BL1', '');
const BIN = writeCode('BL1', 'A1');
const read = (...rows: string[][]) => {
  const table = placeRows(sampleHome(), rows, 'metric');
  if (!table.ok) throw new Error(table.problem);
  return table.rows;
};
const HEAD = ['code', 'kind', 'name', 'where it is', 'width cm', 'height cm', 'depth cm'];

it('names and sizes by code; what is empty or the same changes nothing', () => {
  const rows = read(
    HEAD,
    [RACK, 'space', 'Rack 1', '', '180', '', '50'],
    [BIN.toLowerCase(), 'bin', 'lanterns, paper', '', '38,5', '', '12 in'],
  );
  expect(rows[0]).toEqual({ kind: 'same', line: 2, code: RACK });
  expect(rows[1]).toMatchObject({
    kind: 'changed',
    line: 3,
    place: 'bin',
    changes: [
      { field: 'name', before: 'paper lanterns', after: 'lanterns, paper' },
      { field: 'widthTenthMm', before: null, after: 3850 },
      // 1 inch is 25.4 mm (1959 agreement).
      { field: 'depthTenthMm', before: null, after: 3048 },
    ],
  });
  expect(opsForPlaceRow(rows[1] as never)).toEqual([
    {
      op: 'change',
      entity: 'bin',
      id: 'bin',
      fields: { name: 'lanterns, paper', widthTenthMm: 3850, depthTenthMm: 3048 },
    },
  ]);
});

it.each([
  ['Kürzel', 'Breite (mm)', '1800'],
  ['Code', 'Largeur cm', '180'],
  ['code', 'width', '180'],
])('heads of spreadsheets of other languages: %s, %s', (code, width, cell) => {
  expect(read([code, width], [RACK, cell])).toEqual([{ kind: 'same', line: 2, code: RACK }]);
});

it('what cannot be read says which it was', () => {
  const wrong = BIN.replace(/.$/, (sign) => (sign === 'A' ? 'B' : 'A'));
  const why = read(
    HEAD,
    ['', '', 'x'],
    [wrong, '', 'x'],
    ['ZZ9', '', 'x'],
    [RACK, '', '', '', 'wide'],
    [BIN, '', 'y'.repeat(121)],
    [BIN, '', 'z'],
  ).map((row) => (row.kind === 'not_read' ? row.why.kind : row.kind));
  expect(why).toEqual(['no_code', 'unknown_code', 'unknown_code', 'measure', 'too_long', 'twice']);
});

it('a table without a head, or nothing at all, is refused as a whole', () => {
  const table = (...rows: string[][]) => placeRows(sampleHome(), rows, 'metric');
  expect(table()).toEqual({ ok: false, problem: 'empty' });
  expect(table([''], [' '])).toEqual({ ok: false, problem: 'empty' });
  expect(table([BIN, 'x'])).toEqual({ ok: false, problem: 'no_head' });
});

describe('new places', () => {
  const NEW = ['code', 'kind', 'name', 'in', 'width cm'];
  const why = (rows: ReturnType<typeof read>) => rows.map((row) => (row.kind === 'not_read' ? row.why.kind : row.kind));
  /** Writes what is new, and reads the same table against the home that it makes. */
  const written = (...table: string[][]) => {
    const home = sampleHome();
    const before = placeRows(home, table, 'metric');
    if (!before.ok) throw new Error(before.problem);
    const made = before.rows.flatMap((row) => (row.kind === 'new' ? [row.made] : []));
    const ops = opsForNewPlaces(home, made, idMaker()).flatMap(({ ops: own }) => own);
    const applied = applyCommand(
      home,
      { id: 'c', intent: 'tested', occurredAt: '2026-11-28T08:00:00.000Z', ops },
      AS_ADULT,
    );
    if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
    for (const row of applied.changed) home.put(row);
    const after = placeRows(home, table, 'metric');
    return { home, ops, before: before.rows, after: after.ok ? after.rows : [] };
  };

  it('a room, a space, its shelves and bins in any order, without codes; read again nothing is made twice', () => {
    const { home, before, after } = written(
      ['kind', 'name', 'in', 'width cm'],
      ['bin', 'jars', 'Pantry > top', '30'],
      ['shelf', 'top', 'Pantry', '90'],
      ['cupboard', 'Pantry', 'Kitchen', '92,5'],
      ['box', 'small jars', 'jars', ''],
      ['fridge', 'Cold one', 'Kitchen', ''],
    );
    expect(before.map(({ kind }) => kind)).toEqual(['new', 'new', 'new', 'new', 'new']);
    const kitchen = home.all('room').filter(({ name }) => name === 'Kitchen');
    expect(kitchen).toHaveLength(1);
    expect(home.spacesIn(kitchen[0]!.id).map(({ name, kind, widthTenthMm }) => [name, kind, widthTenthMm])).toEqual([
      ['Pantry', 'cupboard', 9250],
      ['Cold one', 'refrigerator', null],
    ]);
    const jars = home.all('bin').find(({ name }) => name === 'jars')!;
    expect(home.binsIn(jars.id).map(({ name, shelfId }) => [name, shelfId])).toEqual([['small jars', jars.shelfId]]);
    expect(home.get('shelf', jars.shelfId)).toMatchObject({ name: 'top', widthTenthMm: 9000 });
    expect(after.map(({ kind }) => kind)).toEqual(['same', 'same', 'same', 'same', 'same']);
  });

  it('codes of another home are kept where they are free, so that labels stay right; else they get one', () => {
    const [space, shelf] = [writeCode('PA', ''), writeCode('PA', 'C')];
    const { before, after } = written(
      NEW,
      [shelf, 'drawer', '', space, ''],
      [space, 'chest freezer', 'Porch', 'Porch', '120'],
      [shelf, 'drawer', 'again', space, ''],
    );
    expect(before.map((row) => (row.kind === 'new' ? row.code : row.kind))).toEqual([shelf, space, 'not_read']);
    expect(after.map(({ kind }) => kind)).toEqual(['same', 'same', 'not_read']);
    const home = sampleHome();
    home.put({ entity: 'bin', row: { ...home.get('bin', 'bin2')!, retired: true } });
    const gone = home.get('bin', 'bin2')!.code;
    const table = placeRows(home, [NEW, [gone, 'bin', 'peas', writeCode('BL1', 'A'), '']], 'metric');
    expect(table.ok && table.rows[0]).toMatchObject({ kind: 'new', code: expect.not.stringMatching(gone) });
  });

  it('into what is there, by its code or its name; next to what is there', () => {
    const { home, ops } = written(
      ['kind', 'name', 'in'],
      ['bin', 'ribbons', writeCode('BL1', 'A')],
      ['bin', 'tassels', 'Paper Lanterns'],
    );
    expect(
      ops.map((op) => (op.op === 'create' && op.entity === 'bin' ? [op.fields.parentBinId, op.fields.sort] : op.op)),
    ).toEqual([
      [
        null,
        Math.max(
          ...home
            .binsIn('top')
            .filter(({ name }) => name !== 'ribbons')
            .map(({ sort }) => sort),
        ) + 1,
      ],
      ['bin', 0],
    ]);
  });

  it.each<[string, string[][], string[]]>([
    ['no word of what it is', [['', '', 'jars', 'Rack 1', '']], ['no_kind']],
    ['an unknown kind', [['', 'hatstand', 'jars', 'Rack 1', '']], ['no_kind']],
    ['no name', [['', 'bin', '', 'Rack 1', '']], ['no_name']],
    ['a shelf without a name and a code: it could not be found again', [['', 'shelf', '', 'Rack 1', '']], ['no_name']],
    ['nothing it is in', [['', 'bin', 'jars', '', '']], ['no_parent']],
    ['a place nobody knows', [['', 'bin', 'jars', 'Attic', '']], ['no_parent']],
    ['a shelf in a room', [['', 'shelf', 'top', 'Boat loft', '']], ['no_parent']],
    ['a bin in a space with several shelves', [['', 'bin', 'jars', 'Rack 1', '']], ['no_parent']],
    ['in itself', [['', 'bin', 'jars', 'jars', '']], ['in_itself']],
    [
      'in a circle, and one in that',
      [
        ['', 'bin', 'a', 'b', ''],
        ['', 'bin', 'b', 'a', ''],
        ['', 'bin', 'c', 'a', ''],
      ],
      ['in_itself', 'in_itself', 'parent_not_read'],
    ],
    [
      'in what could not be read',
      [
        ['', 'cupboard', '', 'Kitchen', ''],
        ['', 'shelf', 'top', 'Pantry', ''],
        ['', 'cupboard', 'Larder', 'Kitchen', 'wide'],
        ['', 'shelf', 'low', 'Larder', ''],
      ],
      ['no_name', 'no_parent', 'measure', 'no_parent'],
    ],
    [
      'two of the same name in the same place',
      [
        ['', 'cupboard', 'Pantry', 'Kitchen', ''],
        ['', 'cupboard', 'pantry', 'kitchen', ''],
      ],
      ['new', 'twice'],
    ],
    [
      'two that are called so, and how it is said which',
      [
        ['', 'cupboard', 'Left', 'Kitchen', ''],
        ['', 'cupboard', 'Right', 'Kitchen', ''],
        ['', 'shelf', 'top', 'Left', ''],
        ['', 'shelf', 'top', 'Right', ''],
        ['', 'bin', 'jars', 'top', ''],
        ['', 'bin', 'jars', 'Right / top', ''],
      ],
      ['new', 'new', 'new', 'new', 'several_parents', 'new'],
    ],
  ])('%s', (_, rows, outcome) => expect(why(read(NEW, ...rows))).toEqual(outcome));

  it('a place that is there and that the table has somewhere else is not moved in silence', () => {
    expect(why(read(NEW, [BIN, 'bin', 'paper lanterns', writeCode('BL1', 'A'), '']))).toEqual(['same']);
    for (const around of ['Rack 1', 'Boat loft'])
      expect(why(read(NEW, [BIN, 'bin', 'paper lanterns', around, '']))).toEqual(['same']);
    expect(why(read(NEW, [BIN, 'bin', 'paper lanterns', writeCode('BL1', 'B'), '']))).toEqual(['elsewhere']);
  });

  it('what this app writes for a kind is read back as the same', () => {
    const sorts = [
      ...SPACE_KINDS.map((kind) => ({ place: 'space' as const, kind })),
      ...SHELF_KINDS.map((kind) => ({ place: 'shelf' as const, kind })),
      { place: 'bin' as const, kind: 'bin' as const },
    ];
    for (const sort of sorts) expect(placeSortOf(placeSortWord(sort))).toEqual(sort);
  });

  it('when a place has no code left it is said, and the others are made', () => {
    const rows = Array.from({ length: 400 }, (_, at) => ['', 'bin', `jar ${at}`, writeCode('BL1', 'A'), '']);
    const kinds = why(read(NEW, ...rows));
    expect(kinds[0]).toBe('new');
    expect(kinds.at(-1)).toBe('no_codes_left');
  });
});
