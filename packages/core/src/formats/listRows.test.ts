import { listRows } from './listRows';

/** Cells without quotes are parsed by their separator; how tables are parsed is the parser's own matter. */
const read = (text: string, separator = ',') =>
  listRows(text, (table) => table.split(/\r?\n/).map((line) => line.split(separator)));

it('lines below each other are lines as they are said, also with the dashes of a shared list', () => {
  expect(read('1,5 kg flour, white')).toEqual([{ kind: 'words', line: 1, words: '1,5 kg flour, white' }]);
  expect(read('2 bread\n\n- 3 x soap\n* candles')).toEqual([
    { kind: 'words', line: 1, words: '2 bread' },
    { kind: 'words', line: 3, words: '3 x soap' },
    { kind: 'words', line: 4, words: 'candles' },
  ]);
});

it('a table is read by its columns, of spreadsheets of three languages', () => {
  const rice = [{ kind: 'row', line: 2, name: 'Rice', packs: 3 }];
  expect(read('day,shop,what,packs,in one pack,price,state\n2026-11-28,Quay,Rice,3,1,2.90,to buy')).toEqual(rice);
  expect(read('Artikel;Menge\nRice;3', ';')).toEqual(rice);
  expect(read('Produit;Quantité\r\nRice;2,5', ';')).toEqual(rice);
});

it('what was put away is not bought again; what cannot be read keeps its line', () => {
  expect(read('what,packs,state\nRice,1,put away\nSoap,some,\n,4,\nTea,,\nSalt,0,')).toEqual([
    { kind: 'not_read', line: 3, text: 'Soap · some', said: 'some' },
    { kind: 'not_read', line: 4, text: '4', said: '' },
    { kind: 'row', line: 5, name: 'Tea', packs: 1 },
    { kind: 'not_read', line: 6, text: 'Salt · 0', said: '0' },
  ]);
});

it('a thing that is called like a column is no head when it stands alone', () => {
  expect(read('product')).toEqual([{ kind: 'words', line: 1, words: 'product' }]);
  expect(read('')).toEqual([]);
});
