import { READY_MADE } from '@ours/core';
import {
  afreshWords,
  backlogWords,
  countedWords,
  driftDetail,
  driftedWords,
  driftTitle,
  lastWords,
  leftOfWords,
  minutesWords,
  monthWords,
  rhythmWords,
  ROUND_ABOUT,
  ROUND_NAMES,
  ruleDay,
  shareWords,
  swapProblemWords,
  turnTitle,
  weekShareWords,
  whenWords,
  wholeWords,
} from './words';

const rule = (text: string) => ({ kind: 'rule' as const, rule: text, days: null });

it.each([
  [rule('FREQ=WEEKLY;BYDAY=WE'), 'every Wednesday'],
  [rule('FREQ=WEEKLY;BYDAY=MO,TH'), 'every Monday and Thursday'],
  [rule('FREQ=MONTHLY;BYDAY=1SA'), 'on the first Saturday of the month'],
  [rule('FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=1'), 'on day 1, every 3 months'],
  [rule('FREQ=MONTHLY;BYMONTHDAY=15'), 'on day 15 of the month'],
  [rule('FREQ=DAILY'), 'every day'],
  [rule('FREQ=DAILY;INTERVAL=3'), 'every 3 days'],
  [rule('FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,WE,FR'), 'every 2 weeks on Monday, Wednesday, and Friday'],
  [rule('FREQ=MONTHLY;INTERVAL=2;BYDAY=-1FR'), 'on the last Friday, every 2 months'],
  [rule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29'), 'every year on 29 Feb'],
  [rule('FREQ=DAILY;COUNT=1'), 'once'],
  [rule('FREQ=YEARLY;BYMONTH=5'), 'FREQ=YEARLY;BYMONTH=5'],
  [{ kind: 'after' as const, rule: null, days: 75 }, '75 days after it was last done'],
  [{ kind: 'after' as const, rule: null, days: 1 }, '1 day after it was last done'],
  [{ kind: 'season' as const, rule: null, days: null }, 'when the season turns'],
])('%j is said as “%s”', (rhythm, words) => expect(rhythmWords(rhythm)).toBe(words));

it('when, how long, by whom', () => {
  const due = { dueOn: '2026-11-25', on: '2026-11-25' } as never;
  expect(whenWords({ due, lateDays: 0, next: null }, '2026-11-25')).toBe('due today');
  expect(whenWords({ due, lateDays: 1, next: null }, '2026-11-26')).toBe('1 day late');
  expect(whenWords({ due, lateDays: 3, next: null }, '2026-11-28')).toBe('3 days late');
  expect(whenWords({ due: null, lateDays: 0, next: '2026-11-29' }, '2026-11-27')).toBe('Sun 29 Nov');
  expect([8, 60, 127].map(minutesWords)).toEqual(['8 min', '1 h', '2 h 7 min']);
  expect(lastWords('2026-11-18', 'Runa', '2026-11-27')).toBe('last done 18 Nov by Runa');
  expect(lastWords(null, null, '2026-11-27')).toBe('not done yet');
  expect(afreshWords(52)).toMatch(/^52 turns were missed\. Begin afresh/);
  expect([countedWords('3 rolls', '3 rolls'), countedWords('3 rolls', '2 rolls')]).toEqual([
    '3 rolls, as expected',
    '2 rolls; expected were 3 rolls',
  ]);
  expect(ruleDay('2026-11-29')).toBe('SU');
});

it('all of more than one is said to be all', () =>
  expect([wholeWords('used', 1000), wholeWords('thrown', 2000)]).toEqual(['Used', 'All thrown']));

it('what drifted', () => {
  expect(driftTitle({ names: ['a', 'b', 'c', 'd', 'e'] })).toBe('a, b, c and 2 more');
  expect(driftDetail({ kind: 'moved' }, 'top shelf')).toBe('Stands on another shelf; planned: top shelf.');
  expect([0, 1, 3].map(driftedWords)).toEqual([
    'As planned: nothing drifted',
    'As planned? 1 place drifted',
    'As planned? 3 places drifted',
  ]);
});

it('every ready-made round has a name and says what is done in it', () => {
  for (const { kind } of READY_MADE)
    expect([ROUND_NAMES[kind], ROUND_ABOUT[kind]].every((words) => words.length > 5)).toBe(true);
});

it('says how a turn of the calendar went', () => {
  expect(monthWords('2026-11-01')).toBe('November 2026');
  const now = { round: { name: 'Friday list' }, strip: [{ on: '2026-11-20', state: 'done' }] } as never;
  expect(turnTitle(now, '2026-11-20', '2026-11-27')).toBe('Friday list, 20 Nov, done');
  expect(turnTitle(now, '2026-12-04', '2026-11-27')).toBe('Friday list, 4 Dec, ahead');
});

it('says what is left of a sitting, and how it went', () => {
  const sitting = { startedAt: '2026-11-20T10:00:00.000Z', plannedMinutes: 25 };
  const at = (minutes: number): number => Date.parse(sitting.startedAt) + minutes * 60_000;
  expect([leftOfWords(sitting, at(13)), leftOfWords(sitting, at(28))]).toEqual(['12 min', '3 min over']);
  const done = { ...sitting, words: 'tools', personId: null, putAway: 12, givenAway: 3, left: 4 };
  expect(backlogWords({ ...done, endedAt: '2026-11-20T10:24:40.000Z' }, '2026-11-27')).toBe(
    '20 Nov, 25 min: 12 put away, 3 given away, 4 left',
  );
});

it('says why two bins stay where they are', () => {
  const high = { kind: 'too_high' as const, name: 'skis', isTenthMm: 3900, clearTenthMm: 2500 };
  expect(swapProblemWords(high, 'metric')).toBe('skis is 39 cm high; 25 cm are clear there.');
});

it('says how much was in place, never rounded up', () => {
  expect(shareWords({ places: 60, inPlace: 58 })).toBe('58 of 60 places are as set up');
  const weeks = [
    { week: '2026-10-26', places: 60, inPlace: 55 },
    { week: '2026-11-23', places: 200, inPlace: 199 },
  ];
  expect(weekShareWords(weeks, '2026-11-27')).toBe('91 % in the week of 26 Oct, 99 % last');
});
