import type { RoundRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { FromTo } from '@/shared/FromTo';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPicker } from '@/shared/NookPicker';
import { swapTitle } from './words';

type Pairs = NonNullable<RoundRow['swaps']>;

/** Bins that change places at each turn: hats down, cushions up. */
export function SwapPairs({ pairs, onChange }: { pairs: Pairs; onChange: (pairs: Pairs) => void }) {
  const [first, setFirst] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const [noBin, setNoBin] = useState(false);
  const { nameOf } = useHousehold(({ state, version }) => ({
    version,
    nameOf: (id: string): string => state.get('bin', id)?.name ?? 'a bin that is gone',
  }));
  const isBin = useHousehold(
    ({ state }) =>
      (id: string): boolean =>
        state.nook(id)?.kind === 'bin',
  );
  const pick = (id: string): void => {
    setNoBin(!isBin(id));
    if (!isBin(id)) return;
    if (first === null) return setFirst(id);
    onChange([...pairs, { oneId: first, otherId: id }]);
    setFirst(null);
    setAdding(false);
  };
  return (
    <YStack gap={6} role="group" aria-label="Bins that change places">
      <Small>Bins that change places</Small>
      {pairs.map((pair, at) => (
        <XStack key={`${pair.oneId} ${pair.otherId}`} gap={8} alignItems="center">
          <YStack flex={1} minWidth={0}>
            <Strong>{swapTitle(nameOf(pair.oneId), nameOf(pair.otherId))}</Strong>
            <FromTo from={pair.oneId} to={pair.otherId} both />
          </YStack>
          <Button
            kind="quiet"
            label={`Without ${nameOf(pair.oneId)}`}
            onPress={() => onChange(pairs.filter((_, other) => other !== at))}
          />
        </XStack>
      ))}
      {adding ? (
        <>
          {noBin ? (
            <Small role="alert" color="$late">
              That is a shelf or a space; only bins change places.
            </Small>
          ) : null}
          <NookPicker
            key={first ?? 'first'}
            label={first === null ? 'Which bin? By code or name' : `${nameOf(first)} changes places with which bin?`}
            exclude={first}
            onPick={pick}
          />
        </>
      ) : (
        <XStack>
          <Button label="A pair of bins …" onPress={() => setAdding(true)} />
        </XStack>
      )}
    </YStack>
  );
}
