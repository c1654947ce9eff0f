import { readDate, type DateHabits } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { Button } from '@/kit/press/Button';
import { Field } from '@/kit/form/Field';
import { dateWords } from '@/features/stock/words';

/** A date as people write it, read while it is typed. */
export function DateField({
  facing,
  onDone,
  onLeaveOut,
}: {
  facing: DateHabits['facing'];
  onDone: (on: string | null) => void;
  /** Null when there is no date yet to be left out. */
  onLeaveOut: (() => void) | null;
}) {
  const { me } = useHouseholdContext();
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const [text, setText] = useState('');
  const reading = readDate(text, { order, today: today(), facing });
  const problem =
    text.trim() !== '' && reading.kind === 'unreadable'
      ? `“${text}” is not a date${facing === 'behind' ? ' that has been' : ''}; write for example 3/27, 12 mar, 2027-03-01 or ${facing === 'behind' ? '3 days ago' : 'in 3 days'}.`
      : undefined;
  return (
    <YStack flex={1} gap={6}>
      <Field
        label="Date"
        hideLabel
        autoFocus
        placeholder={facing === 'behind' ? '12 mar, 3 days ago' : '3/27, 12 mar, in 3 days'}
        value={text}
        onChangeText={setText}
        problem={problem}
        onSubmitEditing={() => onDone(reading.kind === 'date' ? reading.on : null)}
        submitBehavior="submit"
      />
      <XStack gap={8} flexWrap="wrap">
        {reading.kind === 'date' ? (
          <Button label={dateWords(reading.on, today())} onPress={() => onDone(reading.on)} />
        ) : null}
        {reading.kind === 'ambiguous'
          ? reading.options.map(({ on }) => (
              <Button key={on} label={dateWords(on, today())} onPress={() => onDone(on)} />
            ))
          : null}
        {onLeaveOut ? <Button kind="quiet" label="leave out" onPress={onLeaveOut} /> : null}
        <Button kind="quiet" label="cancel" onPress={() => onDone(null)} />
      </XStack>
    </YStack>
  );
}
