import { Belongings, type Belonging, type HouseholdState, type RecordedLine } from '@ours/core';
import { useEffect, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { aMoment } from '@/data/store/idle';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { wayTo } from '@/shared/placeWords';
import { belongsWords } from './belongsWords';

/** How long nothing is typed before it is looked up, ms: nobody is told of half a word. */
const PAUSE_MS = 350;
const SHORTEST_NAME = 3;
/** Lots read between two looks at what the person does. */
const LOTS_AT_ONCE = 150;

/** What is where, kept for as long as the home stays as it is. */
let kept: { state: HouseholdState; version: number; places: Belongings } | null = null;
function placesOf(state: HouseholdState, version: number): Belongings {
  if (kept?.state !== state || kept.version !== version) kept = { state, version, places: new Belongings(state) };
  return kept.places;
}

/** Where what is being recorded would belong, with its reason; one tap records it there. */
export function BelongsHint({
  card,
  nookId,
  onGo,
}: {
  card: RecordedLine;
  nookId: string;
  onGo: (nookId: string) => void;
}) {
  const { store } = useHouseholdContext();
  const version = useHousehold((snapshot) => snapshot.version);
  const [found, setFound] = useState<{ key: string; belonging: Belonging | null } | null>(null);
  const asks =
    card.understood && card.action === 'put_in' && card.placeKey === null && card.name.trim().length >= SHORTEST_NAME;
  const frozen = card.frozenOn !== null;
  const key = asks ? [card.itemId ?? card.name, card.tags.join(' '), frozen, nookId, version].join('\n') : null;
  useEffect(() => {
    if (key === null) return undefined;
    let stopped = false;
    const look = async (): Promise<void> => {
      const places = placesOf(store.state, version);
      while (places.readSome(LOTS_AT_ONCE)) {
        await aMoment();
        if (stopped) return;
      }
      const { itemId, name, tags, unit } = card;
      const thing = { itemId, name, tags, category: '', unit: unit ?? 'piece', frozen };
      setFound({ key, belonging: places.of(thing, nookId) });
    };
    const timer = setTimeout(() => {
      if (store.isWhole) void look();
    }, PAUSE_MS);
    return () => {
      stopped = true;
      clearTimeout(timer);
    };
    // The key says all that matters of the card.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const belonging = found !== null && found.key === key ? found.belonging : null;
  const way = useHousehold(({ state }) => (belonging ? (wayTo(state, belonging.nookId)?.steps ?? null) : null));
  if (!belonging || !way) return null;
  return (
    <YStack
      gap={6}
      padding={12}
      borderWidth={1}
      borderColor="$borderColor"
      borderRadius={10}
      backgroundColor="$background"
      role="status"
      testID="belongs"
    >
      <XStack gap={10} alignItems="flex-start">
        <YStack flex={1} minWidth={0}>
          <Small>Would belong</Small>
          <Strong>{way.slice(1).join(' › ')}</Strong>
        </YStack>
        <NookPlate nookId={belonging.nookId} />
      </XStack>
      <Small>{belongsWords(belonging)}</Small>
      <XStack>
        <Button label="Put it there" onPress={() => onGo(belonging.nookId)} />
      </XStack>
    </YStack>
  );
}
