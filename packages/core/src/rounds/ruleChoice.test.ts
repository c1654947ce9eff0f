import { daysOfRule, isRecurrence } from '../base';
import { choiceOfRule, isDateOfSomeYear, ruleOfChoice, type RuleChoice } from './ruleChoice';

// The rules are written as in RFC 5545, 3.8.5.3, and their days are those its examples give.
it.each<[RuleChoice, string, string, string[]]>([
  [{ every: 'day', interval: 10 }, 'FREQ=DAILY;INTERVAL=10', '1997-09-02', ['1997-09-02', '1997-09-12', '1997-09-22']],
  [
    { every: 'week', interval: 2, days: ['FR', 'MO', 'WE'] },
    'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE,FR',
    '1997-09-01',
    ['1997-09-01', '1997-09-03', '1997-09-05', '1997-09-15'],
  ],
  [
    { every: 'month', interval: 1, on: { nth: 1, weekday: 'FR' } },
    'FREQ=MONTHLY;BYDAY=1FR',
    '1997-09-05',
    ['1997-09-05', '1997-10-03', '1997-11-07'],
  ],
  [
    { every: 'month', interval: 2, on: { nth: -1, weekday: 'SU' } },
    'FREQ=MONTHLY;INTERVAL=2;BYDAY=-1SU',
    '1997-09-01',
    ['1997-09-28', '1997-11-30'],
  ],
  [
    { every: 'month', interval: 1, on: { day: 31 } },
    'FREQ=MONTHLY;BYMONTHDAY=31',
    '1997-09-01',
    ['1997-10-31', '1997-12-31'],
  ],
  [
    { every: 'year', month: 6, day: 10 },
    'FREQ=YEARLY;BYMONTH=6;BYMONTHDAY=10',
    '1997-06-10',
    ['1997-06-10', '1998-06-10'],
  ],
])('%j is written %s, falls on its days and is read back', (choice, rule, starts, days) => {
  expect(ruleOfChoice(choice)).toBe(rule);
  expect(isRecurrence(rule)).toBe(true);
  expect(daysOfRule(rule, starts, starts, 600).slice(0, days.length)).toEqual(days);
  expect(ruleOfChoice(choiceOfRule(rule)!)).toBe(rule);
});

it.each([
  'FREQ=WEEKLY;BYDAY=SU;COUNT=3',
  'FREQ=WEEKLY',
  'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13',
  'FREQ=MONTHLY;BYMONTHDAY=-3',
  'FREQ=MONTHLY;BYMONTHDAY=15,30',
  'FREQ=YEARLY;INTERVAL=2;BYMONTH=1;BYMONTHDAY=1',
  'FREQ=YEARLY;BYMONTH=1,2;BYMONTHDAY=1',
  'no rule',
])('%s says more than can be chosen in words', (rule) => expect(choiceOfRule(rule)).toBeNull());

it('the 31st of February and the 30th of Sunday are in no year; the 29th of February is in some', () => {
  expect(isDateOfSomeYear(2, 31)).toBe(false);
  expect(isDateOfSomeYear(2, 29)).toBe(true);
  expect(isDateOfSomeYear(13, 1)).toBe(false);
  expect(isDateOfSomeYear(4, 0)).toBe(false);
});
