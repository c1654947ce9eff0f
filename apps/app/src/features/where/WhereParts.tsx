import { UNIT_TERMS, type HandlingHome, type Larger, type MovesAnswer, type ProposedMove } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Mono, Small, Strong, Text } from '@/kit/text/Text';
import { NookPlate } from '@/shared/NookPlate';
import { largerWords, minutesFigure, termWords } from './words';

/** Many bins at once, apart from the single moves: it takes their place. */
export function LargerOffer({
  larger,
  onAccept,
}: {
  larger: Larger;
  onAccept: (moves: readonly ProposedMove[]) => void;
}) {
  return (
    <YStack testID="larger">
      <ListHeading title="Or a larger rearrangement" remark={counted(larger.bins, { one: '# bin', other: '# bins' })} />
      <YStack padding={16} gap={10} alignItems="flex-start">
        <Text>{largerWords(larger)}</Text>
        <Button label="On the walk list, instead of the moves of bins" onPress={() => onAccept([larger.move])} />
      </YStack>
    </YStack>
  );
}

/** Minutes a month, by what they are spent on, as it is and with the moves. */
export function Figures({ home, answer }: { home: HandlingHome; answer: MovesAnswer }) {
  const { now, then } = answer;
  const rows = [
    ...UNIT_TERMS.map((term) => ({ name: termWords(term), now: now[term], then: then[term] })),
    { name: 'things away from their kind', now: now.strays, then: then.strays },
    { name: 'one kind in several places', now: now.kin, then: then.kin },
  ].filter((row) => row.now >= 0.05 || row.then >= 0.05);
  return (
    <YStack paddingHorizontal={16} paddingTop={16} gap={4} role="region" aria-label="Handling a month">
      <XStack justifyContent="space-between" gap={10}>
        <Strong flex={1}>Handling, all people, minutes a month</Strong>
        <Mono width={56} textAlign="right">
          now
        </Mono>
        <Mono width={56} textAlign="right">
          then
        </Mono>
      </XStack>
      {[
        ...rows,
        {
          name: `in all, of ${home.units.filter(({ keptFree }) => !keptFree).length} bins`,
          now: now.sum,
          then: then.sum,
        },
      ].map((row) => (
        <XStack key={row.name} justifyContent="space-between" gap={10}>
          <Small flex={1}>{row.name}</Small>
          <Mono width={56} textAlign="right">
            {minutesFigure(row.now)}
          </Mono>
          <Mono width={56} textAlign="right">
            {minutesFigure(row.then)}
          </Mono>
        </XStack>
      ))}
    </YStack>
  );
}

/** Bins that a child gets at though it should not. */
export function Unguarded({ home }: { home: HandlingHome }) {
  const [open, setOpen] = useState(false);
  const units = home.unguarded.map((id) => home.units.find(({ binId }) => binId === id)!);
  return (
    <YStack>
      <ListHeading title="Not locked away" remark={counted(units.length, { one: '# bin', other: '# bins' })} />
      <YStack paddingHorizontal={16} paddingVertical={10} gap={8} alignItems="flex-start">
        <Text>
          Cleaners, lighters, needles, medicines: a child climbs, so height keeps nobody away; a lock does. Follow what
          the package says.
        </Text>
        {open ? null : <Button label="Show them" onPress={() => setOpen(true)} />}
      </YStack>
      {open
        ? units.map(({ binId, name }) => <ListRow key={binId} title={name} right={<NookPlate nookId={binId} />} />)
        : null}
    </YStack>
  );
}
