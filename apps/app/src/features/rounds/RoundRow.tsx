import { type CivilDate, type HouseholdState, type RoundNow, type RoundRow as Row } from '@ours/core';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { XStack, YStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { Mark } from '@/kit/text/Mark';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { RoundStrip } from './RoundStrip';
import { minutesWords, roundTimeWords, whenWords } from './words';

/** Who does a round, by name: `all` where nobody is named. */
export const whoDoes = (state: HouseholdState, { personIds }: Pick<Row, 'personIds'>): string =>
  personIds.length === 0
    ? 'all'
    : personIds.flatMap((id) => state.get('person', id)?.name.split(' ')[0] ?? []).join(', ');

/** A round in the list: when, by whom, how long, and how it went for six weeks. */
export const RoundRow = memo(function RoundRow({ now, today }: { now: RoundNow; today: CivilDate }) {
  const router = useRouter();
  const { round, due, lateDays } = now;
  const who = useHousehold(({ state }) => whoDoes(state, round));
  const when = whenWords(now, today);
  const followed = useHousehold(({ state }) =>
    round.rhythm.itemId ? state.get('item', round.rhythm.itemId)?.name : undefined,
  );
  const rhythm = roundTimeWords(round, followed);
  return (
    <XStack
      {...pressable({ onPress: () => router.push(`/round/${round.id}` as never) })}
      minHeight={68}
      paddingHorizontal={16}
      paddingVertical={8}
      gap={10}
      alignItems="center"
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
      pressStyle={{ backgroundColor: '$greenTint' }}
    >
      <YStack flex={1} minWidth={0} gap={3}>
        <Strong numberOfLines={2}>{round.name}</Strong>
        <XStack gap={6} alignItems="center" flexWrap="wrap">
          {due && lateDays > 0 ? <Mark kind="late" label={when} /> : null}
          <Small>{due && lateDays > 0 ? rhythm : `${when} · ${rhythm}`}</Small>
        </XStack>
      </YStack>
      <YStack alignItems="flex-end" gap={2}>
        <Small>
          <Strong fontSize={15}>{who}</Strong> {minutesWords(now.usualMinutes ?? round.minutes)}
        </Small>
        <RoundStrip now={now} today={today} />
      </YStack>
    </XStack>
  );
});
