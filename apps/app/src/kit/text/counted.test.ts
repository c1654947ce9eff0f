import { counted } from './counted';

describe('a count in words', () => {
  const things = { one: '# thing', other: '# things' };
  it.each([
    [0, '0 things'],
    [1, '1 thing'],
    [2, '2 things'],
    [1.5, '1.5 things'],
    [9999, '9999 things'],
    [12500, '12,500 things'],
  ])('%d', (count, words) => expect(counted(count, things)).toBe(words));
  it('none may have words of its own', () => expect(counted(0, { zero: 'empty', ...things })).toBe('empty'));
});
