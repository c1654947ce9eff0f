import {
  choiceOfRule,
  isDateOfSomeYear,
  NTHS,
  ONCE,
  partsOf,
  readDate,
  rhythmProblem,
  RULE_DAYS,
  ruleOfChoice,
  type CivilDate,
  type DateHabits,
  type Nth,
  type Rhythm,
  type RuleChoice,
  type RuleDay,
} from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { DayField } from '@/kit/form/DayField';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Toggles } from '@/kit/form/Toggles';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { everyWords, NTH_WORDS, RHYTHM_PROBLEMS, ruleDay, shortDayName, WEEKDAY_CHOICES } from './words';

type How = 'days' | 'week' | 'month' | 'year' | 'once' | 'after' | 'season' | 'stock' | 'own';
const HOWS: readonly { value: How; label: string }[] = [
  { value: 'week', label: 'Weekly' },
  { value: 'month', label: 'Monthly' },
  { value: 'year', label: 'Yearly' },
  { value: 'days', label: 'Every few days' },
  { value: 'after', label: 'After it was done' },
  { value: 'season', label: 'When the season turns' },
  { value: 'stock', label: 'When something is put in' },
  { value: 'once', label: 'Once' },
  { value: 'own', label: 'A rule' },
];

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

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');

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
  if (choice?.every === 'year') draft.yearDay = `${choice.day} ${MONTHS[choice.month - 1]}`;
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
      const { yearDay } = draft;
      const read = readDate(yearDay, habits);
      if (read.kind !== 'date' || yearDay.trim() === '')
        return { problem: `“${yearDay}” is a day of no year; write for example 5 jun.` };
      const { month, day } = partsOf(read.on);
      return isDateOfSomeYear(month, day)
        ? by({ every: 'year', month, day })
        : { problem: `“${yearDay}” is a day of no year; write for example 5 jun.` };
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

/** When a round falls due: how it comes back, on which days, from when on. */
export function RhythmFields({
  draft,
  habits,
  problem,
  onChange,
}: {
  draft: RhythmDraft;
  habits: DateHabits;
  /** Said once it was tried to save. */
  problem: string | null;
  onChange: (draft: RhythmDraft) => void;
}) {
  const { how } = draft;
  const followed = useHousehold(({ state }) =>
    draft.itemId === null ? null : (state.get('item', draft.itemId)?.name ?? null),
  );
  // The day it was as the field was opened: what is typed stays as it was typed.
  const [start] = useState(draft.startsOn === habits.today ? '' : draft.startsOn);
  const set = (more: Partial<RhythmDraft>): void => onChange({ ...draft, ...more });
  return (
    <YStack gap={12}>
      <Choices label="When" wrap choices={HOWS} value={how} onChange={(next) => set({ how: next })} />
      {how === 'days' || how === 'week' || how === 'month' ? (
        <Every
          of={how}
          value={draft.intervals[how]}
          onChange={(value) => set({ intervals: { ...draft.intervals, [how]: value } })}
        />
      ) : null}
      {how === 'week' ? (
        <Toggles
          label="On"
          all={RULE_DAYS.map((id) => ({ id, name: shortDayName(id) }))}
          chosen={draft.weekdays}
          onChange={(chosen) => set({ weekdays: RULE_DAYS.filter((day) => chosen.includes(day)) })}
        />
      ) : null}
      {how === 'month' ? <MonthDays draft={draft} set={set} /> : null}
      {how === 'year' ? (
        <Field
          label="On which day of the year"
          value={draft.yearDay}
          onChangeText={(yearDay) => set({ yearDay })}
          placeholder="5 jun"
        />
      ) : null}
      {how === 'after' ? (
        <LabelledLine label="Days after it was last done">
          <Stepper
            label="Days after it was last done"
            value={draft.afterDays}
            less="A day less"
            more="A day more"
            canLess={draft.afterDays > 1}
            onLess={() => set({ afterDays: draft.afterDays - 1 })}
            onMore={() => set({ afterDays: draft.afterDays + 1 })}
          />
        </LabelledLine>
      ) : null}
      {how === 'stock' ? (
        <YStack gap={6}>
          {followed === null ? null : <Strong>{`When ${followed} is put in`}</Strong>}
          <ItemPicker label="Which thing?" onPick={({ id }) => set({ itemId: id })} />
        </YStack>
      ) : null}
      {how === 'own' ? (
        <Field
          label="Rule"
          value={draft.rule}
          onChangeText={(rule) => set({ rule })}
          placeholder="FREQ=MONTHLY;BYMONTHDAY=15"
          hint="As in calendars (RFC 5545), in days: DAILY, WEEKLY, MONTHLY or YEARLY."
          autoCapitalize="characters"
        />
      ) : null}
      <DayField
        label={how === 'once' ? 'On which day (nothing written: today)' : 'Not before (nothing written: today)'}
        start={start}
        habits={habits}
        onChange={(on, text) => set({ startsOn: on ?? habits.today, startUnread: on === null && text.trim() !== '' })}
      />
      {problem ? (
        <Small color="$late" role="alert">
          {problem}
        </Small>
      ) : null}
    </YStack>
  );
}

const LONGEST_INTERVAL = 99;
function Every({
  of,
  value,
  onChange,
}: {
  of: 'days' | 'week' | 'month';
  value: number;
  onChange: (value: number) => void;
}) {
  return (
    <LabelledLine label={everyWords(of, value)}>
      <Stepper
        label={everyWords(of, value)}
        value={value}
        less="More often"
        more="Less often"
        canLess={value > 1}
        canMore={value < LONGEST_INTERVAL}
        onLess={() => onChange(value - 1)}
        onMore={() => onChange(value + 1)}
      />
    </LabelledLine>
  );
}

/** From this day of the month on there are months that lack it. */
const NOT_IN_ALL_MONTHS = 29;
function MonthDays({ draft, set }: { draft: RhythmDraft; set: (more: Partial<RhythmDraft>) => void }) {
  return (
    <YStack gap={8}>
      <Choices
        label="By"
        choices={[
          { value: 'weekday', label: 'Weekday' },
          { value: 'day', label: 'Day of the month' },
        ]}
        value={draft.monthBy}
        onChange={(monthBy) => set({ monthBy })}
      />
      {draft.monthBy === 'weekday' ? (
        <>
          <Choices
            label="On the"
            wrap
            choices={NTHS.map((nth) => ({ value: String(nth), label: NTH_WORDS[nth] }))}
            value={String(draft.nth)}
            onChange={(nth) => set({ nth: Number(nth) as Nth })}
          />
          <Choices
            label="Weekday"
            hideLabel
            wrap
            choices={WEEKDAY_CHOICES}
            value={draft.weekday}
            onChange={(weekday) => set({ weekday })}
          />
        </>
      ) : (
        <Field
          label="Which day of the month"
          value={draft.monthDay}
          onChangeText={(monthDay) => set({ monthDay })}
          inputMode="numeric"
          placeholder="15"
          hint={Number(draft.monthDay) >= NOT_IN_ALL_MONTHS ? 'Months that lack this day are left out.' : undefined}
        />
      )}
    </YStack>
  );
}
