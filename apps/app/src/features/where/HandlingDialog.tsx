import { HOW_OFTEN, type BinRow, type Handling, type HowOften } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { CheckSquare } from '@/kit/press/CheckSquare';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';
import { OFTEN_WORDS } from './words';

const NOT_SAID = 'not said';
const HERE = 'here';

/** How a bin is used: how often, by whom, where. What is not said is taken from what was noted, or a default that says so. */
export function HandlingDialog({ bin, known, onClose }: { bin: BinRow; known: string; onClose: () => void }) {
  const runCommand = useRunCommand();
  const people = useHousehold(({ state }) => state.all('person'));
  const rooms = useHousehold(({ state }) => state.all('room'));
  const [often, setOften] = useState<HowOften | typeof NOT_SAID>(bin.handling?.often ?? NOT_SAID);
  const [by, setBy] = useState<readonly string[]>(bin.handling?.personIds ?? []);
  const [roomId, setRoomId] = useState<string>(bin.handling?.roomId ?? HERE);
  const save = (): void => {
    const handling: Handling = {
      often: often === NOT_SAID ? null : often,
      personIds: [...by],
      roomId: roomId === HERE ? null : roomId,
    };
    const nothing = handling.often === null && by.length === 0 && handling.roomId === null;
    onClose();
    void runCommand(
      'bin_changed',
      [{ op: 'change', entity: 'bin', id: bin.id, fields: { handling: nothing ? null : handling } }],
      `Saved: how ${bin.name} is used.`,
    );
  };
  return (
    <Dialog title={`How ${bin.name} is used`} open onClose={onClose}>
      <Text>{known}</Text>
      <Choices
        label="Something is taken from it"
        wrap
        choices={[{ value: NOT_SAID, label: 'as it was noted' }, ...choicesOf(HOW_OFTEN, OFTEN_WORDS)]}
        value={often}
        onChange={setOften}
      />
      <YStack gap={6} role="group" aria-label="By whom">
        <Small>By whom (nobody ticked: every grown person alike)</Small>
        <XStack gap={14} flexWrap="wrap">
          {people.map(({ id, name }) => (
            <XStack key={id} gap={8} alignItems="center">
              <CheckSquare
                label={name}
                state={by.includes(id) ? 'ticked' : 'open'}
                onPress={() => setBy((now) => (now.includes(id) ? now.filter((one) => one !== id) : [...now, id]))}
              />
              <Text>{name}</Text>
            </XStack>
          ))}
        </XStack>
      </YStack>
      <Choices
        label="Used in"
        wrap
        choices={[
          { value: HERE, label: 'the room it stands in' },
          ...rooms.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        value={roomId}
        onChange={setRoomId}
      />
      <XStack gap={8}>
        <Button kind="primary" grow label="Save" onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
