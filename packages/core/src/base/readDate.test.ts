import fc from 'fast-check';
import { addDays, civilDate, daysInMonth, partsOf } from './civilDate';
import { readDate, type DateHabits } from './readDate';

const TODAY = '2026-11-24'; // a Tuesday
const habits = (more: Partial<DateHabits> = {}): DateHabits => ({
  order: 'dmy',
  today: TODAY,
  facing: 'ahead',
  ...more,
});
const read = (text: string, more?: Partial<DateHabits>): string | string[] | null => {
  const reading = readDate(text, habits(more));
  if (reading.kind === 'date') return reading.on;
  return reading.kind === 'ambiguous' ? reading.options.map(({ on }) => on) : null;
};

describe('dates as people write them', () => {
  it.each<[string, string | string[] | null]>([
    ['today', '2026-11-24'],
    ['Tomorrow', '2026-11-25'],
    ['yesterday', '2026-11-23'],
    ['in a week', '2026-12-01'],
    ['in two months', '2027-01-24'],
    ['3 months ago', '2026-08-24'],
    ['2 years ago', '2024-11-24'],
    ['tue', '2026-11-24'],
    ['Wednesday', '2026-11-25'],
    ['mon', '2026-11-30'],
    ['1 January 2027', '2027-01-01'],
    ['Jan 1st, 2027', '2027-01-01'],
    ['1st jan 2027', '2027-01-01'],
    ['sept 2027', '2027-09-30'],
    ['2027 sep 3', '2027-09-03'],
    ['12-mar-27', '2027-03-12'],
    ['2027/3/5', '2027-03-05'],
    ['2027.03.05', '2027-03-05'],
    ['2027-3', '2027-03-31'],
    ['3-2027', '2027-03-31'],
    ['1.2.', '2027-02-01'],
    ['1.2.27', '2027-02-01'],
    ['01 02 27', '2027-02-01'],
    ['31.11.27', null],
    ['29.2.27', null],
    ['29.2.28', '2028-02-29'],
    ['13/13/27', null],
    ['3 days', null],
    ['next blue moon', null],
    ['', null],
    ['12', null],
    ['2300', null],
    ['1850', null],
    ['mar mar', null],
    ['1 2 3 mar', null],
    ['this week', '2026-11-29'],
    ['next week', '2026-12-01'],
    ['last week', '2026-11-17'],
    ['this month', '2026-11-30'],
    ['next month', '2026-12-31'],
    ['last month', '2026-10-31'],
    ['next year', '2027-12-31'],
    ['this fri', '2026-11-27'],
    ['last fri', '2026-11-20'],
    ['next fri', ['2026-11-27', '2026-12-04']],
    ['next tue', '2026-12-01'],
    ['mid 2027', '2027-06-30'],
    ['mid april', '2027-04-15'],
    ['start of april', '2027-04-01'],
    ['end of the month', '2026-11-30'],
    ['end of 2027', '2027-12-31'],
    ['end of tuesday', null],
    ['in a couple of weeks', '2026-12-08'],
    ['a week from now', '2026-12-01'],
    ['in zero days', '2026-11-24'],
    ['tue 24 nov', '2026-11-24'],
    ['24 nov, tue', '2026-11-24'],
    ['mon 24 nov', ['2026-11-24', '2026-11-30']],
    ['20270312', '2027-03-12'],
    ['12032027', '2027-03-12'],
    ['120327', '2027-03-12'],
    ['310327', ['2027-03-31', '2031-03-27']],
    ['0327', '2027-03-31'],
    ['1327', null],
    ["mar '27", '2027-03-31'],
    ['12mar27', '2027-03-12'],
    ['2027 mar', '2027-03-31'],
    ['mar 2027 4', null],
  ])('%s', (text, want) => expect(read(text)).toEqual(want));

  it.each<[string, string | string[] | null]>([
    ['24 nov', '2026-11-24'],
    ['25 nov', '2025-11-25'],
    ['fri', '2026-11-20'],
    ['tue', '2026-11-24'],
    ['11/10', '2026-10-11'],
    ['3/25', '2025-03-01'],
    ['dec', '2025-12-01'],
    ['2027', null],
    ['12/12/2026', null],
  ])('behind: %s', (text, want) => expect(read(text, { facing: 'behind' })).toEqual(want));

  it('every ISO date is itself, in any order of the home', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), fc.constantFrom('dmy', 'mdy', null), (days, order) => {
        const date = addDays('2000-01-01', days);
        expect(read(date, { order })).toBe(date);
      }),
      { seed: 9, numRuns: 300 },
    );
  });

  it('a full date in the home’s order is never read as another day; without an order it is among those asked', () => {
    fc.assert(
      fc.property(fc.integer({ min: -300, max: 3000 }), (days) => {
        const date = addDays(TODAY, days);
        const { year, month, day } = partsOf(date);
        expect(read(`${day}/${month}/${year}`, { order: 'dmy' })).toBe(date);
        expect(read(`${month}/${day}/${year}`, { order: 'mdy' })).toBe(date);
        expect([read(`${day}/${month}/${year}`, { order: null })].flat()).toContain(date);
      }),
      { seed: 10, numRuns: 300 },
    );
  });

  it('a month is its last day', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2027, max: 2060 }), fc.integer({ min: 1, max: 12 }), (year, month) => {
        expect(read(`${month}/${year}`)).toBe(civilDate(year, month, daysInMonth(year, month)));
      }),
      { seed: 11, numRuns: 200 },
    );
  });
});
