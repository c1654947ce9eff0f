import { codeShape, newBinCode, placeOf, type BinFields, type Op } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { v7 as uuidv7 } from 'uuid';
import { useHousehold } from '@/home/HouseholdProvider';
import { useRunCommand } from '@/home/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Field } from '@/kit/form/Field';

const LONGEST_NAME = 120;
const NOT_MEASURED = { leftTenthMm: null, widthTenthMm: null, heightTenthMm: null, depthTenthMm: null };

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
  const wanted = names
    .split(',')
    .map((name) => name.trim().slice(0, LONGEST_NAME))
    .filter((name) => name !== '');
  const add = (): void => {
    const { code: parentCode, standing, shapes, sort } = parent;
    if (wanted.length === 0 || parentCode === undefined || !standing) return;
    const used = new Set(shapes);
    const ops = wanted.map((name, at): Op => {
      const code = newBinCode(parentCode, { shapes: used });
      used.add(codeShape(code));
      const place = { ...standing, code, sort: sort + at };
      const fields: BinFields = { ...place, ...NOT_MEASURED, name, look: 'closed', hasLid: false, tags: [] };
      return { op: 'create', entity: 'bin', id: uuidv7(), fields };
    });
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
