import { isInFreezer, lengthField, orNull, roomFor, type RoomAnswer } from '@ours/core';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { shelfWords, wayTo } from '@/shared/placeWords';
import { sideFrom } from '@/shared/roomForPath';
import { useHome } from '@/shared/useHome';
import { besideWords, insteadWords, notJudgedWords } from './words';

const SIDE = orNull(lengthField());
/** As many as one reads; the first are the best. */
const MOST_PLACES = 12;

/** Is there room for it? Something to be bought, tried on every measured shelf before one leaves for the shop. */
export function RoomForScreen() {
  const { unit } = useHome();
  const params = useLocalSearchParams<{ name?: string; wide?: string; deep?: string; high?: string }>();
  const [where, setWhere] = useState<'shelves' | 'freezers'>('shelves');
  const [how, setHow] = useState<'any' | 'upright'>('any');
  const width = useFigure(SIDE, unit, sideFrom(params.wide));
  const depth = useFigure(SIDE, unit, sideFrom(params.deep));
  const height = useFigure(SIDE, unit, sideFrom(params.high));
  const sides = [width.value, depth.value, height.value];
  const size =
    width.value !== null && depth.value !== null && height.value !== null
      ? { widthTenthMm: width.value, depthTenthMm: depth.value, heightTenthMm: height.value }
      : null;
  const answer = useHousehold(({ state, version }) => {
    if (!size) return { of: null, version };
    const spaces = state.all('space').filter(({ id }) => isInFreezer(state, id) === (where === 'freezers'));
    return { of: roomFor(state, size, spaces, how === 'upright'), version };
  }).of;
  const missing = sides.filter((side) => side === null).length;
  return (
    <Screen title="Is there room for it?" sub={params.name} back="/restock">
      <YStack padding={16} gap={12} maxWidth={640}>
        <XStack gap={8}>
          <YStack flex={1}>
            <Field label="Wide" {...width.input} problem={width.problem} />
          </YStack>
          <YStack flex={1}>
            <Field label="Deep" {...depth.input} problem={depth.problem} />
          </YStack>
          <YStack flex={1}>
            <Field label="High" {...height.input} problem={height.problem} />
          </YStack>
        </XStack>
        <Choices
          label="Where?"
          choices={[
            { value: 'shelves', label: 'on the shelves' },
            { value: 'freezers', label: 'in the freezers' },
          ]}
          value={where}
          onChange={setWhere}
        />
        <Choices
          label="May it lie on its side?"
          choices={[
            { value: 'any', label: 'yes' },
            { value: 'upright', label: 'no, upright only' },
          ]}
          value={how}
          onChange={setHow}
        />
        {answer === null && missing > 0 ? <Small>Its three outside measures are needed, as it stands.</Small> : null}
      </YStack>
      {answer ? <Answer answer={answer} /> : null}
    </Screen>
  );
}

function Answer({ answer }: { answer: RoomAnswer }) {
  const router = useRouter();
  const beside = answer.places.filter(({ insteadOf }) => insteadOf === null);
  const instead = answer.places.filter(({ insteadOf }) => insteadOf !== null);
  const { ways, goesTo } = useHousehold(({ state, version }) => {
    const said = (shelfId: string, first: (way: ReturnType<typeof wayTo>) => string | undefined): string => {
      const shelf = state.get('shelf', shelfId);
      return [first(wayTo(state, shelfId)) ?? '', shelf ? shelfWords(state, shelf) : '']
        .filter((part) => part !== '')
        .join(' › ');
    };
    return {
      version,
      ways: (shelfId: string) => said(shelfId, (way) => way?.room?.name),
      goesTo: (shelfId: string) => said(shelfId, (way) => way?.space?.name),
    };
  });
  const rows = (places: RoomAnswer['places']) =>
    places
      .slice(0, MOST_PLACES)
      .map((place) => (
        <ListRow
          key={place.shelf.id}
          title={place.insteadOf ? insteadWords(place, place.goesTo ? goesTo(place.goesTo.id) : '') : place.space.name}
          detail={[place.insteadOf ? place.space.name : '', ways(place.shelf.id), besideWords(place)]
            .filter((part) => part !== '')
            .join(' · ')}
          onPress={() => router.push(`/nook/${place.shelf.id}`)}
          right={<NookPlate nookId={place.shelf.id} />}
        />
      ));
  return (
    <YStack role="region" aria-label="Where it fits">
      <ListHeading
        title={beside.length > 0 ? 'It fits here' : 'No room was found beside what is there'}
        remark={beside.length > MOST_PLACES ? `${MOST_PLACES} of ${beside.length}` : undefined}
      />
      {rows(beside)}
      {beside.length === 0 && instead.length > 0 ? (
        <>
          <ListHeading title="Something has to go" remark="the smallest first" />
          {rows(instead)}
        </>
      ) : null}
      {answer.places.length === 0 ? (
        <Text padding={16}>Nor in the place of one bin, on the shelves that were tried.</Text>
      ) : null}
      <Small padding={16}>{notJudgedWords(answer)}</Small>
    </YStack>
  );
}
