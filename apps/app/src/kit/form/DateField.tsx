import { readDate, type CivilDate, type DateHabits } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { dayWords } from '@/kit/text/dayWords';
import { Field } from './Field';

/** A date as people write it, read while it is typed, by the rules of the lines that are recorded. */
export function DateField({
  label = 'Date',
  habits,
  onDone,
  onCancel,
  onLeaveOut,
}: {
  label?: string;
  /** How 3/4 is read, which day it is, and whether the date lies ahead or behind. */
  habits: DateHabits;
  onDone: (on: CivilDate) => void;
  onCancel: () => void;
  /** Missing when there is no date yet to be left out. */
  onLeaveOut?: (() => void) | undefined;
}) {
  const { facing, today } = habits;
  const [text, setText] = useState('');
  const reading = readDate(text, habits);
  const problem =
    text.trim() !== '' && reading.kind === 'unreadable'
      ? `“${text}” is not a date${facing === 'behind' ? ' that has been' : ''}; write for example 3/27, 12 mar, 2027-03-01 or ${facing === 'behind' ? '3 days ago' : 'in 3 days'}.`
      : undefined;
  const meant = reading.kind === 'date' ? [reading] : reading.kind === 'ambiguous' ? reading.options : [];
  return (
    <YStack flex={1} gap={6}>
      <Field
        label={label}
        hideLabel
        autoFocus
        placeholder={facing === 'behind' ? '12 mar, 3 days ago' : '3/27, 12 mar, in 3 days'}
        value={text}
        onChangeText={setText}
        problem={problem}
        onSubmitEditing={() => {
          if (reading.kind === 'date') onDone(reading.on);
          else if (text.trim() === '') onCancel();
        }}
        submitBehavior="submit"
      />
      <XStack gap={8} flexWrap="wrap">
        {meant.map(({ on }) => (
          <Button key={on} label={dayWords(on, today)} onPress={() => onDone(on)} />
        ))}
        {onLeaveOut ? <Button kind="quiet" label="leave out" onPress={onLeaveOut} /> : null}
        <Button kind="quiet" label="cancel" onPress={onCancel} />
      </XStack>
    </YStack>
  );
}
