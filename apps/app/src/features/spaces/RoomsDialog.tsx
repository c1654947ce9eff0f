import type { RoomRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { Button } from '@/kit/press/Button';
import { Dialog } from '@/kit/layout/Dialog';
import { Field } from '@/kit/form/Field';

/** The home's rooms, to be renamed, and removed once no space is in them. */
export function RoomsDialog({ onClose }: { onClose: () => void }) {
  const rooms = useHousehold(({ state }) =>
    state.all('room').map((room) => ({ room, spaces: state.spacesIn(room.id).length })),
  );
  return (
    <Dialog title="Rooms" open onClose={onClose}>
      {rooms.map(({ room, spaces }) => (
        <RoomLine key={`${room.id} ${room.name}`} room={room} spaces={spaces} />
      ))}
      <Button label="Close" onPress={onClose} />
    </Dialog>
  );
}

function RoomLine({ room, spaces }: { room: RoomRow; spaces: number }) {
  const runCommand = useRunCommand();
  const [name, setName] = useState(room.name);
  const changed = name.trim() !== '' && name.trim() !== room.name;
  const rename = (): void =>
    void runCommand(
      'room_changed',
      [{ op: 'change', entity: 'room', id: room.id, fields: { name: name.trim() } }],
      `Renamed: ${name.trim()}.`,
    );
  const remove = (): void =>
    void runCommand('room_retired', [{ op: 'retire', entity: 'room', id: room.id }], `Removed: ${room.name}.`);
  return (
    <XStack gap={8} alignItems="flex-end">
      <YStack flex={1}>
        <Field
          label={spaces === 0 ? 'no spaces' : spaces === 1 ? '1 space' : `${spaces} spaces`}
          value={name}
          onChangeText={setName}
          maxLength={120}
          problem={name.trim() === '' ? 'A room needs a name.' : undefined}
        />
      </YStack>
      {changed ? <Button label="Rename" onPress={rename} /> : null}
      {spaces === 0 ? <Button label="Remove" onPress={remove} /> : null}
    </XStack>
  );
}
