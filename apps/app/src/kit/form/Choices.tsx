import { useRef } from 'react';
import { ScrollView, XStack, YStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { Small, Strong } from '@/kit/text/Text';
import type { Choice } from './choice';

const PILL = { minHeight: 44, paddingHorizontal: 14, alignItems: 'center', borderRadius: 22, borderWidth: 1 } as const;
const CARD = {
  flexDirection: 'column',
  width: 83,
  padding: 4,
  gap: 4,
  alignItems: 'center',
  justifyContent: 'flex-end',
  borderRadius: 10,
  borderWidth: 1,
} as const;
const CARD_TEXT = { fontSize: 13, lineHeight: 16, textAlign: 'center', minHeight: 32 } as const;

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/**
 * One of a few, as pills in a line that scrolls sideways (or wraps). By keyboard it is one stop: the arrow keys go from
 * pill to pill, Space or Enter chooses, so that passing by changes nothing.
 */
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
  const pills = useRef(new Map<T, HTMLElement>());
  const entry = choices.some((choice) => choice.value === value) ? value : choices[0]?.value;
  const drawn = choices.map((choice, at) => {
    const chosen = choice.value === value;
    const press = pressable({ onPress: () => onChange(choice.value), role: 'radio' });
    const step = (event: KeyboardEvent): void => {
      const by = STEPS[event.key];
      if (by === undefined) return (press.onKeyDown as (event: KeyboardEvent) => void)(event);
      event.preventDefault();
      const next = choices[(at + by + choices.length) % choices.length];
      if (next) pills.current.get(next.value)?.focus();
    };
    return (
      <XStack
        key={choice.value}
        {...press}
        ref={
          ((node: HTMLElement | null) => {
            if (node) pills.current.set(choice.value, node);
            else pills.current.delete(choice.value);
          }) as never
        }
        aria-checked={chosen}
        aria-label={choice.label}
        tabIndex={choice.value === entry ? 0 : -1}
        onKeyDown={step as never}
        {...(choice.picture === undefined ? PILL : CARD)}
        borderColor={chosen ? '$green' : '$second'}
        backgroundColor={chosen ? '$greenTint' : '$background'}
      >
        {choice.picture}
        <Strong {...(choice.picture === undefined ? { fontSize: 15 } : CARD_TEXT)} color={chosen ? '$green' : '$color'}>
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
          {drawn}
        </XStack>
      ) : (
        <ScrollView horizontal showsHorizontalScrollIndicator={false}>
          <XStack gap={8} paddingRight={16} paddingVertical={2}>
            {drawn}
          </XStack>
        </ScrollView>
      )}
    </YStack>
  );
}
