import type { Touched } from '@ours/core';
import { touchedWords } from './touchedWords';

const tea = (how: 'in' | 'out' | 'counted', pieces: number, code = 'BL1-B3K'): Touched => ({
  kind: 'amount',
  item: 'Tea lights',
  unit: 'piece',
  how,
  quantityThousandths: pieces * 1000,
  code,
});

it.each<[Touched, string]>([
  [tea('out', 1), 'Tea lights −1 piece, BL1-B3K'],
  [tea('in', 2), 'Tea lights +2 pieces, BL1-B3K'],
  [tea('counted', 0, ''), 'Tea lights = 0 pieces'],
  [{ kind: 'row', title: 'Boat loft' }, 'Boat loft'],
])('%j', (touched, line) => expect(touchedWords(touched)).toBe(line));
