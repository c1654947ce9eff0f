import {
  BARE_SPACE_BUILD,
  formatSize,
  opsForCopyingShelf,
  opsForCopyingSpace,
  type LengthUnit,
  type MeasureQuestion,
  type Op,
  type SpaceRow,
} from '@ours/core';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold } from '@/shared/HouseholdProvider';
import { Button } from '@/kit/press/Button';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { useScroller } from '@/kit/layout/Screen';
import { Strong } from '@/kit/text/Text';
import { AidDialog } from './AidDialog';
import { ObstacleDialog } from './ObstacleDialog';
import { answerWords, questionWords } from './words';

interface Props {
  space: SpaceRow;
  questions: readonly MeasureQuestion[];
  names: ReadonlyMap<string, string>;
  current: MeasureQuestion | null;
  unit: LengthUnit;
  onPick: (question: MeasureQuestion) => void;
  isUnreached: (question: MeasureQuestion) => boolean;
  change: (intent: string, ops: Op[]) => Promise<boolean>;
}

/** Every figure there is, place by place: to look up, to correct, to copy. */
export function MeasureList({ space, questions, names, current, unit, onPick, isUnreached, change }: Props) {
  const router = useRouter();
  const scroller = useScroller();
  const [adding, setAdding] = useState(false);
  const [aidsOf, setAidsOf] = useState<string | null>(null);
  const { inUse, sorts, count } = useHousehold(({ state }) => ({
    inUse: state.codesInUse(),
    sorts: state.shelvesOf(space.id).map(({ sort }) => sort),
    count: state.all('space').length,
  }));
  const owners = [...new Set(questions.map(({ id }) => id))];
  const obstacles = space.build?.obstacles ?? [];
  const copyShelf = (shelfId: string, state: { get: (entity: 'shelf', id: string) => unknown }): void => {
    const shelf = state.get('shelf', shelfId) as Parameters<typeof opsForCopyingShelf>[1] | undefined;
    if (shelf)
      void change(
        'shelf_copied',
        opsForCopyingShelf(space, shelf, Math.max(0, ...sorts) + 1, inUse, () => uuidv7()),
      );
  };
  const state = useHousehold((snapshot) => snapshot.state);
  const copySpace = async (): Promise<void> => {
    const { spaceId, ops } = opsForCopyingSpace(
      space,
      state.shelvesOf(space.id),
      `${space.name}, copy`.slice(0, 120),
      count,
      inUse,
      () => uuidv7(),
    );
    if (await change('space_copied', ops)) router.replace(`/space/${spaceId}/measure`);
  };
  return (
    <YStack>
      <ListHeading
        title="All figures"
        remark={`${questions.filter(({ value }) => value !== null).length} of ${questions.length} known`}
      />
      {owners.map((owner) => (
        <YStack key={owner}>
          <XStack paddingHorizontal={16} paddingTop={12} alignItems="center">
            <Strong flex={1}>{owner === space.id ? space.name : names.get(owner)}</Strong>
            {owner === space.id ? (
              <Button kind="quiet" label="Copy space" onPress={() => void copySpace()} />
            ) : (
              <>
                <Button
                  kind="quiet"
                  label={aidCount(state.get('shelf', owner)?.build?.aids.length ?? 0)}
                  onPress={() => setAidsOf(owner)}
                />
                <Button kind="quiet" label="Copy shelf" onPress={() => copyShelf(owner, state)} />
              </>
            )}
          </XStack>
          {questions
            .filter(({ id }) => id === owner)
            .map((question) => (
              <ListRow
                key={question.key}
                title={questionWords(question).short}
                {...(isUnreached(question) ? { detail: 'could not be reached' } : {})}
                selected={question === current}
                onPress={() => {
                  onPick(question);
                  // The question is asked at the top.
                  scroller?.scrollTo?.({ top: 0, behavior: 'smooth' });
                }}
                right={<Strong>{answerWords(question, unit) || '–'}</Strong>}
              />
            ))}
        </YStack>
      ))}
      <ListHeading title="In the way" remark={obstacles.length === 0 ? 'nothing noted' : undefined} />
      {obstacles.map((one, at) => (
        <ListRow
          key={at}
          title={{ pipe: 'Pipe', hump: 'Hump', hinge: 'Hinge' }[one.kind]}
          detail={formatSize([one.widthTenthMm, one.depthTenthMm, one.heightTenthMm], unit)}
          right={
            <Button
              kind="quiet"
              label="Remove"
              onPress={() =>
                void change('obstacle_removed', [
                  {
                    op: 'change',
                    entity: 'space',
                    id: space.id,
                    fields: {
                      build: {
                        ...(space.build ?? BARE_SPACE_BUILD),
                        obstacles: obstacles.filter((_, other) => other !== at),
                      },
                    },
                  },
                ])
              }
            />
          }
        />
      ))}
      <XStack padding={16}>
        <Button label="Add a pipe, hump or hinge" onPress={() => setAdding(true)} />
      </XStack>
      {aidsOf && state.get('shelf', aidsOf) ? (
        <AidDialog shelf={state.get('shelf', aidsOf)!} unit={unit} change={change} onClose={() => setAidsOf(null)} />
      ) : null}
      {adding ? (
        <ObstacleDialog
          unit={unit}
          onClose={() => setAdding(false)}
          onAdd={(obstacle) =>
            void change('obstacle_added', [
              {
                op: 'change',
                entity: 'space',
                id: space.id,
                fields: { build: { ...(space.build ?? BARE_SPACE_BUILD), obstacles: [...obstacles, obstacle] } },
              },
            ])
          }
        />
      ) : null}
    </YStack>
  );
}

const aidCount = (count: number): string => (count === 0 ? 'Add-ons' : `Add-ons (${count})`);
