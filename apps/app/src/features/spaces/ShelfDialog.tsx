import { formatLength, readLength, SHELF_KINDS, type ShelfRow } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { useHousehold, useHouseholdContext } from '@/home/HouseholdProvider';
import { useRunCommand } from '@/home/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';
import { Small } from '@/kit/text/Text';
import { useMeasures } from './BinDialog';
import { SHELF_KIND_WORDS } from '@/features/drawing/words';

/** A shelf's name, kind and measures. */
export function ShelfDialog({ shelf, onClose }: { shelf: ShelfRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const unit = useHousehold(({ state }) => state.get('household', me.householdId)?.lengthUnit ?? 'metric');
  const [name, setName] = useState(shelf.name);
  const [kind, setKind] = useState(shelf.kind);
  const startBottom =
    shelf.bottomTenthMm === null ? '' : shelf.bottomTenthMm === 0 ? '0' : formatLength(shelf.bottomTenthMm, unit);
  const [bottom, setBottom] = useState(startBottom);
  const measure = useMeasures(shelf, unit);
  const reading =
    bottom.trim() === '' || bottom.trim() === '0' || bottom === startBottom ? null : readLength(bottom, unit);
  const bottomTenthMm =
    bottom.trim() === '' ? null : bottom === startBottom ? shelf.bottomTenthMm : reading?.ok ? reading.tenthMm : 0;
  const problem = (reading && !reading.ok ? reading.problem : null) ?? measure.problem;
  const save = (): void => {
    onClose();
    void runCommand(
      'shelf_changed',
      [
        {
          op: 'change',
          entity: 'shelf',
          id: shelf.id,
          fields: { name: name.trim(), kind, bottomTenthMm, ...measure.values() },
        },
      ],
      `Saved: ${name.trim() || SHELF_KIND_WORDS[kind]}.`,
    );
  };
  return (
    <Dialog title={`Shelf ${shelf.code}`} open onClose={onClose}>
      <Field
        label="Name"
        value={name}
        onChangeText={setName}
        maxLength={120}
        hint="Empty: it is called by its place, such as “second shelf from top”."
      />
      <Choices
        label="Kind"
        wrap
        choices={SHELF_KINDS.map((value) => ({ value, label: SHELF_KIND_WORDS[value] }))}
        value={kind}
        onChange={setKind}
      />
      <XStack gap={8}>{measure.fields}</XStack>
      <Field
        label="Height of its surface above the foot of the space"
        value={bottom}
        onChangeText={setBottom}
        placeholder={unit === 'metric' ? 'cm' : 'in'}
      />
      {problem ? <Small color="$late">{problem}</Small> : null}
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" disabled={problem !== null} onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
