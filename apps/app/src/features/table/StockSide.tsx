import { isMeasure, oldestFirst, opsForTaking, type CivilDate } from '@ours/core';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Heading, Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useGuide } from '@/shared/useGuide';
import { useRunCommand } from '@/shared/useRunCommand';
import { knownWords, lastsWords, paceWords } from '@/features/restock/words';
import { amountOfWords, dueWords, lotAmountWords } from '@/features/stock/words';
import type { StockRow } from './stockRows';

const WIDTH = 236;
/** Lots that are shown; the page of the thing has all of them. */
const MOST_LOTS = 5;

/** About the row that is looked at: where it is, until when, how long it lasts. */
export const StockSide = memo(function StockSide({
  row,
  day,
  onCount,
}: {
  row: StockRow;
  day: CivilDate;
  /** @param id of the row */
  onCount: (id: string) => void;
}) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const guide = useGuide();
  const ways = useHousehold(({ state, version }) => ({
    of: (nookId: string) => wayTo(state, nookId)?.steps.slice(1).join(' › ') ?? '',
    version,
  })).of;
  return (
    <YStack
      width={WIDTH}
      flex={1}
      padding={16}
      gap={12}
      borderLeftWidth={1}
      borderColor="$borderColor"
      role="complementary"
      aria-label="About the row"
    >
      <Heading fontSize={20} lineHeight={26}>
        {row.item.name}
      </Heading>
      {oldestFirst(row.lots, row.item, guide)
        .slice(0, MOST_LOTS)
        .map((lot) => (
          <YStack key={lot.id} gap={2}>
            <XStack gap={8} alignItems="center">
              <NookPlate nookId={lot.nookId} />
              <Strong flex={1}>{lotAmountWords(lot, row.item)}</Strong>
            </XStack>
            <Small>{ways(lot.nookId)}</Small>
            <Small>{dueWords(lot, row.item, day, guide)}</Small>
          </YStack>
        ))}
      {row.lots.length > MOST_LOTS ? <Small>{`and ${row.lots.length - MOST_LOTS} more`}</Small> : null}
      {row.entry ? (
        <Small>
          {`${paceWords(row.entry, row.item)}${row.entry.out ? lastsWords(row.entry.out, day) : ''} ${knownWords(row.entry)}`.trim()}
        </Small>
      ) : null}
      <XStack gap={8} flexWrap="wrap">
        <Button
          label="Take one"
          disabled={row.there <= 0 || isMeasure(row.item.unit)}
          onPress={() => {
            const one = Math.min(1000, row.there);
            void runCommand(
              'stock_taken',
              opsForTaking(oldestFirst(row.lots, row.item, guide), one, opContext()),
              `Taken: ${amountOfWords(one, row.item)}.`,
            );
          }}
        />
        <Button label="Count" disabled={row.lots.length === 0} onPress={() => onCount(row.id)} />
        <Button kind="primary" label="Open page" onPress={() => router.push(`/item/${row.item.id}`)} />
      </XStack>
    </YStack>
  );
});
