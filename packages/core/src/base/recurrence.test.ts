import { dayOfId } from './idTime';
import { daysOfRule, EVERY_SATURDAY, isRecurrence } from './recurrence';

describe('recurrences of RFC 5545', () => {
  // Examples of the RFC, section 3.8.5.3, from the day its examples start on.
  it.each<[string, string, string, number, string[]]>([
    [
      'first Friday of the month',
      'FREQ=MONTHLY;BYDAY=1FR',
      '1997-09-05',
      100,
      ['1997-09-05', '1997-10-03', '1997-11-07', '1997-12-05'],
    ],
    [
      'Friday the 13th',
      'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
      '1997-09-02',
      600,
      ['1998-02-13', '1998-03-13', '1998-11-13'],
    ],
    [
      'third-to-last day of the month',
      'FREQ=MONTHLY;BYMONTHDAY=-3',
      '1997-09-28',
      100,
      ['1997-09-28', '1997-10-29', '1997-11-28', '1997-12-29'],
    ],
    [
      'every other week from Monday',
      'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=MO',
      '1997-08-05',
      40,
      ['1997-08-05', '1997-08-10', '1997-08-19', '1997-08-24'],
    ],
    [
      'every other week from Sunday',
      'FREQ=WEEKLY;INTERVAL=2;COUNT=4;BYDAY=TU,SU;WKST=SU',
      '1997-08-05',
      40,
      ['1997-08-05', '1997-08-17', '1997-08-19', '1997-08-31'],
    ],
    [
      'the 30th, which February has not',
      'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
      '2007-01-15',
      90,
      ['2007-01-15', '2007-01-30', '2007-02-15', '2007-03-15', '2007-03-30'],
    ],
    [
      'second-to-last weekday of the month',
      'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2',
      '1997-09-29',
      100,
      ['1997-09-29', '1997-10-30', '1997-11-27', '1997-12-30'],
    ],
  ])('%s', (_, rule, starts, days, wanted) => expect(daysOfRule(rule, starts, starts, days)).toEqual(wanted));
  it('every Saturday goes through the change of the clocks and the 29th of February', () => {
    expect(daysOfRule(EVERY_SATURDAY, '2020-01-01', '2028-02-20', 15)).toEqual(['2028-02-26', '2028-03-04']);
    expect(daysOfRule(EVERY_SATURDAY, '2020-01-01', '2026-10-20', 14)).toEqual(['2026-10-24', '2026-10-31']);
    expect(daysOfRule(EVERY_SATURDAY, '2026-11-28', '2026-11-28', 1)).toEqual(['2026-11-28']);
  });
  it('what cannot be read is no rule and falls on no day', () => {
    expect(['FREQ=WEEKLY;BYDAY=SA', 'FREQ=SOMETIMES', 'Saturdays', ''].map(isRecurrence)).toEqual([
      true,
      false,
      false,
      false,
    ]);
    expect(daysOfRule('FREQ=SOMETIMES', '2026-01-01', '2026-01-01', 30)).toEqual([]);
  });
  // Each of these the package takes, and with some it reckons for seconds up to the year 9999, or for ever.
  it.each([
    'FREQ=HOURLY;BYMONTH=2;BYMONTHDAY=31',
    'FREQ=DAILY;INTERVAL=-1',
    'FREQ=DAILY;INTERVAL=0',
    'FREQ=WEEKLY;COUNT=0',
    'FREQ=WEEKLY;BYDAY=2SA',
    'FREQ=WEEKLY;BYDAY=',
    'FREQ=MONTHLY;BYMONTHDAY=32',
    'FREQ=MONTHLY;FREQ=DAILY',
    'FREQ=WEEKLY;BYHOUR=9',
    'BYDAY=SU',
  ])('%s is none that is read here', (rule) => expect(isRecurrence(rule)).toBe(false));
  it('a rule that never falls on a day answers, however often it asks', () => {
    // By the package as it is, these are looked for for half a minute.
    for (const rule of [
      'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30,31',
      'FREQ=DAILY;BYMONTH=4,6;BYMONTHDAY=-31',
      'FREQ=MONTHLY;BYDAY=9SA',
      'FREQ=DAILY;INTERVAL=7;BYDAY=MO',
      'FREQ=YEARLY;BYWEEKNO=53;BYDAY=MO;BYMONTH=5',
    ])
      expect([rule, daysOfRule(rule, '2026-01-01', '2026-01-01', 3000)]).toEqual([rule, []]);
  });
  it('the 29th of February of years that have one; weeks keep their count over centuries', () => {
    expect(daysOfRule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29', '2096-01-01', '2096-01-01', 9 * 366)).toEqual([
      '2096-02-29',
      '2104-02-29',
    ]);
    const every = daysOfRule('FREQ=WEEKLY;INTERVAL=3;BYDAY=TH', '1970-01-01', '2026-11-01', 60);
    expect(every.map((day) => (Date.parse(day) / 86_400_000) % 21)).toEqual(every.map(() => 0));
  });
  it('an end of the rule itself counts, before it and after it', () => {
    expect(daysOfRule('FREQ=DAILY;UNTIL=20260103', '2026-01-01', '2026-01-02', 30)).toEqual([
      '2026-01-02',
      '2026-01-03',
    ]);
    expect(daysOfRule('FREQ=DAILY;UNTIL=20260103', '2026-01-01', '2026-01-04', 30)).toEqual([]);
    expect(daysOfRule('FREQ=DAILY;COUNT=2', '2026-01-01', '2025-12-01', 90)).toEqual(['2026-01-01', '2026-01-02']);
  });
});

describe('the day of an id', () => {
  it('is in ids of version 7, and in no others', () => {
    // RFC 9562, appendix A.6: 2022-02-22 14:22:22 -05:00.
    expect(dayOfId('017F22E2-79B0-7CC3-98C4-DC0C0C07398F')).toBe('2022-02-22');
    expect(dayOfId('919108f7-52d1-4320-9bac-f847db4148a8')).toBeNull();
  });
});
