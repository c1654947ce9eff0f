import {
  codeTail,
  containerGrams,
  freeCount,
  modelSpace,
  opsForMovingShelf,
  spaceLoad,
  type ContainerFit,
  type Remedy,
} from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { useJob } from '@/jobs/useJob';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { useHome } from '@/shared/useHome';
import { EmptyState } from '@/kit/layout/EmptyState';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { StepNav } from '@/kit/layout/StepNav';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Strong, Text } from '@/kit/text/Text';
import { planSteps } from '@/shared/planSteps';
import { shelfWords } from '@/shared/placeWords';
import { FloorView } from './FloorView';
import { LoadBar } from './LoadBar';
import {
  emptyWeightWords,
  fitHeadline,
  freeWords,
  gapWords,
  LOAD_CAUTIONS,
  loadWords,
  noteWords,
  reasonsWords,
  remedyWords,
  sizeWords,
  sureWords,
  triedWords,
  upperWords,
  wholeLoadWords,
} from './words';

/** `5`, `2 at a slant`, `–` for none, `…` while it is not computed. */
const countWords = (fit: ContainerFit | null): string => {
  if (!fit) return '…';
  return fit.count === 0 ? '–' : `${fit.count}${fit.how === 'slant' ? ' at a slant' : ''}`;
};

