import { figureWords } from './counted';
import { dayWords } from './dayWords';

it.each([
  ['2026-12-03', '3 Dec'],
  ['2027-03-31', '31 Mar 2027'],
  ['2024-02-29', '29 Feb 2024'],
  ['2026-01-01', '1 Jan'],
  ['2026-09-30', '30 Sep'],
])('%s', (date, words) => expect(dayWords(date, '2026-11-26')).toBe(words));

it.each([
  [2500, '2.5'],
  [24_000, '24'],
  [0, '0'],
  [9_999_000, '9999'],
  [12_500_000, '12,500'],
  [12_500_125, '12,500.125'],
])('%d thousandths', (thousandths, words) => expect(figureWords(thousandths)).toBe(words));
