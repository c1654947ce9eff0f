import type { RecordedLine } from '@ours/core';
import { XStack } from 'tamagui';
import { useHousehold } from '@/shared/HouseholdProvider';
import { Button } from '@/kit/press/Button';
import { proposedItems } from './cardOf';

/** Things the home knows that sound like what is being typed. */
export function Proposals({
  card,
  onPick,
}: {
  card: RecordedLine;
  onPick: (item: { name: string; itemId: string }) => void;
}) {
  const asked = card.questions.some(({ kind }) => kind === 'which_item');
  const proposed = useHousehold(({ store }) => (card.itemId || asked ? [] : proposedItems(store, card.name)));
  if (proposed.length === 0) return null;
  return (
    <XStack gap={8} flexWrap="wrap" role="group" aria-label="Known things">
      {proposed.map((item) => (
        <Button key={item.id} label={item.name} onPress={() => onPick({ name: item.name, itemId: item.id })} />
      ))}
    </XStack>
  );
}