/** One container on one shelf: how many, how, why not, and what else could be done. */
export function FitScreen() {
  const {
    id,
    shelf: askedShelf,
    container: askedContainer,
  } = useLocalSearchParams<{
    id: string;
    shelf?: string;
    container?: string;
  }>();
  const router = useRouter();
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const [shelfId, setShelfId] = useState(askedShelf ?? null);
  const [containerId, setContainerId] = useState(askedContainer ?? null);
  const { state, version } = useHousehold((snapshot) => snapshot);
  const space = id ? state.get('space', id) : undefined;
  // The state is one object kept up row by row; its version says when it is another.
  const found = useMemo(() => {
    if (!space || space.retired) return null;
    const model = modelSpace(space, state.shelvesOf(space.id));
    const at = model.shelves.find(({ shelf }) => shelf.id === shelfId) ?? model.shelves[0] ?? null;
    const containers = state.all('container').sort((a, b) => a.name.localeCompare(b.name, 'en'));
    const kinds = containers.map((container) => ({ container, free: freeCount(state, container, space.id) }));
    return { model, at, kinds, load: spaceLoad(state, space.id), version };
  }, [space, state, shelfId, version]);
  const fitsInput = useMemo(() => {
    if (!found?.at) return null;
    const { room, upper } = found.at;
    // The one that is looked at comes first, then the rest of the list.
    const all = found.kinds.map(({ container }) => container);
    const asked = all.filter((one) => one.id === containerId);
    return { room, upper, containers: [...asked, ...all.filter((one) => one.id !== containerId)] };
  }, [found, containerId]);
  const told = useJob('fits', fitsInput);
  const computed = useMemo(() => new Map(told.map((one) => [one.containerId, one])), [told]);
  const chosenFit = (containerId === null ? undefined : computed.get(containerId)) ?? null;
  const remediesInput = useMemo(() => {
    const container = found?.kinds.find((one) => one.container.id === chosenFit?.containerId)?.container;
    if (!found?.at || !container || !chosenFit) return null;
    return { kinds: found.kinds, model: found.model, at: found.at, container, fit: chosenFit.fit };
  }, [found, chosenFit]);
  const remedies = useJob('remedies', remediesInput).at(-1) ?? [];
  if (!space || !found) {
    return <NotHere what="This place" />;
  }
  const { model, at, kinds, load } = found;
  const fits = kinds.map((one) => ({ ...one, fit: computed.get(one.container.id)?.fit ?? null }));
  const picked = kinds.find(({ container }) => container.id === containerId) ?? null;
  const chosen = picked && chosenFit ? { ...picked, ...chosenFit } : null;
  const steps = <StepNav label="Setting up" steps={planSteps(space.id)} />;
  if (!at) {
    return (
      <Screen title="Try the fit" sub={space.name} back={`/space/${space.id}`}>
        {steps}
        <EmptyState
          text="No shelf here is measured yet. Width, depth and height of one are enough to begin."
          action="Measure"
          onPress={() => router.replace(`/space/${space.id}/measure`)}
        />
      </Screen>
    );
  }
  const width = gtMd ? content - 420 - 32 : content;
  const carry = (remedy: Remedy): void => {
    if (remedy.kind === 'other_container') return setContainerId(remedy.containerId);
    const shelf = state.get('shelf', remedy.shelfId);
    const pitch = model.holes?.pitch ?? 0;
    if (!shelf || shelf.bottomTenthMm === null) return;
    const to = shelf.bottomTenthMm + (remedy.kind === 'raise_above' ? 1 : -1) * remedy.holes * pitch;
    void runCommand(
      'shelf_moved',
      opsForMovingShelf(space, state.shelvesOf(space.id), shelf, to),
      `Moved on the plan: ${shelfWords(state, shelf)}.`,
    );
  };
  const shelfLoad = load?.shelves.find((one) => one.shelfId === at.shelf.id);
  const drawing = (
    <YStack gap={4} alignItems="center">
      <Small>{`${shelfWords(state, at.shelf)}, from above; the front at the foot`}</Small>
      <FloorView
        room={at.room}
        bins={(chosen?.fit.places ?? []).map((body, n) => ({ key: String(n), body, tag: String(n + 1) }))}
        width={width - 8}
        maxHeight={gtMd ? 420 : 260}
        unit={unit}
      />
    </YStack>
  );
  const answer = chosen ? (
    <Card margin={16} testID="fit-answer">
      <YStack padding={14} gap={4}>
        <Strong fontSize={18} lineHeight={24} role="heading" aria-level={2}>
          {fitHeadline(chosen.fit, chosen.free > 0 ? chosen.free : null)}
        </Strong>
        <Text>
          {chosen.container.name}, {sizeWords(chosen.container, unit)}.{' '}
          {[reasonsWords(chosen.fit.reasons, unit), gapWords(chosen.fit, unit)].filter(Boolean).join(' ')}
        </Text>
        {chosen.fit.count > 0 && !chosen.fit.getsIn ? (
          <Text color="$late">They would stand, but no straight way in was found.</Text>
        ) : null}
        {chosen.fit.notes.map((note) => (
          <Small key={note.kind}>{noteWords(note, unit)}</Small>
        ))}
        {chosen.upper.map((more, n) => (
          <Small key={n}>{upperWords(more)}</Small>
        ))}
        <Small>{sureWords(chosen.fit)}</Small>
      </YStack>
      {remedies.map((remedy, n) => {
        const words = remedyWords(remedy, state);
        return (
          <XStack key={n} padding={12} gap={12} alignItems="center" borderTopWidth={1} borderColor="$borderColor">
            <Small width={20}>or</Small>
            <YStack flex={1}>
              <Strong>{words.title}</Strong>
              <Small>{words.detail}</Small>
            </YStack>
            <Button label="Try" onPress={() => carry(remedy)} />
          </XStack>
        );
      })}
      <XStack padding={12} borderTopWidth={1} borderColor="$borderColor">
        <Button
          grow
          kind="primary"
          label="Find the best mix"
          onPress={() => router.replace(`/space/${space.id}/mix`)}
        />
      </XStack>
    </Card>
  ) : (
    <Text padding={16}>{picked ? 'Trying it …' : 'Choose a container below; the drawing shows how it stands.'}</Text>
  );
  const list = (
    <YStack>
      <ListHeading
        title="Containers"
        remark={triedWords(fits.length, computed.size, fits.filter(({ fit }) => fit !== null && fit.count > 0).length)}
      />
      {fits.length === 0 ? (
        <YStack padding={16} gap={10}>
          <Text>Write down the boxes you own, shoe boxes too; then try them here.</Text>
          <Button label="Add containers" onPress={() => router.push('/containers')} />
        </YStack>
      ) : null}
      {[...fits]
        .sort((a, b) => Number(b.free > 0) - Number(a.free > 0))
        .map(({ container, fit, free }) => (
          <ListRow
            key={container.id}
            title={container.name}
            detail={`${sizeWords(container, unit)} · ${freeWords(free, container.priceMinor !== null)}`}
            selected={container.id === containerId}
            onPress={() => setContainerId(container.id)}
            right={<Strong>{countWords(fit)}</Strong>}
          />
        ))}
    </YStack>
  );
  const carrying = shelfLoad ? (
    <YStack
      padding={16}
      gap={8}
      backgroundColor="$background"
      borderTopWidth={1}
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <XStack gap={12} alignItems="center">
        <YStack flex={1}>
          <Strong>Load on this shelf now</Strong>
          <Small>
            {loadWords(shelfLoad.binsGrams, shelfLoad.contentsGrams, shelfLoad.ratingGrams, shelfLoad.estimated, unit)}
          </Small>
        </YStack>
        {shelfLoad.ratingGrams === null ? null : (
          <LoadBar
            share={(shelfLoad.binsGrams + shelfLoad.contentsGrams) / shelfLoad.ratingGrams}
            over={shelfLoad.state === 'over'}
          />
        )}
      </XStack>
      {chosen && chosen.fit.count > 0 ? (
        <Small>{emptyWeightWords(chosen.fit.count, chosen.fit.count * containerGrams(chosen.container), unit)}</Small>
      ) : null}
      {load ? <Small>{wholeLoadWords(load, unit)}</Small> : null}
      {load?.cautions.map((one) => (
        <Small key={one}>{LOAD_CAUTIONS[one]}</Small>
      ))}
    </YStack>
  ) : null;
  return (
    <Screen title="Try the fit" sub={space.name} back={`/space/${space.id}`} topAt={containerId}>
      {steps}
      <YStack paddingHorizontal={16} paddingVertical={8}>
        <Choices
          label="Which shelf"
          hideLabel
          choices={model.shelves.map(({ shelf }) => ({ value: shelf.id, label: codeTail(shelf.code) }))}
          value={at.shelf.id}
          onChange={setShelfId}
        />
      </YStack>
      <TwoPane
        left={
          <>
            {drawing}
            {answer}
            {carrying}
          </>
        }
        right={list}
        rightWidth={420}
        narrow={
          <>
            {drawing}
            {answer}
            {list}
            {carrying}
          </>
        }
      />
    </Screen>
  );
}
