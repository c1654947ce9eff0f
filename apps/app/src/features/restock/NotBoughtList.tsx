import type { ItemRow, RestockEntry } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { LongList } from '@/kit/layout/LongList';
import { pressable } from '@/kit/press/pressable';
import { counted } from '@/kit/text/counted';
import { Small, Strong } from '@/kit/text/Text';
import { barOf, type RulerPlan } from './RestockRow';
import { RunwayRow } from './RunwayRow';
import { notBoughtWords } from './words';

const ROW_HEIGHT = 64;

/** What is not on the list, folded, each with why: it lasts, more would spoil, or it is not bought by lists. */
export function NotBoughtList({
  entries,
  plan,
}: {
  entries: readonly { entry: RestockEntry; item: ItemRow }[];
  plan: RulerPlan;
}) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  if (entries.length === 0) return null;
  return (
    <YStack>
      <XStack
        {...pressable({ onPress: () => setOpen((now) => !now) })}
        aria-expanded={open}
        minHeight={52}
        paddingHorizontal={16}
        alignItems="center"
        justifyContent="space-between"
        borderBottomWidth={1}
        borderColor="$borderColor"
      >
        <Strong>Not bought this time</Strong>
        <Small>{counted(entries.length, { one: '# thing', other: '# things' })}</Small>
      </XStack>
      {open ? (
        <LongList
          entries={entries}
          keyOf={({ item }) => item.id}
          draw={({ entry, item }) => (
            <YStack backgroundColor="$background" borderBottomWidth={1} borderColor="$borderColor">
              <RunwayRow
                ruler={plan.ruler}
                ticks={plan.ticks}
                height={ROW_HEIGHT}
                bar={barOf(entry, plan)}
                onPress={() => router.push(`/item/${item.id}`)}
              >
                <YStack paddingHorizontal={16} paddingTop={6} alignItems="flex-start">
                  <Strong numberOfLines={1} backgroundColor="$background" paddingRight={6} maxWidth="100%">
                    {item.name}
                  </Strong>
                  <Small numberOfLines={1} backgroundColor="$background" paddingRight={6} maxWidth="100%">
                    {notBoughtWords(entry, item, plan.today)}
                  </Small>
                </YStack>
              </RunwayRow>
            </YStack>
          )}
        />
      ) : null}
    </YStack>
  );
}
