import { formatQuantity, readQuantity, type ItemFields, type ItemRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { useHousehold } from '@/home/HouseholdProvider';
import { useRunCommand } from '@/home/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { BulkDialog } from './BulkDialog';

/** What the home knows about a kind of thing: names, tags, when it is low, how long it keeps. */
export function ItemDialog({ itemId, onClose }: { itemId: string | null; onClose: () => void }) {
  const item = useHousehold(({ state }) => (itemId === null ? undefined : state.get('item', itemId)));
  return item ? <Form key={item.id} item={item} onClose={onClose} /> : null;
}

const list = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((part) => part.trim().replace(/^#/, ''))
      .filter((part) => part !== ''),
  ),
];

function Form({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const [measuring, setMeasuring] = useState(false);
  const [name, setName] = useState(item.name);
  const [synonyms, setSynonyms] = useState(item.synonyms.join(', '));
  const [tags, setTags] = useState(item.tags.join(', '));
  const [low, setLow] = useState(item.lowAtThousandths === null ? '' : formatQuantity(item.lowAtThousandths));
  const [opened, setOpened] = useState(item.openedDays === null ? '' : String(item.openedDays));
  const [months, setMonths] = useState(item.freezerMonths === null ? '' : String(item.freezerMonths));
  const lowAt = low.trim() === '' ? null : readQuantity(low);
  const days = opened.trim() === '' ? null : Number(opened);
  const freezer = months.trim() === '' ? null : Number(months);
  const problems = {
    name: name.trim() === '' ? 'A thing needs a name.' : undefined,
    low: low.trim() !== '' && lowAt === null ? `“${low}” is not an amount; write for example 2 or 0.5.` : undefined,
    opened:
      days !== null && (!Number.isInteger(days) || days < 0 || days > 3650)
        ? `“${opened}” is not a number of days from 0 to 3650.`
        : undefined,
    months:
      freezer !== null && (!Number.isInteger(freezer) || freezer < 0 || freezer > 120)
        ? `“${months}” is not a number of months from 0 to 120.`
        : undefined,
  };
  const ok = Object.values(problems).every((problem) => problem === undefined);
  const save = (): void => {
    const next: Partial<ItemFields> = {
      name: name.trim(),
      synonyms: list(synonyms),
      tags: list(tags),
      lowAtThousandths: lowAt,
      openedDays: days,
      freezerMonths: freezer,
    };
    onClose();
    void runCommand(
      'item_changed',
      [{ op: 'change', entity: 'item', id: item.id, fields: next }],
      `Saved: ${name.trim()}.`,
    );
  };
  if (measuring) return <BulkDialog item={item} onClose={onClose} />;
  return (
    <Dialog title={`About ${item.name}`} open onClose={onClose}>
      <Field label="Name" value={name} onChangeText={setName} problem={problems.name} maxLength={120} />
      <Field label="Also called (comma between)" value={synonyms} onChangeText={setSynonyms} />
      <Field label="Tags (comma between)" value={tags} onChangeText={setTags} autoCapitalize="none" />
      <Field
        label={`Low when this many are left (${item.unit})`}
        value={low}
        onChangeText={setLow}
        inputMode="decimal"
        problem={problems.low}
        hint="Empty: nobody minds."
      />
      <Field
        label="Days it keeps once opened"
        value={opened}
        onChangeText={setOpened}
        inputMode="numeric"
        problem={problems.opened}
      />
      <Field
        label="Months of good quality in a freezer"
        value={months}
        onChangeText={setMonths}
        inputMode="numeric"
        problem={problems.months}
        hint="Quality, not safety."
      />
      <Button label="Room, weight, folding, groups …" onPress={() => setMeasuring(true)} />
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" disabled={!ok} onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      <Button
        kind="quiet"
        label="Take this thing off the list"
        onPress={() => {
          onClose();
          void runCommand(
            'item_retired',
            [{ op: 'retire', entity: 'item', id: item.id }],
            `${item.name} is off the list.`,
          );
        }}
      />
    </Dialog>
  );
}
