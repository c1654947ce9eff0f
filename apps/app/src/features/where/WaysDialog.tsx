import { PACES_UNKNOWN, PACES_WITHIN, wayKey, wholeField, type Op, type RoomRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { Choices } from '@/kit/form/Choices';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';

const PACES = wholeField(0, 999);

/** How many paces it is from one room to the others. */
export function WaysDialog({ onClose }: { onClose: () => void }) {
  const rooms = useHousehold(({ state }) => state.all('room'));
  const [fromId, setFromId] = useState<string | null>(rooms[0]?.id ?? null);
  return (
    <Dialog title="How far the rooms are" open onClose={onClose}>
      <Small>
        {`One way, as you walk it. Within a room ${PACES_WITHIN} paces are reckoned; where nothing is written, ${PACES_UNKNOWN}.`}
      </Small>
      <Choices
        label="From"
        wrap
        choices={rooms.map(({ id, name }) => ({ value: id, label: name }))}
        value={fromId}
        onChange={setFromId}
      />
      <YStack gap={8}>
        {rooms
          .filter(({ id }) => id !== fromId)
          .map((room) =>
            fromId === null ? null : <OneWay key={`${fromId} ${room.id}`} fromId={fromId} room={room} />,
          )}
      </YStack>
      <Button label="Done" onPress={onClose} />
    </Dialog>
  );
}

function OneWay({ fromId, room }: { fromId: string; room: RoomRow }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const way = useHousehold(
    ({ state }) =>
      state.all('way').find((one) => wayKey(one.fromRoomId, one.toRoomId) === wayKey(fromId, room.id)) ?? null,
  );
  const figure = useFigure(PACES, unit, way?.paces ?? null);
  const save = (): void => {
    const { value } = figure;
    if (figure.problem !== undefined || value === (way?.paces ?? null)) return;
    const ops: Op[] = way
      ? value === null
        ? [{ op: 'retire', entity: 'way', id: way.id }]
        : [{ op: 'change', entity: 'way', id: way.id, fields: { paces: value } }]
      : value === null
        ? []
        : [
            {
              op: 'create',
              entity: 'way',
              id: opContext().newId(),
              fields: { fromRoomId: fromId, toRoomId: room.id, paces: value },
            },
          ];
    if (ops.length > 0) void runCommand('way_noted', ops, `Noted: to ${room.name}.`);
  };
  return (
    <XStack gap={10} alignItems="center">
      <Strong flex={1}>{room.name}</Strong>
      <Field
        label={`Paces to ${room.name}`}
        hideLabel
        width={96}
        {...figure.input}
        inputMode="numeric"
        placeholder={String(PACES_UNKNOWN)}
        problem={figure.problem}
        onBlur={save}
        onSubmitEditing={save}
      />
    </XStack>
  );
}
