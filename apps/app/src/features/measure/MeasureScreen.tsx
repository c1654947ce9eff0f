import { formatVolume, type MeasureQuestion } from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useMedia, XStack, YStack } from 'tamagui';
import { useHome } from '@/shared/useHome';
import { TwoPane } from '@/kit/layout/TwoPane';
import { UndoRedo } from '@/kit/press/UndoRedo';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { StepNav } from '@/kit/layout/StepNav';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Strong, Text } from '@/kit/text/Text';
import { OpenDoorView, useFront, type Asked, type Front } from '@/features/drawing';
import { planSteps } from '@/shared/planSteps';
import { MeasureList } from './MeasureList';
import { HeightsCard } from './HeightsCard';
import { QuestionCard } from './QuestionCard';
import { ShelfGrips } from './ShelfGrips';
import { useMeasuring } from './useMeasuring';
import { MORE_FIGURES, openWords } from './words';

/** One hand on the tape: question after question, the drawing growing as figures come in. */
export function MeasureScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const front = useFront(id ?? null);
  if (!front) return <NotHere what="This place" />;
  return <Measuring key={id} front={front} />;
}

/** On a phone, with the keys below it, pixels. */
const DRAWING_HEIGHT = 184;

function Measuring({ front }: { front: Front }) {
  const { space } = front;
  const { unit } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const measuring = useMeasuring(space);
  const { names, contradictions, cold, question } = measuring;
  const width = gtMd ? content - 420 - 16 : content;
  const chosen = question?.of === 'shelf' && measuring.inOneGo === null ? question.id : null;
  const asked = askedOf(question, measuring.inOneGo !== null);
  const drawing = (
    <YStack gap={4} testID="measure-drawing">
      <ShelfGrips
        view={front.view}
        width={width - 8}
        maxHeight={gtMd ? 560 : DRAWING_HEIGHT}
        measures={unit}
        onMove={measuring.moveShelf}
      >
        <OpenDoorView
          view={front.view}
          width={width - 8}
          maxHeight={gtMd ? 560 : DRAWING_HEIGHT}
          selectedId={chosen}
          summaryOf={front.summaryOf}
          measures={unit}
          names={false}
          asked={asked}
        />
      </ShelfGrips>
      {front.view.assumed ? <Small paddingHorizontal={16}>Even shares where nothing was measured yet.</Small> : null}
      {cold ? (
        <Small paddingHorizontal={16} testID="cold-room">
          {formatVolume(cold.roomMl, unit)} by its measures · bins take {formatVolume(cold.usedMl, unit)} · things in
          them {cold.estimated ? 'about ' : ''}
          {formatVolume(cold.contentsMl, unit)}, {Math.round(cold.share * 100)} % full
        </Small>
      ) : null}
    </YStack>
  );
  const asking = (
    <YStack gap={12} paddingHorizontal={16}>
      {contradictions.map((text) => (
        <XStack
          key={text}
          role="alert"
          padding={12}
          borderRadius={10}
          borderWidth={1}
          borderColor="$late"
          backgroundColor="$lateTint"
        >
          <Text color="$late">{text}</Text>
        </XStack>
      ))}
      <YStack gap={2}>
        <Strong testID="measure-open">{openWords(measuring.answersLeft, measuring.someCanBePlanned)}</Strong>
        {measuring.answersLeft === 0 && !measuring.isNeeded ? <Small>{MORE_FIGURES}</Small> : null}
      </YStack>
      {measuring.inOneGo !== null ? (
        <HeightsCard
          count={measuring.inOneGo}
          topTenthMm={space.heightTenthMm}
          progress={`${measuring.place.number} of ${measuring.place.count}`}
          unit={unit}
          onSave={(heights) => void measuring.saveHeights(heights)}
          onBack={measuring.back}
          onSingly={measuring.askSingly}
        />
      ) : question ? (
        <QuestionCard
          key={`${question.id}/${question.key}`}
          question={question}
          where={question.of === 'space' ? space.name : (names.get(question.id) ?? '')}
          progress={`${measuring.place.number} of ${measuring.place.count}`}
          unit={unit}
          isGuess={measuring.isGuess}
          onSave={measuring.save}
          onNext={measuring.next}
          onUnreached={measuring.leaveOpen}
          onBack={measuring.back}
          same={measuring.same}
        />
      ) : null}
    </YStack>
  );
  const list = (
    <MeasureList
      space={space}
      questions={measuring.questions}
      names={names}
      current={question ?? null}
      unit={unit}
      onPick={measuring.ask}
      isUnreached={measuring.isUnreached}
      change={measuring.change}
    />
  );
  return (
    <Screen
      title="Measure"
      sub={space.name}
      back={`/space/${space.id}`}
      right={<UndoRedo undo={measuring.undo} redo={measuring.redo} />}
    >
      <StepNav label="Setting up" steps={planSteps(space.id)} />
      <TwoPane
        top={8}
        left={drawing}
        right={
          <>
            {asking}
            {list}
          </>
        }
        rightWidth={420}
        narrow={
          <>
            {drawing}
            {asking}
            {list}
          </>
        }
      />
    </Screen>
  );
}

/** The side that is asked for, as the drawing shows it from the front; a depth is not seen there. */
function askedOf(question: MeasureQuestion | undefined, inOneGo: boolean): Asked | null {
  if (inOneGo) return { shelfId: null, key: 'all_bottoms' };
  if (!question) return null;
  const shelfId = question.of === 'shelf' ? question.id : null;
  switch (question.key) {
    case 'width':
    case 'height':
    case 'bottom':
      return { shelfId, key: question.key };
    default:
      return null;
  }
}
