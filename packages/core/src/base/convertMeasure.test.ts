import Qty from 'js-quantities';
import { convertMeasure } from './convertMeasure';

describe('an amount said in another measure', () => {
  // Outside check: the general-purpose units library js-quantities.
  it.each([
    [200_000, 'g', 'kg', 'g', 'kg'],
    [1500, 'kg', 'g', 'kg', 'g'],
    [75_000, 'cl', 'l', 'cl', 'l'],
    [2000, 'lb', 'g', 'lb', 'g'],
    [16_000, 'oz', 'lb', 'oz', 'lb'],
    [1000, 'gal', 'l', 'gal', 'l'],
    [1000, 'qt', 'ml', 'qt', 'ml'],
    [2000, 'pt', 'l', 'pt', 'l'],
    [8000, 'fl oz', 'ml', 'floz', 'ml'],
    [250_000, 'cm', 'm', 'cm', 'm'],
    [500_000, 'mg', 'g', 'mg', 'g'],
  ])('%d thousandths of %s in %s', (amount, said, unit, refFrom, refTo) => {
    expect(convertMeasure(amount, said, unit)).toBe(Math.round(Qty(`${amount} ${refFrom}`).to(refTo).scalar));
  });
  it.each([
    ['g', 'tin'],
    ['g', 'l'],
    ['tin', 'kg'],
    ['m', 'ml'],
  ])('%s does not go into %s', (said, unit) => expect(convertMeasure(1000, said, unit)).toBeNull());
  it('count units are one thing under two words', () => {
    expect(convertMeasure(3000, 'tin', 'piece')).toBe(3000);
    expect(convertMeasure(3000, null, 'kg')).toBe(3000);
  });
});
