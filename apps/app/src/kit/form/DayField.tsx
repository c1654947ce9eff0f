import { readDate, type CivilDate, type DateHabits } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from './Choices';
import { Field } from './Field';
import { dayWords, weekdayAndDay } from '@/kit/text/dayWords';

/** A date that stays in its field: read while it is typed, and said below how it was read. One that can be two days is asked. */
export function DayField({
  label,
  start = '',
  habits,
  onChange,
}: {
  label: string;
  start?: string;
  habits: DateHabits;
  /** Null: nothing that can be read stands there; with what was typed. */
  onChange: (on: CivilDate | null, text: string) => void;
}) {
  const { facing, today } = habits;
  const [text, setText] = useState(start);
  const [chosen, setChosen] = useState<CivilDate | null>(null);
  const reading = readDate(text, habits);
  const on = reading.kind === 'date' ? reading.on : null;
  const write = (next: string): void => {
    setText(next);
    setChosen(null);
    const read = readDate(next, habits);
    onChange(read.kind === 'date' ? read.on : null, next);
  };
  return (
    <YStack gap={6}>
      <Field
        label={label}
        value={text}
        onChangeText={write}
        placeholder={facing === 'behind' ? '12 mar, 3 days ago' : '3/27, 12 mar, in 3 days'}
        hint={on === null ? undefined : weekdayAndDay(on, today)}
        problem={
          text.trim() !== '' && reading.kind === 'unreadable'
            ? `“${text}” is not a date; write for example 12 mar, 2027-03-01 or in 3 days.`
            : undefined
        }
      />
      {reading.kind === 'ambiguous' ? (
        <XStack gap={8}>
          <Choices
            label="Which day is meant?"
            choices={reading.options.map((option) => ({ value: option.on, label: dayWords(option.on, today) }))}
            value={chosen}
            onChange={(day) => {
              setChosen(day);
              onChange(day, text);
            }}
          />
        </XStack>
      ) : null}
    </YStack>
  );
}
