import type { Rhythm } from '@ours/core';
import { draftOf, rhythmOf } from './rhythmDraft';

const TODAY = '2026-11-28';
const habits = { order: 'dmy' as const, today: TODAY, facing: 'ahead' as const };
const rule = (text: string): Rhythm => ({ kind: 'rule', rule: text, days: null });

// Rules as in RFC 5545, 3.8.5.3.
it.each<[string, Rhythm]>([
  ['days', rule('FREQ=DAILY;INTERVAL=10')],
  ['week', rule('FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE,FR')],
  ['month', rule('FREQ=MONTHLY;BYDAY=-1FR')],
  ['month', rule('FREQ=MONTHLY;INTERVAL=2;BYMONTHDAY=31')],
  ['year', rule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29')],
  ['once', rule('FREQ=DAILY;COUNT=1')],
  ['own', rule('FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13')],
  ['after', { kind: 'after', rule: null, days: 75 }],
  ['season', { kind: 'season', rule: null, days: null }],
  ['stock', { kind: 'stock', rule: null, days: null, itemId: 'salt' }],
])('opened and saved as it is, %s stays what it was', (how, rhythm) => {
  const draft = draftOf(rhythm, '2026-10-01', TODAY);
  expect(draft.how).toBe(how);
  expect(rhythmOf(draft, habits)).toEqual({ rhythm });
});

it('a new one comes back on today’s weekday', () => {
  expect(rhythmOf(draftOf(null, TODAY, TODAY), habits)).toEqual({ rhythm: rule('FREQ=WEEKLY;BYDAY=SA') });
});

it('what cannot be is said in one sentence', () => {
  const draft = draftOf(null, TODAY, TODAY);
  const said = (more: Partial<typeof draft>): string => {
    const written = rhythmOf({ ...draft, ...more }, habits);
    return 'problem' in written ? written.problem : '';
  };
  expect(said({ weekdays: [] })).toMatch(/^Nothing says when/);
  expect(said({ how: 'year', yearDay: '31 feb' })).toMatch(/^“31 feb” is a day of no year/);
  expect(said({ how: 'year', yearDay: '' })).toMatch(/is a day of no year/);
  expect(said({ how: 'month', monthBy: 'day', monthDay: '0' })).toMatch(/^“0” is no day of a month/);
  expect(said({ how: 'own', rule: 'FREQ=HOURLY' })).toMatch(/^That is no recurrence rule of days/);
  expect(said({ how: 'own', rule: 'FREQ=DAILY;BYMONTH=2;BYMONTHDAY=31' })).toMatch(/^By that it never falls due/);
  expect(said({ how: 'stock' })).toMatch(/^Nothing says when/);
  expect(said({ startUnread: true })).toMatch(/^The first day cannot be read/);
});
