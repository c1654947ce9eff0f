import { NTHS, RULE_DAYS, type DateHabits, type Nth } from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { DayField } from '@/kit/form/DayField';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Toggles } from '@/kit/form/Toggles';
import { LabelledLine } from '@/kit/layout/LabelledLine';
import { ruleDayWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import type { How, RhythmDraft } from './rhythmDraft';
import { everyWords, NTH_WORDS, WEEKDAY_CHOICES } from './words';

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
          all={RULE_DAYS.map((id) => ({ id, name: ruleDayWords(id) }))}
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
