import { definitionOf, pluralUnit, type ItemFields, type ItemRow } from '@ours/core';
import { useState } from 'react';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { FormDialog } from '@/kit/form/FormDialog';
import { Button } from '@/kit/press/Button';
import { BulkDialog } from './BulkDialog';
import { SplitDialog } from './SplitDialog';
import { UnitDialog } from './UnitDialog';

/** What the home knows about a kind of thing: names, tags, when it is low, how long it keeps. */
export function ItemDialog({ itemId, onClose }: { itemId: string | null; onClose: () => void }) {
  const item = useHousehold(({ state }) => (itemId === null ? undefined : state.get('item', itemId)));
  return item ? <Form key={item.id} item={item} onClose={onClose} /> : null;
}

const inputsOf = (item: ItemRow) => ({
  name: { label: 'Name', needed: 'A thing needs a name.' },
  synonyms: { label: 'Also called (comma between)' },
  tags: { label: 'Tags (comma between)' },
  lowAtThousandths: {
    label: `Low when this many are left (${pluralUnit(item.unit, 2000)})`,
    hint: 'Empty: it is never called low.',
  },
  openedDays: { label: 'Days it keeps once opened' },
  freezerMonths: { label: 'Months of good quality in a freezer', hint: 'Quality, not safety.' },
});
type Asked = Pick<ItemFields, keyof ReturnType<typeof inputsOf>>;

function Form({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const [page, setPage] = useState<'size' | 'unit' | 'split' | null>(null);
  if (page === 'size') return <BulkDialog item={item} onClose={onClose} />;
  if (page === 'unit') return <UnitDialog item={item} onClose={onClose} />;
  if (page === 'split') return <SplitDialog item={item} onClose={onClose} />;
  const retire = (): void => {
    onClose();
    void runCommand('item_retired', [{ op: 'retire', entity: 'item', id: item.id }], `${item.name} is off the list.`);
  };
  return (
    <FormDialog<keyof Asked, Asked>
      title={`About ${item.name}`}
      fields={definitionOf('item').fields}
      inputs={inputsOf(item)}
      start={item}
      unit={unit}
      onClose={onClose}
      onSave={(fields) =>
        void runCommand(
          'item_changed',
          [{ op: 'change', entity: 'item', id: item.id, fields }],
          `Saved: ${fields.name}.`,
        )
      }
      middle={() => <Button label="Room, weight, folding, groups …" onPress={() => setPage('size')} />}
    >
      <Button label={`Kept in another unit than ${item.unit} …`} onPress={() => setPage('unit')} />
      <Button label="These are two things …" onPress={() => setPage('split')} />
      <Button kind="quiet" label="Take this thing off the list" onPress={retire} />
    </FormDialog>
  );
}
