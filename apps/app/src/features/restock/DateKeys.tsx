import { addDays, addMonths, type CivilDate } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';

/** A date that a key sets. */
export interface DateKey {
  key: string;
  label: string;
  on: CivilDate | null;
}

/** @param keeps days the thing usually keeps; null: not known */
export function dateKeys(day: CivilDate, keeps: number | null): DateKey[] {
  const monthEnd = addDays(addMonths(`${day.slice(0, 8)}01`, 1), -1);
  const usual: DateKey[] = keeps === null ? [] : [{ key: 'usual', label: 'as usual', on: addDays(day, keeps) }];
  return [
    ...usual,
    { key: 'week', label: '1 week', on: addDays(day, 7) },
    { key: 'month', label: '1 month', on: addMonths(day, 1) },
    { key: 'end', label: 'end of month', on: monthEnd },
    { key: 'none', label: 'no date', on: null },
  ];
}

/** One key for each date that is often meant. */
export function DateKeys({
  keys,
  day,
  selected,
  onPick,
}: {
  keys: readonly DateKey[];
  day: CivilDate;
  selected: string | null;
  onPick: (key: string) => void;
}) {
  return (
    <XStack gap={8} flexWrap="wrap">
      {keys.map((one) => (
        <DateKeyButton
          key={one.key}
          one={one}
          day={day}
          selected={selected === one.key}
          onPress={() => onPick(one.key)}
        />
      ))}
    </XStack>
  );
}

function DateKeyButton({
  one,
  day,
  selected,
  onPress,
}: {
  one: DateKey;
  day: CivilDate;
  selected: boolean;
  onPress: () => void;
}) {
  return (
    <YStack
      {...pressable({ onPress })}
      aria-pressed={selected}
      aria-label={`${one.label}${one.on ? `, ${dayWords(one.on, day)}` : ''}`}
      minHeight={52}
      minWidth={78}
      paddingHorizontal={10}
      alignItems="center"
      justifyContent="center"
      borderWidth={1}
      borderRadius={10}
      borderColor={selected ? '$green' : '$color'}
      backgroundColor={selected ? '$greenTint' : '$background'}
    >
      <Strong fontSize={15} color={selected ? '$green' : '$color'}>
        {one.label}
      </Strong>
      <Small>{one.on ? dayWords(one.on, day) : 'on it'}</Small>
    </YStack>
  );
}
