import {
  coldRoom,
  describeShelf,
  findContradictions,
  formatVolume,
  measureQuestions,
  opsForMeasuring,
  opsForMovingShelf,
  restingHeight,
  type MeasureAnswer,
  type MeasureQuestion,
} from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { useHousehold } from '@/home/HouseholdProvider';
import { useHome } from '@/home/useHome';
import { useUndoStack } from '@/home/useUndoStack';
import { Button } from '@/kit/press/Button';
import { Redo, Undo } from '@/kit/press/icons';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { StepNav } from '@/kit/layout/StepNav';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Text } from '@/kit/text/Text';
import { OpenDoorView, useFront, type Front } from '@/features/drawing';
import { planSteps } from '@/home/planSteps';
import { MeasureList } from './MeasureList';
import { QuestionCard } from './QuestionCard';
import { ShelfGrips } from './ShelfGrips';
import { contradictionWords } from './words';

/** One hand on the tape: question after question, the drawing growing as figures come in. */
export function MeasureScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const front = useFront(id ?? null);
  if (!front) return <NotHere what="This place" />;
  return <Measuring key={id} front={front} />;
}

function Measuring({ front }: { front: Front }) {
  const { space } = front;
  const { unit } = useHome();
  const { gtMd } = useMedia();
  const content = useContentWidth();
  const history = useUndoStack();
  const { shelves, names, contradictions, cold } = useHousehold(({ state }) => {
    const rows = state.shelvesOf(space.id);
    const nameOf = (nookId: string): string => {
      const nook = state.nook(nookId);
      return nook?.kind === 'shelf' ? describeShelf(state, nook.row) : (nook?.row.name ?? '');
    };
    return {
      shelves: rows,
      names: new Map(rows.map((row) => [row.id, nameOf(row.id)])),
      contradictions: findContradictions(state, space.id).map((one) => contradictionWords(one, unit, nameOf)),
      cold: ['chest_freezer', 'upright_freezer', 'refrigerator'].includes(space.kind)
        ? coldRoom(state, space.id)
        : null,
    };
  });
  const questions = measureQuestions(space, shelves);
  // After a pattern nothing is measured yet, though everything has a figure.
  const { guess } = useLocalSearchParams<{ guess?: string }>();
  const firstOpen = guess === '1' ? 0 : questions.findIndex(({ value }) => value === null);
  const [at, setAt] = useState(Math.max(0, firstOpen));
  const [measured, setMeasured] = useState<readonly string[]>([]);
  const question = questions[Math.min(at, questions.length - 1)];
  const save = async (one: MeasureQuestion, value: MeasureAnswer): Promise<boolean> => {
    setMeasured((before) => [...before, `${one.id}/${one.key}`]);
    return history.change('measured', opsForMeasuring(space, shelves, one, value));
  };
  const width = gtMd ? content - 420 - 16 : content;
  const chosen = question?.of === 'shelf' ? question.id : null;
  const drawing = (
    <YStack gap={4} testID="measure-drawing">
      <ShelfGrips
        view={front.view}
        width={width - 8}
        maxHeight={gtMd ? 560 : 268}
        measures={unit}
        onMove={(shelfId, wanted) => {
          const shelf = shelves.find((one) => one.id === shelfId);
          if (shelf)
            void history.change(
              'shelf_moved',
              opsForMovingShelf(space, shelves, shelf, restingHeight(space, shelf, wanted)),
            );
        }}
      >
        <OpenDoorView
          view={front.view}
          width={width - 8}
          maxHeight={gtMd ? 560 : 268}
          selectedId={chosen}
          summaryOf={front.summaryOf}
          measures={unit}
          names={false}
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
      {question ? (
        <QuestionCard
          key={`${question.id}/${question.key}`}
          question={question}
          where={question.of === 'space' ? space.name : (names.get(question.id) ?? '')}
          progress={`${Math.min(at, questions.length - 1) + 1} of ${questions.length}`}
          unit={unit}
          isGuess={guess === '1' && !measured.includes(`${question.id}/${question.key}`)}
          onSave={(value) => save(question, value)}
          onNext={() => setAt((now) => Math.min(questions.length - 1, now + 1))}
          onBack={at > 0 ? () => setAt((now) => Math.max(0, now - 1)) : null}
        />
      ) : null}
    </YStack>
  );
  const list = (
    <MeasureList
      space={space}
      questions={questions}
      names={names}
      current={question ?? null}
      unit={unit}
      onPick={(one) => setAt(questions.indexOf(one))}
      change={history.change}
    />
  );
  return (
    <Screen
      title="Measure"
      sub={space.name}
      back={`/space/${space.id}`}
      right={
        <>
          <Button
            kind="quiet"
            iconOnly
            icon={Undo}
            label="Undo"
            disabled={!history.undo}
            onPress={() => {
              setMeasured((before) => before.slice(0, -1));
              history.undo?.();
            }}
          />
          <Button
            kind="quiet"
            iconOnly
            icon={Redo}
            label="Redo"
            disabled={!history.redo}
            onPress={() => history.redo?.()}
          />
        </>
      }
    >
      <StepNav label="Setting up" steps={planSteps(space.id)} />
      {gtMd ? (
        <XStack gap={16} paddingTop={8}>
          <YStack width={width}>{drawing}</YStack>
          <YStack width={420} gap={8}>
            {asking}
            {list}
          </YStack>
        </XStack>
      ) : (
        <YStack gap={12} paddingTop={8}>
          {drawing}
          {asking}
          {list}
        </YStack>
      )}
    </Screen>
  );
}
