import type { ShopRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { useRunCommand } from '@/shared/useRunCommand';

/** Puts a shop's aisles into the order in which one walks past them. */
export function AisleDialog({
  shop,
  present,
  onClose,
}: {
  shop: ShopRow;
  /** Aisles on the list of today, in their order. */
  present: readonly string[];
  onClose: () => void;
}) {
  const runCommand = useRunCommand();
  const [aisles, setAisles] = useState(() => [...new Set([...shop.aisles, ...present])]);
  const move = (at: number, by: number): void =>
    setAisles((now) => {
      const next = [...now];
      const [one] = next.splice(at, 1);
      next.splice(at + by, 0, one!);
      return next;
    });
  const save = (): void => {
    onClose();
    void runCommand(
      'shop_saved',
      [{ op: 'change', entity: 'shop', id: shop.id, fields: { aisles: aisles.slice(0, 80) } }],
      'The aisles are in order.',
    );
  };
  return (
    <Dialog title={`Aisles of ${shop.name}`} open onClose={onClose}>
      <Small>As you walk through the shop; the list follows this order.</Small>
      <YStack>
        {aisles.map((aisle, at) => (
          <XStack
            key={aisle}
            minHeight={52}
            gap={8}
            alignItems="center"
            borderBottomWidth={1}
            borderColor="$borderColor"
          >
            <Strong flex={1}>{aisle}</Strong>
            <Button label="Up" disabled={at === 0} onPress={() => move(at, -1)} />
            <Button label="Down" disabled={at === aisles.length - 1} onPress={() => move(at, 1)} />
          </XStack>
        ))}
      </YStack>
      <XStack gap={8}>
        <Button kind="primary" grow label="Save" onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
