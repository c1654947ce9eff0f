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
});

describe('the day of an id', () => {
  it('is in ids of version 7, and in no others', () => {
    // RFC 9562, appendix A.6: 2022-02-22 14:22:22 -05:00.
    expect(dayOfId('017F22E2-79B0-7CC3-98C4-DC0C0C07398F')).toBe('2022-02-22');
    expect(dayOfId('919108f7-52d1-4320-9bac-f847db4148a8')).toBeNull();
  });
});
