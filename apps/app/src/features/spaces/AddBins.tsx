import { binNamesIn, opsForNewBins, placeOf } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Field } from '@/kit/form/Field';

/** New bins by name, several at once with commas between; on a shelf, or inside another bin. */
export function AddBins({ parentId }: { parentId: string }) {
  const runCommand = useRunCommand();
  const [names, setNames] = useState('');
  const parent = useHousehold(({ state }) => ({
    code: state.nook(parentId)?.row.code,
    standing: placeOf(state, parentId),
    shapes: state.codesInUse().shapes,
    sort: (state.binsIn(parentId).at(-1)?.sort ?? -1) + 1,
  }));
  const wanted = binNamesIn(names);
  const add = (): void => {
    const { code: parentCode, standing, shapes, sort } = parent;
    if (wanted.length === 0 || parentCode === undefined || !standing) return;
    const ops = opsForNewBins(wanted, standing, parentCode, sort, new Set(shapes), () => uuidv7());
    setNames('');
    void runCommand(
      'bin_added',
      ops,
      wanted.length === 1 ? `Added: bin ${wanted[0]}.` : `Added: ${wanted.length} bins.`,
    );
  };
  return (
    <XStack gap={8} alignItems="flex-end">
      <YStack flex={1}>
        <Field
          label="New bins (comma between)"
          placeholder="towels, sheets"
          value={names}
          onChangeText={setNames}
          onSubmitEditing={add}
          submitBehavior="submit"
        />
      </YStack>
      <Button label="Add" disabled={wanted.length === 0} onPress={add} />
    </XStack>
  );
}
