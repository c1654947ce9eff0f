import type { HandlingHome, ProposedMove } from '@ours/core';
import { memo } from 'react';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { Small, Strong } from '@/kit/text/Text';
import { FromTo } from '@/shared/FromTo';
import { alsoWords, monthlyWords, reasonWords } from './words';

/** One thing to do: what, from where to where, why, what it saves. */
export const MoveRow = memo(function MoveRow({
  number,
  move,
  home,
  fromNookId,
  toNookId,
  chosen,
  onChoose,
  onAccept,
  onLeave,
  onAbout,
}: {
  number: number;
  move: ProposedMove;
  home: HandlingHome;
  fromNookId: string;
  toNookId: string;
  chosen: boolean;
  onChoose: (number: number) => void;
  onAccept: (move: ProposedMove) => void;
  onLeave: (move: ProposedMove) => void;
  onAbout: (binId: string) => void;
}) {
  const lead = move.lead === null ? null : home.units[move.lead]!;
  const name = move.stray?.name ?? lead!.name;
  const also = alsoWords(home, move);
  return (
    <YStack
      backgroundColor={chosen ? '$greenTint' : '$background'}
      borderBottomWidth={1}
      borderColor="$borderColor"
      paddingHorizontal={16}
      paddingVertical={10}
      gap={6}
    >
      <YStack
        {...pressable({ onPress: () => onChoose(number) })}
        aria-expanded={chosen}
        aria-label={`${number} ${name}: ${reasonWords(home, move)}`}
        minHeight={44}
        gap={4}
      >
        <XStack gap={10} alignItems="center" flexWrap="wrap">
          <YStack
            width={28}
            height={28}
            borderRadius={14}
            backgroundColor="$accent"
            alignItems="center"
            justifyContent="center"
          >
            <Strong fontSize={14} lineHeight={19} color="$accentText">
              {number}
            </Strong>
          </YStack>
          <Strong flex={1} minWidth={90} numberOfLines={2}>
            {name}
          </Strong>
          <FromTo from={fromNookId} to={toNookId} />
        </XStack>
        <XStack gap={10} alignItems="baseline">
          <Small flex={1}>{reasonWords(home, move)}</Small>
          <Strong fontSize={14} lineHeight={19}>
            {move.safety ? 'safer: do it first' : monthlyWords(move.savedMinutes)}
          </Strong>
        </XStack>
        {also === '' ? null : (
          <Strong fontSize={14} lineHeight={19}>
            {also}
          </Strong>
        )}
      </YStack>
      {chosen ? (
        <XStack gap={8} flexWrap="wrap" justifyContent="flex-end">
          {lead ? <Button kind="quiet" label="How it is used" onPress={() => onAbout(lead.binId)} /> : null}
          <Button label="Leave it" onPress={() => onLeave(move)} />
          <Button kind="primary" label="Accept" onPress={() => onAccept(move)} />
        </XStack>
      ) : null}
    </YStack>
  );
});
