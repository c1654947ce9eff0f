import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Toggles } from '@/kit/form/Toggles';
import { Button } from '@/kit/press/Button';
import { Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { NookPlate } from '@/shared/NookPlate';
import { wayTo } from '@/shared/placeWords';

/** Where a round goes, in walking order: whole spaces, and shelves or bins of others. */
export function RoundPlaces({
  nookIds,
  onChange,
}: {
  nookIds: readonly string[];
  onChange: (nookIds: readonly string[]) => void;
}) {
  const [adding, setAdding] = useState(false);
  const { spaces, inner } = useHousehold(({ state, version }) => ({
    version,
    spaces: state.all('space').map(({ id, name }) => ({ id, name })),
    inner: nookIds.flatMap((id, at) => {
      const nook = state.nook(id);
      const words = nook && nook.kind !== 'space' ? wayTo(state, id)?.steps.slice(1).join(' › ') : undefined;
      return nook && words ? [{ id, at: at + 1, words, name: nook.row.name || nook.row.code }] : [];
    }),
  }));
  return (
    <YStack gap={6}>
      <Toggles label="Where, in walking order" all={spaces} chosen={nookIds} numbered onChange={onChange} />
      {inner.map(({ id, at, words, name }) => (
        <XStack key={id} gap={8} alignItems="center">
          <Strong flex={1} minWidth={0} numberOfLines={2}>
            {nookIds.length > 1 ? `${at} ${words}` : words}
          </Strong>
          <NookPlate nookId={id} />
          <Button
            kind="quiet"
            label={`Without ${name}`}
            onPress={() => onChange(nookIds.filter((other) => other !== id))}
          />
        </XStack>
      ))}
      {adding ? (
        <NookPicker
          label="Which shelf or bin? By code or name"
          onPick={(id) => {
            setAdding(false);
            if (!nookIds.includes(id)) onChange([...nookIds, id]);
          }}
        />
      ) : (
        <XStack>
          <Button label="A shelf or bin …" onPress={() => setAdding(true)} />
        </XStack>
      )}
    </YStack>
  );
}
