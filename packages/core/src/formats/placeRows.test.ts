import { writeCode } from '../base';
import { sampleHome } from '../household/sampleHome.test-support';
import { opsForPlaceRow, placeRows } from './placeRows';

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
