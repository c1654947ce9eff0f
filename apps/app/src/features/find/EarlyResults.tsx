import { foundId, oldestFirst, withoutDoubles, type Found } from '@ours/core';
import { useEffect, useState } from 'react';
import { YStack } from 'tamagui';
import { useGuide } from '@/shared/useGuide';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { Card } from '@/kit/layout/Card';
import { Small, Text } from '@/kit/text/Text';
import { onHandWords } from '@/features/stock/words';
import { wayTo } from '@/shared/placeWords';
import { AnswerHead } from './AnswerHead';
import { FoundRow } from './FoundRow';
import { NothingFound } from './NothingFound';

const MOST_FOUND = 10;

/**
 * What is found while a large home is still being read: where things are and how many. What needs the whole home (the drawing
 * with its marks, taking one) follows by itself.
 */
export function EarlyResults({ query }: { query: string }) {
  const { store } = useHouseholdContext();
  const [answer, setAnswer] = useState<{ query: string; found: readonly Found[] } | null>(null);
  useEffect(() => {
    if (query.trim() === '') return;
    let gone = false;
    store.findEarly(query, MOST_FOUND).then(
      (found) => {
        if (!gone) setAnswer({ query, found: withoutDoubles(found) });
      },
      // Closed while it was looking: another screen is shown.
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [store, query]);

  const asked = query.trim() !== '';
  const [first, ...others] = asked ? (answer?.found ?? []) : [];
  return (
    <YStack gap={12}>
      {first ? <FirstFound found={first} /> : asked && answer?.query === query ? <NothingFound query={query} /> : null}
      {others.length > 0 ? (
        <YStack borderTopWidth={1} borderColor="$borderColor">
          {others.map((one) => (
            <FoundRow key={foundId(one)} found={one} />
          ))}
        </YStack>
      ) : null}
      <Text paddingHorizontal={16} color="$second" role="status">
        {asked ? 'Opening the rest of your home …' : 'Opening your home …'}
      </Text>
    </YStack>
  );
}

function FirstFound({ found }: { found: Found }) {
  const guide = useGuide();
  const lots = found.kind === 'item' ? oldestFirst(found.lots, found.item, guide) : [];
  const nookId = found.kind === 'nook' ? found.nookId : lots[0]?.nookId;
  const path = useHousehold(({ state }) => (nookId === undefined ? null : wayTo(state, nookId)));
  const places = new Set(lots.map((lot) => lot.nookId)).size;
  return (
    <Card testID="answer" marginHorizontal={16}>
      <AnswerHead
        title={found.kind === 'item' ? found.item.name : (path?.bins.at(-1)?.name ?? path?.steps.at(-1) ?? '')}
        sub={found.kind === 'item' ? onHandWords(lots, found.item) : ''}
        path={path}
      />
      {places > 1 ? (
        <Small paddingHorizontal={14} paddingBottom={14}>
          One of {places} places.
        </Small>
      ) : null}
    </Card>
  );
}
