import type { Touched } from '@ours/core';
import { commandWords } from './words';

const stones = (how: 'in' | 'out' | 'counted', unit = 'piece', code = 'BL1-A2K'): Touched => ({
  kind: 'amount',
  item: 'River stones',
  unit,
  how,
  quantityThousandths: 3000,
  code,
});
const row: Touched = { kind: 'row', title: 'Boat loft' };

it.each<[Touched[], string]>([
  [[stones('in')], '3 River stones into BL1-A2K'],
  [[stones('out', 'kg')], '3 kg River stones out of BL1-A2K'],
  [[row, stones('counted', 'bag')], '3 bags River stones counted in BL1-A2K'],
  [[stones('in', 'piece', '')], '3 River stones'],
  [[row, { kind: 'row', title: 'Rack 1' }], 'Boat loft; Rack 1'],
  [[], 'space changed'],
])('%j', (touched, words) => expect(commandWords(touched, 'space_changed')).toBe(words));
