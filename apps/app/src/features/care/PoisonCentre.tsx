import { definitionOf } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { useRunCommand } from '@/shared/useRunCommand';

const spec = definitionOf('household').fields.poisonCentre!;
const MOST = 'most' in spec ? spec.most : 40;

/** The number of the poison centre that answers where they live; to be typed in, since it is another one in each country. */
export function PoisonCentre() {
  const { me } = useHouseholdContext();
  const number = useHousehold(({ state }) => state.get('household', me.householdId)?.poisonCentre ?? null);
  const [editing, setEditing] = useState(false);
  return (
    <XStack
      paddingHorizontal={16}
      paddingVertical={10}
      gap={10}
      alignItems="center"
      borderTopWidth={1}
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <YStack flex={1} minWidth={0}>
        <Strong>Poison centre</Strong>
        {number === null ? (
          <Small>no number yet; in an emergency call the emergency number</Small>
        ) : (
          <Strong
            render={<a href={`tel:${number.replace(/[^+\d]/g, '')}`} />}
            color="$green"
            fontSize={20}
            lineHeight={26}
          >
            {number}
          </Strong>
        )}
      </YStack>
      <Button label={number === null ? 'Add number' : 'Change'} onPress={() => setEditing(true)} />
      {editing ? <NumberDialog start={number ?? ''} onClose={() => setEditing(false)} /> : null}
    </XStack>
  );
}

function NumberDialog({ start, onClose }: { start: string; onClose: () => void }) {
  const { me } = useHouseholdContext();
  const runCommand = useRunCommand();
  const [text, setText] = useState(start);
  const save = (): void => {
    const poisonCentre = text.trim() === '' ? null : text.trim();
    onClose();
    void runCommand(
      'household_changed',
      [{ op: 'change', entity: 'household', id: me.householdId, fields: { poisonCentre } }],
      poisonCentre === null ? 'No number.' : 'Saved.',
    );
  };
  return (
    <Dialog title="Poison centre" open onClose={onClose}>
      <Field
        label="Its telephone number"
        hint="The one of your country or region; it is on the leaflets of medicines and on official pages."
        inputMode="tel"
        value={text}
        onChangeText={setText}
        maxLength={MOST}
        onSubmitEditing={save}
      />
      <XStack gap={8}>
        <Button grow kind="primary" label="Save" onPress={save} />
        <Button label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
