import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { pressable } from '@/kit/press/pressable';
import { Mark } from '@/kit/text/Mark';
import { Strong, Text } from '@/kit/text/Text';

export interface WordChoice<T> {
  value: T;
  label: string;
  detail?: string;
}

/** A word of a sentence that can be another one: a tap shows which. */
export function SentenceWord<T extends string | null>({
  label,
  choices,
  value,
  after = '',
  onChange,
}: {
  /** What is chosen, for the dialog and a screen reader. */
  label: string;
  choices: readonly WordChoice<T>[];
  value: T;
  /** Stands behind it without a blank: a comma. */
  after?: string;
  onChange: (value: T) => void;
}) {
  const [open, setOpen] = useState(false);
  // A view may be kept longer than what it names.
  const words = choices.find((choice) => choice.value === value)?.label ?? 'one that is gone';
  return (
    <>
      <XStack alignItems="center">
        <XStack
          {...pressable({ onPress: () => setOpen(true) })}
          aria-label={`${label}: ${words}`}
          minHeight={32}
          alignItems="center"
          borderBottomWidth={2}
          borderColor="$accent"
        >
          <Strong color="$accent">{words}</Strong>
        </XStack>
        {after === '' ? null : <Text>{after}</Text>}
      </XStack>
      <Dialog title={label} open={open} onClose={() => setOpen(false)}>
        <YStack>
          {choices.map((choice) => (
            <ListRow
              key={String(choice.value)}
              title={choice.label}
              detail={choice.detail}
              selected={choice.value === value}
              right={choice.value === value ? <Mark kind="plain" label="now" /> : null}
              onPress={() => {
                setOpen(false);
                onChange(choice.value);
              }}
            />
          ))}
        </YStack>
      </Dialog>
    </>
  );
}
