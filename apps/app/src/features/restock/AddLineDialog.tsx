import { foldText, packFor, recordLine, type ItemRow, type Trip } from '@ours/core';
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
  const known = name === '' ? [] : thingsCalled(store.finder.find(name, FOUND), name);
  // One that is called so, or the only one that can be meant; of several it is asked.
  const item = known.find((one) => isCalled(one, name)) ?? (known.length === 1 ? known[0]! : null);
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
          ? `${figureWords(line.packs * 1000)} × ${line.name}${item ? '' : known.length > 0 ? ': which one?' : ' (new here: it is on this list only)'}`
          : 'One thing at a time; Enter adds it.'}
      </Text>
      {name !== '' && known.length > 0 && !(item && isCalled(item, name)) ? (
        <XStack gap={8} flexWrap="wrap">
          {known.slice(0, MOST_OFFERED).map((one) => (
            <Button key={one.id} label={one.name} onPress={() => addLine(lineOf(name, one, count, trip))} />
          ))}
          <Button kind="quiet" label={`“${name}” as typed`} onPress={() => addLine(lineOf(name, null, count, trip))} />
        </XStack>
      ) : null}
      <XStack gap={8}>
        <Button kind="primary" grow label="Add" disabled={!line} onPress={() => addLine(line)} />
        <Button grow label="Done" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

/** Answers looked through, and of them offered. */
const FOUND = 20;
const MOST_OFFERED = 4;

type Answers = ReturnType<ReturnType<typeof useHouseholdContext>['store']['finder']['find']>;

const singular = (words: string): string => foldText(words).trim().replace(/s$/, '');
const isCalled = ({ name, synonyms }: ItemRow, typed: string): boolean =>
  [name, ...synonyms].some((one) => singular(one) === singular(typed));

/** The things whose name says all that was typed; those that are bought first. A bin may be called like what is in it. */
function thingsCalled(found: Answers, typed: string): ItemRow[] {
  const words = foldText(typed).split(/\s+/).map(singular);
  return found
    .flatMap((one) => (one.kind === 'item' ? [one.item] : []))
    .filter(({ name, synonyms }) => {
      const said = foldText([name, ...synonyms].join(' '));
      return words.every((word) => said.includes(word));
    })
    .sort((a, b) => Number((b.packs ?? []).length > 0) - Number((a.packs ?? []).length > 0));
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
