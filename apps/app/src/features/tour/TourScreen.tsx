import { opsForEndingTour, opsForStop, tourNow } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { OpenDoorView, useFront, type Front } from '@/features/drawing';
import { PhotoStrip } from '@/features/pictures';
import { RecordHere } from '@/features/record';
import { LotList } from '@/features/stock';
import { Footer } from '@/kit/layout/Footer';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Plate } from '@/kit/text/Plate';
import { Strong, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext } from '@/shared/opContext';
import { wayTo } from '@/shared/placeWords';
import { useOwnPerson } from '@/shared/useOwnPerson';
import { useRunCommand } from '@/shared/useRunCommand';
import { ScannedHere } from './ScannedHere';
import { stopWords, tourWords } from './words';

/** Standing before a space: shelf by shelf, bin by bin; look, picture, line, count, next. What was skipped is remembered. */
export function TourScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const front = useFront(id);
  if (!front) return <NotHere what="This place" />;
  return <Tour key={id} front={front} />;
}

function Tour({ front }: { front: Front }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const { space } = front;
  /** A stop that was skipped or seen and is looked at again. */
  const [again, setAgain] = useState<string | null>(null);
  const own = useOwnPerson();
  const { state, now } = useHousehold((snapshot) => ({
    version: snapshot.version,
    state: snapshot.state,
    now: tourNow(snapshot.state, space.id),
  }));
  const at = again ?? now.at;
  const go = (how: 'seen' | 'skipped'): void => {
    if (at === null) return;
    setAgain(null);
    void runCommand(
      'tour_stop',
      opsForStop(state, space.id, at, how, own, opContext()),
      how === 'seen' ? 'Next.' : 'Skipped; it is remembered.',
    );
  };
  const end = (): void => {
    void runCommand(
      'tour_ended',
      opsForEndingTour(state, space.id, opContext()),
      `The tour of ${space.name} is done.`,
    ).then(() => router.replace(`/space/${space.id}`));
  };
  const way = at === null ? null : wayTo(state, at);
  const drawing = (
    <OpenDoorView
      view={front.view}
      width={gtMd ? 460 : content}
      maxHeight={gtMd ? 520 : 260}
      hereId={way?.bins[0]?.id ?? way?.shelf?.id ?? null}
      names={false}
      summaryOf={front.summaryOf}
      onPressNook={setAgain}
    />
  );
  const stop =
    at === null ? (
      <AllStops
        skipped={now.skipped}
        words={tourWords(now)}
        nameOf={(id) => wayTo(state, id)?.steps.slice(2).join(', ') ?? ''}
        onGo={setAgain}
      />
    ) : (
      <YStack key={at} gap={4}>
        <XStack paddingHorizontal={16} gap={10} alignItems="center">
          <Plate code={way?.code ?? ''} large />
          <Strong flex={1} fontSize={18} lineHeight={24}>
            {way?.steps.slice(2).join(', ') ?? ''}
          </Strong>
        </XStack>
        <PhotoStrip ofId={at} name={way?.steps.at(-1) ?? ''} />
        <ScannedHere spaceId={space.id} nookId={at} onGo={setAgain}>
          <Inside nookId={at} />
          <RecordHere nookId={at} />
        </ScannedHere>
      </YStack>
    );
  return (
    <Screen
      title={`Tour: ${space.name}`}
      sub={at === null ? tourWords(now) : stopWords(now, at)}
      back={`/space/${space.id}`}
      topAt={at}
      footer={
        <Footer>
          {at === null ? (
            <Button grow kind="primary" label="End the tour" disabled={now.stops.length === 0} onPress={end} />
          ) : (
            <>
              <Button grow kind="primary" label="Right, next" onPress={() => go('seen')} />
              <Button label="Skip" onPress={() => go('skipped')} />
            </>
          )}
        </Footer>
      }
    >
      <TwoPane
        gap={8}
        left={stop}
        right={drawing}
        rightWidth={460}
        narrow={
          <>
            {drawing}
            {stop}
          </>
        }
      />
    </Screen>
  );
}

/** What is in the stop, to be counted where it stands. */
function Inside({ nookId }: { nookId: string }) {
  const lots = useHousehold(({ state }) =>
    state.lotsIn(nookId).flatMap((lot) => {
      const item = state.get('item', lot.itemId);
      return item ? [{ lot, item }] : [];
    }),
  );
  return (
    <YStack>
      <ListHeading title={lots.length === 0 ? 'Nothing recorded in it' : 'In it: is it so?'} />
      <LotList lots={lots.map((one) => ({ ...one, low: false }))} />
    </YStack>
  );
}

/** Every stop was passed: what was skipped, and the end. */
function AllStops({
  skipped,
  words,
  nameOf,
  onGo,
}: {
  skipped: readonly string[];
  words: string;
  nameOf: (id: string) => string;
  onGo: (id: string) => void;
}) {
  return (
    <YStack>
      <Text padding={16}>{words}</Text>
      {skipped.length > 0 ? <ListHeading title="Skipped" /> : null}
      {skipped.map((id) => (
        <ListRow
          key={id}
          title={nameOf(id)}
          onPress={() => onGo(id)}
          right={
            <>
              <Button label="Go there" onPress={() => onGo(id)} />
              <NookPlate nookId={id} />
            </>
          }
        />
      ))}
    </YStack>
  );
}
