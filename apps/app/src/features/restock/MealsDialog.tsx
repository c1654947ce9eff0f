import { MEALS, mealsOf, type ItemRow, type Meal } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { Small, Strong } from '@/kit/text/Text';
import { useRunCommand } from '@/shared/useRunCommand';
import { MEAL_WORDS } from './words';

/** What a thing is used for, so that Use first can be asked by meal. */
export function MealsDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const [meals, setMeals] = useState<readonly Meal[]>(mealsOf(item).meals);
  const save = (next: Meal[] | null, done: string): void => {
    onClose();
    void runCommand('item_changed', [{ op: 'change', entity: 'item', id: item.id, fields: { meals: next } }], done);
  };
  return (
    <Dialog title={`What ${item.name} is used for`} open onClose={onClose}>
      <YStack gap={8}>
        {MEALS.map((meal) => (
          <XStack key={meal} gap={12} alignItems="center">
            <CheckSquare
              label={MEAL_WORDS[meal]}
              state={meals.includes(meal) ? 'ticked' : 'open'}
              onPress={() =>
                setMeals((now) => (now.includes(meal) ? now.filter((one) => one !== meal) : [...now, meal]))
              }
            />
            <Strong>{MEAL_WORDS[meal]}</Strong>
          </XStack>
        ))}
      </YStack>
      {item.meals ? null : <Small>As its name and kind tell: a guess until you save it.</Small>}
      <XStack gap={8}>
        <Button
          kind="primary"
          grow
          label="Save"
          onPress={() =>
            save(
              MEALS.filter((meal) => meals.includes(meal)),
              `Saved: what ${item.name} is used for.`,
            )
          }
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      {item.meals ? (
        <Button
          kind="quiet"
          label="As its name and kind tell"
          onPress={() => save(null, `${item.name}: as its name and kind tell.`)}
        />
      ) : null}
    </Dialog>
  );
}
