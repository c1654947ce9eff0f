import { fittingBySize, quantityField, type ItemRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { ItemPicker } from '@/shared/ItemPicker';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';

const PIECES = quantityField(1000);
const MOST_OFFERED = 5;

/** How many of a thing make a set, and what each set needs besides. */
export function SetDialog({ item, onClose }: { item: ItemRow; onClose: () => void }) {
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const pieces = useFigure(PIECES, unit, item.set ? item.set.pieces * 1000 : null);
  const [withId, setWithId] = useState<string | null>(item.set?.withItemId ?? null);
  const { partner, bySize } = useHousehold(({ state, version }) => ({
    version,
    partner: withId === null ? null : (state.get('item', withId) ?? null),
    bySize: fittingBySize(state, item).slice(0, MOST_OFFERED),
  }));
  const whole = pieces.value !== null && pieces.value % 1000 === 0 ? pieces.value / 1000 : null;
  const change = (set: ItemRow['set'], done: string): void => {
    onClose();
    void runCommand('item_changed', [{ op: 'change', entity: 'item', id: item.id, fields: { set } }], done);
  };
  return (
    <Dialog title={`Sets of ${item.name}`} open onClose={onClose}>
      <Field
        label="How many make a whole set?"
        hint="12 napkins; 1 for a jar with its lid."
        {...pieces.input}
        inputMode="numeric"
        problem={
          pieces.problem ??
          (pieces.value !== null && whole === null ? 'A set has a whole number of pieces.' : undefined)
        }
      />
      {partner ? (
        <XStack gap={8} alignItems="center">
          <Strong flex={1}>{`each with one of: ${partner.name}`}</Strong>
          <Button label="Without" onPress={() => setWithId(null)} />
        </XStack>
      ) : (
        <ItemPicker
          label="Each with one of (may stay empty)"
          hint="The lid of a jar, the cover of a duvet."
          exclude={[item.id]}
          onPick={({ id }) => setWithId(id)}
        />
      )}
      {partner === null && bySize.length > 0 ? (
        <YStack gap={4} role="group" aria-label="They fit by their size">
          <Small>They fit by their size</Small>
          {bySize.map((one) => (
            <ListRow key={one.id} title={one.name} onPress={() => setWithId(one.id)} />
          ))}
        </YStack>
      ) : null}
      <XStack gap={8}>
        <Button
          kind="primary"
          grow
          label="Save"
          disabled={whole === null || whole > 9999}
          onPress={() =>
            whole !== null && change({ pieces: whole, withItemId: withId }, `Saved: sets of ${item.name}.`)
          }
        />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      {item.set ? (
        <Button kind="quiet" label="It is in no set" onPress={() => change(null, `${item.name} is in no set now.`)} />
      ) : null}
    </Dialog>
  );
}
