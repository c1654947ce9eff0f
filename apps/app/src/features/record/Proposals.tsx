import type { RecordedLine } from '@ours/core';
import { XStack } from 'tamagui';
import { useHousehold } from '@/data/HouseholdProvider';
import { Button } from '@/ui/Button';
import { knownItem, proposedItems } from './knownItem';

/** Things the home knows that sound like what is being typed. */
export function Proposals({ card, onPick }: { card: RecordedLine; onPick: (name: string) => void }) {
  const proposed = useHousehold(({ state, store }) =>
    knownItem(state, store, card.name) ? [] : proposedItems(store, card.name),
  );
  if (proposed.length === 0) return null;
  return (
    <XStack gap={8} flexWrap="wrap" role="group" aria-label="Known things">
      {proposed.map((item) => (
        <Button key={item.id} label={item.name} onPress={() => onPick(item.name)} />
      ))}
    </XStack>
  );
}
