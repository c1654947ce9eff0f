import { containerFromRow } from '@ours/core';
import { badRowWords } from './words';

const good = { name: 'crate', width: '30', depth: '20', height: '10' };
const said = (row: Record<string, string>): string | null => {
  const reading = containerFromRow(row, 'metric');
  return reading.ok ? null : badRowWords(reading, 3);
};

it.each<[Record<string, string>, string]>([
  [{ ...good, name: '' }, 'Row 3: Column “name”: read “”; accepted is a name of up to 120 letters.'],
  [
    { ...good, height: 'tall' },
    'Row 3: Column “height”: read “tall”; accepted is a length such as 31.5 cm or 12 3/8".',
  ],
  [{ ...good, width: '1 mm' }, 'Row 3: Column “width”: read “1 mm”; accepted is a length of at least 0.5 cm.'],
  [{ ...good, price: 'cheap' }, 'Row 3: Column “price”: read “cheap”; accepted is a number such as 2.5.'],
  [{ ...good, owned: '1.5' }, 'Row 3: Column “owned”: read “1.5”; accepted is a whole number up to 10,000.'],
])('%j', (row, sentence) => expect(said(row)).toBe(sentence));

it('names the kinds there are, and has nothing to say about a good row', () => {
  expect(said({ ...good, kind: 'glass' })).toMatch(/^Row 3: Column “kind”: read “glass”; accepted is .*woven/);
  expect(said(good)).toBeNull();
});
