import type { ItemRow, RestockEntry } from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Runway } from '@/kit/chart/Runway';
import { LongList } from '@/kit/layout/LongList';
import { pressable } from '@/kit/press/pressable';
import { counted } from '@/kit/text/counted';
import { Small, Strong } from '@/kit/text/Text';
import { barOf, type RulerPlan } from './RestockRow';
import { enoughWords } from './words';

const ROW_HEIGHT = 64;

/** What is not bought because there is enough of it, folded; so that nothing is bought twice. */
export function EnoughList({
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
        <Strong>Enough, don’t buy</Strong>
        <Small>{counted(entries.length, { one: '# thing', other: '# things' })}</Small>
      </XStack>
      {open ? (
        <LongList
          entries={entries}
          keyOf={({ item }) => item.id}
          draw={({ entry, item }) => (
            <YStack
              {...pressable({ onPress: () => router.push(`/item/${item.id}`) })}
              position="relative"
              height={ROW_HEIGHT}
              backgroundColor="$background"
              borderBottomWidth={1}
              borderColor="$borderColor"
              pressStyle={{ backgroundColor: '$greenTint' }}
            >
              <YStack position="absolute" top={0} left={0}>
                <Runway ruler={plan.ruler} ticks={plan.ticks} height={ROW_HEIGHT} bar={barOf(entry, plan)} />
              </YStack>
              <YStack
                position="relative"
                paddingHorizontal={16}
                paddingTop={6}
                alignItems="flex-start"
                pointerEvents="none"
              >
                <Strong numberOfLines={1} backgroundColor="$background" paddingRight={6} maxWidth="100%">
                  {item.name}
                </Strong>
                <Small numberOfLines={1} backgroundColor="$background" paddingRight={6} maxWidth="100%">
                  {enoughWords(entry, item, plan.today)}
                </Small>
              </YStack>
            </YStack>
          )}
        />
      ) : null}
    </YStack>
  );
}
