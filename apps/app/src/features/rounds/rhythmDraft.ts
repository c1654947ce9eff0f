/** When a round falls due, while it is being written: what is chosen, and the rhythm that it says. */
import {
  choiceOfRule,
  isDateOfSomeYear,
  ONCE,
  partsOf,
  readDate,
  rhythmProblem,
  ruleOfChoice,
  type CivilDate,
  type DateHabits,
  type Nth,
  type Rhythm,
  type RuleChoice,
  type RuleDay,
} from '@ours/core';
import { yearDayWords } from '@/kit/text/dayWords';
import { RHYTHM_PROBLEMS, ruleDay } from './words';

export type How = 'days' | 'week' | 'month' | 'year' | 'once' | 'after' | 'season' | 'stock' | 'own';
/** When a round falls due, as it is being written. */
export interface RhythmDraft {
  how: How;
  intervals: { days: number; week: number; month: number };
  weekdays: RuleDay[];
  monthBy: 'weekday' | 'day';
  nth: Nth;
  weekday: RuleDay;
  /** As typed: a day of the month, and a day of the year. */
  monthDay: string;
  yearDay: string;
  afterDays: number;
  itemId: string | null;
  rule: string;
  startsOn: CivilDate;
  /** Something unreadable stands where the first day is written. */
  startUnread: boolean;
}

/** What a rhythm says, ready to be changed. */
export function draftOf(rhythm: Rhythm | null, startsOn: CivilDate, today: CivilDate): RhythmDraft {
  const rule = rhythm?.rule ?? '';
  const choice = rhythm?.kind === 'rule' ? choiceOfRule(rule) : null;
  const draft: RhythmDraft = {
    how: rhythm === null ? 'week' : rhythm.kind !== 'rule' ? rhythm.kind : rule === ONCE ? 'once' : howOf(choice),
    intervals: { days: 2, week: 1, month: 1 },
    weekdays: [ruleDay(today)],
    monthBy: 'weekday',
    nth: 1,
    weekday: ruleDay(today),
    monthDay: '',
    yearDay: '',
    afterDays: rhythm?.days ?? 30,
    itemId: rhythm?.itemId ?? null,
    rule,
    startsOn,
    startUnread: false,
  };
  if (choice?.every === 'day') draft.intervals.days = choice.interval;
  if (choice?.every === 'week') {
    draft.intervals.week = choice.interval;
    draft.weekdays = choice.days;
  }
  if (choice?.every === 'month') {
    draft.intervals.month = choice.interval;
    if ('day' in choice.on) Object.assign(draft, { monthBy: 'day', monthDay: String(choice.on.day) });
    else Object.assign(draft, choice.on);
  }
  if (choice?.every === 'year') draft.yearDay = yearDayWords(choice.month, choice.day);
  return draft;
}
const howOf = (choice: RuleChoice | null): How =>
  choice === null ? 'own' : choice.every === 'day' ? 'days' : choice.every;

/** The rhythm that is written, or one sentence on what is wrong with it. */
export function rhythmOf(draft: RhythmDraft, habits: DateHabits): { rhythm: Rhythm } | { problem: string } {
  const { how, intervals } = draft;
  if (draft.startUnread)
    return { problem: 'The first day cannot be read; write for example 12 mar, or nothing for today.' };
  const of = (rhythm: Rhythm): { rhythm: Rhythm } | { problem: string } => {
    const problem = rhythmProblem(rhythm, draft.startsOn);
    return problem ? { problem: RHYTHM_PROBLEMS[problem] } : { rhythm };
  };
  const by = (choice: RuleChoice): ReturnType<typeof of> =>
    of({ kind: 'rule', rule: ruleOfChoice(choice), days: null });
  switch (how) {
    case 'days':
      return by({ every: 'day', interval: intervals.days });
    case 'week':
      return draft.weekdays.length === 0
        ? { problem: RHYTHM_PROBLEMS.no_day }
        : by({ every: 'week', interval: intervals.week, days: draft.weekdays });
    case 'month': {
      if (draft.monthBy === 'weekday')
        return by({ every: 'month', interval: intervals.month, on: { nth: draft.nth, weekday: draft.weekday } });
      const day = /^\d{1,2}$/.test(draft.monthDay.trim()) ? Number(draft.monthDay) : 0;
      return day >= 1 && day <= 31
        ? by({ every: 'month', interval: intervals.month, on: { day } })
        : { problem: `“${draft.monthDay}” is no day of a month; write a number from 1 to 31.` };
    }
    case 'year': {
      const read = readDate(draft.yearDay, habits);
      const { month, day } = read.kind === 'date' ? partsOf(read.on) : { month: 0, day: 0 };
      return isDateOfSomeYear(month, day)
        ? by({ every: 'year', month, day })
        : { problem: `“${draft.yearDay}” is a day of no year; write for example 5 jun.` };
    }
    case 'once':
      return of({ kind: 'rule', rule: ONCE, days: null });
    case 'own':
      return of({ kind: 'rule', rule: draft.rule.trim().toUpperCase(), days: null });
    case 'after':
      return of({ kind: 'after', rule: null, days: draft.afterDays });
    case 'season':
      return of({ kind: 'season', rule: null, days: null });
    case 'stock':
      return of({ kind: 'stock', rule: null, days: null, itemId: draft.itemId });
  }
}
