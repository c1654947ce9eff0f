import Qty from 'js-quantities';
import { formatLength, formatSize, readLength } from './length';

const read = (text: string, unit: 'metric' | 'inch' = 'metric'): number | string => {
  const reading = readLength(text, unit);
  return reading.ok
    ? reading.tenthMm
    : `${reading.problem.kind}: ${'text' in reading.problem ? reading.problem.text : ''}`;
};

describe('readLength', () => {
  // Outside check: each expectation is what the general-purpose units library js-quantities makes of the same measure.
  it.each<[string, 'metric' | 'inch', string]>([
    ['31.5', 'metric', '31.5 cm'],
    ['31,5 cm', 'metric', '31.5 cm'],
    ['315mm', 'metric', '315 mm'],
    ['315 mm', 'inch', '315 mm'],
    ['1.8 m', 'metric', '1.8 m'],
    ['12 3/8"', 'metric', '12.375 in'],
    ['12 3/8', 'inch', '12.375 in'],
    ['12-3/8"', 'metric', '12.375 in'],
    ['12⅜"', 'metric', '12.375 in'],
    ['1\' 2 1/2"', 'metric', '14.5 in'],
    ['1\'2"', 'metric', '14 in'],
    ["6'", 'metric', '6 ft'],
    ['6 ft 2 in', 'metric', '74 in'],
    ['3/4"', 'metric', '0.75 in'],
    ['3/4', 'inch', '0.75 in'],
    ['.5"', 'metric', '0.5 in'],
    ['14.5 in', 'metric', '14.5 in'],
    ['14 inches', 'metric', '14 in'],
    ['5’ 3”', 'metric', '63 in'],
    ['½"', 'metric', '0.5 in'],
    ["1.5'", 'inch', '1.5 ft'],
  ])('%s in a %s home', (text, unit, reference) => {
    expect(read(text, unit)).toBe(Math.round(Qty(reference).to('mm').scalar * 10));
  });

  it.each(['', 'wide', '-5', '12 3/0"', '1 2 3', '3/4', '5 kg', '"', "'", '12 cm 5'])(
    'says what it read: "%s"',
    (text) => {
      expect(read(text)).toBe(`not_a: ${text}`);
    },
  );

  it('refuses nothing and too much', () => {
    expect(read('0')).toBe('nothing: 0');
    expect(read('101 m')).toBe('too_large: 101 m');
  });
});

describe('formatLength', () => {
  it.each([
    [3150, 'metric', '31.5 cm'],
    [18000, 'metric', '180 cm'],
    [3143, 'inch', '12 3/8"'],
    [254, 'inch', '1"'],
    [127, 'inch', '1/2"'],
    [64, 'inch', '1/4"'],
  ] as const)('%d tenths of a millimetre, %s', (tenthMm, unit, text) => {
    expect(formatLength(tenthMm, unit)).toBe(text);
  });
});

it('the sides of a thing are written in one unit', () => {
  expect(formatSize([4000, 4605, 3400], 'metric')).toBe('40 × 46.1 × 34 cm');
  expect(formatSize([3048, 2540], 'inch')).toBe('12" × 10"');
});
