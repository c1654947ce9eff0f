import { type CivilDate, type Trip, type ListView } from '@ours/core';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small, Title } from '@/kit/text/Text';
import { budgetWords, roundMoney, tripDayWords, tripWords } from './words';

/** Which trip the list is for, what it costs, and what of the budget is left. */
export function TripHead({
  trip,
  today,
  view,
  currency,
  onDays,
}: {
  trip: Trip;
  today: CivilDate;
  view: ListView;
  currency: string;
  onDays: () => void;
}) {
  const budget = trip.shop?.budgetMinor ?? null;
  const share = budget === null || budget === 0 ? 0 : Math.min(1, view.costMinor / budget);
  const over = budget !== null && view.costMinor > budget;
  return (
    <YStack paddingHorizontal={16} paddingTop={10} paddingBottom={10} gap={8}>
      <XStack gap={8} alignItems="flex-start">
        <YStack flex={1} minWidth={0}>
          <Title aria-level={2}>{tripDayWords(trip.day, today)}</Title>
          <Small>{tripWords(trip, today, view.lines.length)}</Small>
        </YStack>
        <Button label="Days" onPress={onDays} />
      </XStack>
      {view.costMinor > 0 ? (
        <XStack gap={8} justifyContent="space-between" alignItems="baseline" flexWrap="wrap">
          <Title aria-level={3}>about {roundMoney(view.costMinor, currency)}</Title>
          <Small {...(over ? { color: '$late' } : {})}>
            {[
              budget === null ? '' : budgetWords(view.costMinor, budget, currency),
              view.unpriced > 0 ? counted(view.unpriced, { one: '# without a price', other: '# without a price' }) : '',
            ]
              .filter((part) => part !== '')
              .join(' · ')}
          </Small>
        </XStack>
      ) : null}
      {budget === null ? null : (
        <YStack height={9} borderRadius={6} borderWidth={1.5} borderColor={over ? '$late' : '$color'} aria-hidden>
          <YStack
            height="100%"
            borderRadius={4}
            backgroundColor={over ? '$late' : '$color'}
            width={`${share * 100}%` as never}
          />
        </YStack>
      )}
    </YStack>
  );
}
