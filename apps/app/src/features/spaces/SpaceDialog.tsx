import type { SpaceRow } from '@ours/core';
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

/** A space's name, room, measures, lock and note. */
export function SpaceDialog({ space, onClose }: { space: SpaceRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { me } = useHouseholdContext();
  const unit = useHousehold(({ state }) => state.get('household', me.householdId)?.lengthUnit ?? 'metric');
  const rooms = useHousehold(({ state }) => state.all('room'));
  const [name, setName] = useState(space.name);
  const [roomId, setRoomId] = useState(space.roomId);
  const [locked, setLocked] = useState<'yes' | 'no'>(space.locked ? 'yes' : 'no');
  const [note, setNote] = useState(space.note);
  const measure = useMeasures(space, unit);
  const nameProblem = name.trim() === '' ? 'A space needs a name.' : undefined;
  const save = (): void => {
    onClose();
    void runCommand(
      'space_changed',
      [
        {
          op: 'change',
          entity: 'space',
          id: space.id,
          fields: { name: name.trim(), roomId, locked: locked === 'yes', note, ...measure.values() },
        },
      ],
      `Saved: ${name.trim()}.`,
    );
  };
  return (
    <Dialog title={`Space ${space.code}`} open onClose={onClose}>
      <Field label="Name" value={name} onChangeText={setName} problem={nameProblem} maxLength={120} />
      <Choices
        label="Room"
        wrap
        choices={rooms.map((room) => ({ value: room.id, label: room.name }))}
        value={roomId}
        onChange={setRoomId}
      />
      <XStack gap={8}>{measure.fields}</XStack>
      {measure.problem ? <Small color="$late">{measure.problem}</Small> : null}
      <Choices
        label="Lock"
        choices={[
          { value: 'yes', label: 'Locked' },
          { value: 'no', label: 'Not locked' },
        ]}
        value={locked}
        onChange={setLocked}
      />
      <Field label="Note" value={note} onChangeText={setNote} multiline maxLength={2000} />
      <XStack gap={8}>
        <Button
          grow
          kind="primary"
          label="Save"
          disabled={nameProblem !== undefined || measure.problem !== null}
          onPress={save}
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
