import type { Trip } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { figureWords } from '@/kit/text/counted';
import { Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { isCalled, lineOf, readListLine, type WrittenLine } from './listLine';

const MOST_OFFERED = 4;

/** Adds to the list by a line as people say it: `2 bread`, `soap`. What the home knows is known again. */
export function AddLineDialog({
  trip,
  onClose,
  onAdd,
  onSeveral,
}: {
  trip: Trip;
  onClose: () => void;
  onAdd: (line: WrittenLine) => void;
  /** Many lines at once, from a table or a text. */
  onSeveral?: () => void;
}) {
  const { me, store } = useHouseholdContext();
  const [text, setText] = useState('');
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const { name, known, item, said } = readListLine(text, store.finder, order);
  const line: WrittenLine | null = name === '' ? null : lineOf(name, item, said, trip);
  const addLine = (written: WrittenLine | null): void => {
    if (!written) return;
    onAdd(written);
    setText('');
  };
  return (
    <Dialog title="Add to the list" open onClose={onClose}>
      <Field
        label="What, and how many"
        autoFocus
        placeholder="2 bread, soap, 500 g butter"
        value={text}
        onChangeText={setText}
        onSubmitEditing={() => addLine(line)}
        submitBehavior="submit"
        maxLength={120}
      />
      <Text aria-live="polite">
        {line
          ? `${figureWords(line.packs * 1000)} × ${line.name}${item ? '' : known.length > 0 ? ': which one?' : ' (new here: it is on this list only)'}`
          : 'One thing at a time; Enter adds it.'}
      </Text>
      {name !== '' && known.length > 0 && !(item && isCalled(item, name)) ? (
        <XStack gap={8} flexWrap="wrap">
          {known.slice(0, MOST_OFFERED).map((one) => (
            <Button key={one.id} label={one.name} onPress={() => addLine(lineOf(name, one, said, trip))} />
          ))}
          <Button kind="quiet" label={`“${name}” as typed`} onPress={() => addLine(lineOf(name, null, said, trip))} />
        </XStack>
      ) : null}
      <XStack gap={8}>
        <Button kind="primary" grow label="Add" disabled={!line} onPress={() => addLine(line)} />
        <Button grow label="Done" onPress={onClose} />
      </XStack>
      {onSeveral ? <Button kind="quiet" label="Several lines, or a table …" onPress={onSeveral} /> : null}
    </Dialog>
  );
}
