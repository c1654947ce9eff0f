import { ScrollView, XStack, YStack } from 'tamagui';
import { Small, Strong } from '@/kit/text/Text';

export interface Choice<T extends string> {
  value: T;
  label: string;
}

/** One of a few, as pills in a line that scrolls sideways (or wraps). */
export function Choices<T extends string>({
  label,
  choices,
  value,
  onChange,
  wrap = false,
  hideLabel = false,
}: {
  label: string;
  choices: readonly Choice<T>[];
  value: T | null;
  onChange: (value: T) => void;
  wrap?: boolean;
  hideLabel?: boolean;
}) {
  const pills = choices.map((choice) => {
    const chosen = choice.value === value;
    const choose = (): void => onChange(choice.value);
    return (
      <XStack
        key={choice.value}
        role="radio"
        aria-checked={chosen}
        aria-label={choice.label}
        tabIndex={0}
        onPress={choose}
        onKeyDown={
          ((event: KeyboardEvent) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            choose();
          }) as never
        }
        minHeight={44}
        paddingHorizontal={14}
        alignItems="center"
        borderRadius={22}
        borderWidth={1}
        cursor="pointer"
        borderColor={chosen ? '$green' : '$borderColor'}
        backgroundColor={chosen ? '$greenTint' : '$background'}
      >
        <Strong fontSize={15} color={chosen ? '$green' : '$color'}>
          {choice.label}
        </Strong>
      </XStack>
    );
  });
  return (
    <YStack gap={4} role="radiogroup" aria-label={label}>
      {hideLabel ? null : <Small>{label}</Small>}
      {wrap ? (
        <XStack gap={8} flexWrap="wrap">
          {pills}
        </XStack>
      ) : (
        <ScrollView horizontal showsHorizontalScrollIndicator={false}>
          <XStack gap={8} paddingRight={16} paddingVertical={2}>
            {pills}
          </XStack>
        </ScrollView>
      )}
    </YStack>
  );
}
