import { readAmount } from './readAmount';

const habits = { order: 'dmy', today: '2026-11-27' } as const;
const read = (text: string, unit: string): unknown => {
  const reading = readAmount(text, { unit }, habits);
  return reading.ok ? reading.thousandths : reading.problem;
};

it.each([
  ['3', 'piece', 3000],
  ['1,5', 'piece', 1500],
  ['1 1/2', 'piece', 1500],
  ['0', 'tin', 0],
  ['a dozen', 'piece', 12_000],
  ['2 tins', 'tin', 2000],
  ['2 x 400 g', 'tin', 2000],
  ['2 x 400 g', 'kg', 800],
  ['3 packs of 400 g', 'kg', 1200],
  ['750g', 'kg', 750],
  ['12 1/2 kg', 'kg', 12_500],
])('%j of what is kept in %s: %s', (text, unit, want) => expect(read(text, unit)).toBe(want));

it.each([
  ['abc', 'piece', 'not_an_amount'],
  ['', 'piece', 'not_an_amount'],
  ['-1', 'piece', 'not_an_amount'],
  ['3 apples', 'piece', 'not_an_amount'],
  ['3 exp 3/27', 'piece', 'not_an_amount'],
  ['2 tins', 'kg', 'other_unit'],
  // A thousand and more, or one of 250?
  ['1 250', 'kg', 'more_than_one_way'],
])('%j of what is kept in %s is not read: %s', (text, unit, want) => expect(read(text, unit)).toBe(want));
