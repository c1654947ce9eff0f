import { foundId, stockOf, withoutDoubles, type Found } from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Platform, type TextInput } from 'react-native';
import { useMedia, XStack, YStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { recentNooks } from '@/shared/recent';
import { today } from '@/shared/opContext';
import { EmptyState } from '@/kit/layout/EmptyState';
import { TwoPane } from '@/kit/layout/TwoPane';
import { ScanButton } from '@/features/scan';
import { Button } from '@/kit/press/Button';
import { Field } from '@/kit/form/Field';
import { Settings } from '@/kit/press/icons';
import { ListHeading } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Heading, Small, Text } from '@/kit/text/Text';
import { SpaceCard } from '@/features/spaces';
import { DueRow, LowRow } from '@/features/stock';
import { Answer } from './Answer';
import { EarlyResults } from './EarlyResults';
import { FoundRow } from './FoundRow';
import { NothingFound } from './NothingFound';

const SHOWN = 5;
const MOST_FOUND = 30;

/** Whether this screen has been there before, since the app was opened. */
let appIsOpen = false;

/** The opening screen: the field, what to use first, what runs out, where one was; answers at every keystroke. */
export function FindScreen() {
  const [query, setQuery] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const { me } = useHouseholdContext();
  const router = useRouter();
  const input = useRef<TextInput>(null);
  // The field is drawn first; the answers follow, and a key that comes meanwhile goes before them.
  const asked = useDeferredValue(query);
  // And before all of them the field by itself: who opens the app types at once.
  const isDrawn = useDeferredValue(true, appIsOpen);
  useEffect(() => {
    appIsOpen = true;
  }, []);
  const isWhole = useHousehold(({ store }) => store.isWhole);
  const name = useHousehold(({ state }) => state.get('household', me.householdId)?.name ?? me.householdName);

  useEffect(() => {
    if (Platform.OS !== 'web') return;
    const focus = (event: KeyboardEvent): void => {
      if (event.key !== '/' || event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement)
        return;
      event.preventDefault();
      input.current?.focus();
    };
    document.addEventListener('keydown', focus);
    return () => document.removeEventListener('keydown', focus);
  }, []);

  return (
    <Screen
      title={name}
      right={
        <>
          <ScanButton />
          <Button
            kind="quiet"
            iconOnly
            icon={Settings}
            label="Home and people"
            onPress={() => router.push('/household')}
          />
        </>
      }
    >
      <YStack paddingHorizontal={16} paddingBottom={8}>
        <Field
          ref={input}
          label="What are you looking for?"
          hideLabel
          large
          placeholder="What are you looking for?"
          value={query}
          onChangeText={(text) => {
            setQuery(text);
            setChosen(null);
          }}
          autoCapitalize="none"
          autoCorrect={false}
          inputMode="search"
          clearButtonMode="while-editing"
          testID="find"
        />
      </YStack>
      {!isDrawn ? null : !isWhole ? (
        <EarlyResults query={asked} />
      ) : asked.trim() === '' ? (
        <Overview />
      ) : (
        <Results query={asked} chosen={chosen} onChoose={setChosen} />
      )}
    </Screen>
  );
}

const Results = memo(function Results({
  query,
  chosen,
  onChoose,
}: {
  query: string;
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const { gtMd } = useMedia();
  const found = useHousehold(({ store }) => withoutDoubles(store.finder.find(query, MOST_FOUND)));
  const listed = useDeferredValue(found);
  const first = found.find((one) => foundId(one) === chosen) ?? found[0];
  if (!first) return <NothingFound query={query} />;
  const rows = <OtherAnswers found={listed} first={first} keepFirst={gtMd} onChoose={onChoose} />;
  const answer = <Answer key={foundId(first)} found={first} query={query} />;
  return (
    <YStack {...(gtMd ? { paddingHorizontal: 16 } : {})}>
      <TwoPane
        left={rows}
        leftWidth={400}
        right={answer}
        narrow={
          <>
            <YStack paddingHorizontal={16}>{answer}</YStack>
            {rows}
          </>
        }
      />
    </YStack>
  );
});

/** Below (or beside) the answer, drawn after it. */
const OtherAnswers = memo(function OtherAnswers({
  found,
  first,
  keepFirst,
  onChoose,
}: {
  found: readonly Found[];
  first: Found;
  keepFirst: boolean;
  onChoose: (id: string) => void;
}) {
  return (
    <YStack borderTopWidth={1} borderColor="$borderColor">
      {found
        .filter((one) => keepFirst || foundId(one) !== foundId(first))
        .map((one) => (
          <FoundRow
            key={foundId(one)}
            found={one}
            selected={keepFirst && foundId(one) === foundId(first)}
            onChoose={onChoose}
          />
        ))}
    </YStack>
  );
});

const Overview = memo(function Overview() {
  const day = today();
  const router = useRouter();
  const due = useHousehold(({ state }) => stockOf(state).dueUntil(day));
  const low = useHousehold(({ state }) => stockOf(state).lowItems());
  const hasItems = useHousehold(({ state }) => state.has('item'));
  const spaces = useHousehold(({ state }) => [
    ...recentNooks().filter((id) => state.get('space', id)?.retired === false),
    ...state.all('space').map((space) => space.id),
  ]);
  const shown = useMemo(() => [...new Set(spaces)].slice(0, 4), [spaces]);
  const width = useContentWidth();
  const columns = width >= 700 ? 4 : 2;
  if (shown.length === 0) return <Start />;
  return (
    <YStack>
      {due.length > 0 ? (
        <>
          <ListHeading title="Use first" remark={`${due.length} in two weeks`} />
          {due.slice(0, SHOWN).map((one) => (
            <DueRow key={one.lot.id} one={one} day={day} />
          ))}
          <Button kind="quiet" label="What is lost at this pace" onPress={() => router.push('/use-first')} />
        </>
      ) : null}
      {low.length > 0 ? (
        <>
          <ListHeading title="Running out" remark={`${low.length} low`} />
          {low.slice(0, SHOWN).map((one) => (
            <LowRow key={one.item.id} one={one} />
          ))}
        </>
      ) : null}
      {hasItems ? null : (
        <EmptyState
          text="Nothing is recorded yet. Stand at a bin and say what is in it, line after line."
          action="Record what is there"
          onPress={() => router.push('/record')}
        />
      )}
      <Heading paddingHorizontal={16} paddingTop={20} paddingBottom={8}>
        Where you were
      </Heading>
      <XStack paddingHorizontal={16} gap={12} flexWrap="wrap">
        {shown.map((id) => (
          <RecentSpace key={id} id={id} width={(width - 32 - 12 * (columns - 1)) / columns} />
        ))}
      </XStack>
    </YStack>
  );
});

function RecentSpace({ id, width }: { id: string; width: number }) {
  const room = useHousehold(({ state }) => state.get('room', state.get('space', id)?.roomId ?? '')?.name ?? '');
  return <SpaceCard spaceId={id} width={width} sub={room} />;
}

/** An empty home: says what to do first. */
function Start() {
  const router = useRouter();
  return (
    <YStack padding={16} gap={12}>
      <Heading>Start with one cupboard.</Heading>
      <Text>
        Draw it with its shelves and bins, then say what is in each bin, line after line. After that, anything is found
        from here.
      </Text>
      <Button kind="primary" label="Set up a cupboard" onPress={() => router.push('/space/new')} />
      <Small>Measures can wait; without them it is drawn in even shares.</Small>
    </YStack>
  );
}
