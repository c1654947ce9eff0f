import { packFor, recordLine, type ItemRow, type Trip } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { figureWords } from '@/kit/text/counted';
import { Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';

/** What is written on a list. */
export interface WrittenLine {
  itemId: string | null;
  name: string;
  packs: number;
  packThousandths: number | null;
  priceMinor: number | null;
}

/** Adds to the list by a line as people say it: `2 bread`, `soap`. What the home knows is known again. */
export function AddLineDialog({
  trip,
  onClose,
  onAdd,
}: {
  trip: Trip;
  onClose: () => void;
  onAdd: (line: WrittenLine) => void;
}) {
  const { me, store } = useHouseholdContext();
  const [text, setText] = useState('');
  const order = useHousehold(({ state }) => state.get('household', me.householdId)?.dateOrder ?? null);
  const read = text.trim() === '' ? null : recordLine(text, { order, today: today() });
  const name = read?.understood ? read.name : text.trim();
  const item = name === '' ? null : knownItem(store.finder.find(name, FOUND), name);
  const count = read?.understood ? Math.max(1, Math.ceil(read.quantityThousandths / 1000)) : 1;
  const line: WrittenLine | null = name === '' ? null : lineOf(name, item, count, trip);
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
          ? `${figureWords(line.packs * 1000)} × ${line.name}${item ? '' : ' (new here: it is on this list only)'}`
          : 'One thing at a time; Enter adds it.'}
      </Text>
      {item && line && item.name.toLowerCase() !== name.toLowerCase() ? (
        <Button
          kind="quiet"
          label={`Not ${item.name}: “${name}” as typed`}
          onPress={() => addLine(lineOf(name, null, count, trip))}
        />
      ) : null}
      <XStack gap={8}>
        <Button kind="primary" grow label="Add" disabled={!line} onPress={() => addLine(line)} />
        <Button grow label="Done" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

/** Answers looked through for a thing. */
const FOUND = 6;

type Answers = ReturnType<ReturnType<typeof useHouseholdContext>['store']['finder']['find']>;

/** The thing that is meant: the first that is found, if its name says all that was typed. */
function knownItem(found: Answers, name: string): ItemRow | null {
  // A bin may be called like what is in it.
  const first = found.find((one) => one.kind === 'item');
  if (!first) return null;
  const words = name.toLowerCase().split(/\s+/);
  const known = [first.item.name, ...first.item.synonyms].join(' ').toLowerCase();
  return words.every((word) => known.includes(word.replace(/s$/, ''))) ? first.item : null;
}

function lineOf(name: string, item: ItemRow | null, count: number, trip: Trip): WrittenLine {
  if (!item) return { itemId: null, name: name.slice(0, 120), packs: count, packThousandths: null, priceMinor: null };
  const pack = packFor({ packs: item.packs ?? [], usualPackThousandths: null }, trip.shop?.id ?? null);
  return {
    itemId: item.id,
    name: item.name,
    packs: count,
    packThousandths: pack.amountThousandths,
    priceMinor: pack.priceMinor,
  };
}
