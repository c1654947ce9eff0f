import { readLength } from '@ours/core';
import { padUnit, pressPad, type PadKey } from './pad';

const typed = (keys: string, home: 'cm' | 'inch' = 'cm'): string =>
  [...keys].reduce((text, key) => {
    const of: Record<string, PadKey> = {
      '.': 'point',
      '<': 'back',
      '/': 'eighth',
      ',': 'comma',
      m: { unit: 'mm' },
      c: { unit: 'cm' },
      i: { unit: 'inch' },
    };
    return pressPad(text, of[key] ?? { digit: key }, home);
  }, '');

it.each([
  ['30.2', '30.2'],
  ['30..2', '30.2'],
  ['.5', '0.5'],
  ['302m', '302 mm'],
  ['m302', '302 mm'],
  ['302mc', '302'],
  ['30.2<<', '30'],
  ['30m<<<', ''],
  ['12i//', '12 1/4 in'],
  ['12i////////', '12 in'],
  ['12i/<', '12 in'],
  ['12.5/', '12 1/8 in'],
  ['2,44,76', '2, 44, 76'],
  [',,2,,4', '2, 4'],
])('the keys %s write “%s”', (keys, text) => expect(typed(keys)).toBe(text));

it('what the keys write is read as it was meant', () => {
  const read = (text: string, home: 'metric' | 'inch') => readLength(text, home);
  expect(read(typed('302m'), 'metric')).toMatchObject({ ok: true, tenthMm: 3020 });
  expect(read(typed('12i///'), 'metric')).toMatchObject({ ok: true, tenthMm: Math.round(12.375 * 254) });
  // At home in inches the unit is not written.
  expect(typed('12///', 'inch')).toBe('12 3/8');
  expect(read(typed('12///', 'inch'), 'inch')).toMatchObject({ ok: true, tenthMm: Math.round(12.375 * 254) });
});

it('says in which unit it is', () => {
  expect(padUnit('30', 'cm')).toBe('cm');
  expect(padUnit('30 mm', 'cm')).toBe('mm');
  expect(padUnit('12 3/8 in', 'cm')).toBe('inch');
});
