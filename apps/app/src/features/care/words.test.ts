import { clockWords } from '@/kit/text/dayWords';
import {
  fractionWords,
  inDayWords,
  lastTimeAt,
  momentWords,
  pillsWords,
  readTemperature,
  spanOfMinutes,
  temperatureWords,
} from './words';

const at = (day: number, hour: number, minute = 0): number => new Date(2026, 10, day, hour, minute).getTime();
const iso = (ms: number): string => new Date(ms).toISOString();

it('a moment is said as short as it can be', () => {
  const now = at(25, 11, 40);
  expect(momentWords(iso(at(25, 6, 30)), now)).toBe('06:30');
  expect(momentWords(iso(at(24, 22, 10)), now)).toBe('Tue 22:10');
  expect(momentWords(iso(at(3, 15, 45)), now)).toBe('3 Nov 15:45');
  expect(momentWords(iso(at(26, 1)), now)).toBe('26 Nov 01:00');
});

it('a time that was typed is the last one at which the clock showed it', () => {
  const now = at(25, 6, 30);
  expect(lastTimeAt('6:05', now)).toBe(at(25, 6, 5));
  expect(lastTimeAt('22:10', now)).toBe(at(24, 22, 10));
  expect(lastTimeAt('0630', now)).toBe(now);
  expect(lastTimeAt('9:15 pm', now)).toBe(at(24, 21, 15));
  expect(lastTimeAt('yesterday 5:00', now)).toBe(at(24, 5));
  expect(lastTimeAt('22 nov, 9:15 pm', now)).toBe(at(22, 21, 15));
  // What is still to come was not given yet, and of two days that it may be none is taken.
  for (const text of ['', '25:00', '12:60', 'noon', '7', 'today 7:00', '13:00 pm', '5/6 9:00'])
    expect([text, lastTimeAt(text, now)]).toEqual([text, null]);
});

it.each([
  ['38.9', 'metric', 389],
  ['38,9 °C', 'metric', 389],
  ['102', 'inch', 389],
  ['102.0 °F', 'inch', 389],
  ['102 f', 'metric', 389],
  ['38.9 c', 'inch', 389],
  ['389', 'metric', null],
  ['38.9 k', 'metric', null],
  ['12', 'metric', null],
  ['warm', 'metric', null],
  ['', 'metric', null],
] as const)('“%s” in a home of %s is %j tenths of a degree', (text, unit, tenth) => {
  expect(readTemperature(text, unit)).toBe(tenth);
});

it('says temperatures, spans and counts', () => {
  expect(temperatureWords(389, 'metric')).toBe('38.9 °C');
  expect(temperatureWords(389, 'inch')).toBe('102.0 °F');
  expect([50, 60, 200, 1439, 2880, 4400].map(spanOfMinutes)).toEqual([
    '50 min',
    '1 h',
    '3 h 20 min',
    '23 h 59 min',
    '2 days',
    '3 days',
  ]);
  expect([inDayWords(3, 4), inDayWords(1, null)]).toEqual(['3 of at most 4 in 24 hours', '1 in 24 hours']);
  expect(clockWords(new Date(at(1, 6, 5)))).toBe('06:05');
});

it('amounts for a pill box in quarters as they are written, others as decimals', () => {
  expect([250, 500, 1000, 1500, 2750, 330].map(fractionWords)).toEqual(['¼', '½', '1', '1½', '2¾', '0.33']);
});
it('what goes into a box, with its days', () => {
  const typed = {
    personId: 'a',
    morning: 1000,
    noon: 0,
    evening: 500,
    night: 0,
    typedById: null,
    typedOn: '2026-11-12',
  };
  expect(pillsWords({ ...typed, days: [] })).toBe('1 in the morning, ½ in the evening');
  expect(pillsWords({ ...typed, days: ['MO', 'TH'] })).toBe('1 in the morning, ½ in the evening; Mon, Thu');
});
