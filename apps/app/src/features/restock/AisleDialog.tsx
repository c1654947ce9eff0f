import type { ShopRow } from '@ours/core';
import { Suspense, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { DragArea, Draggable } from '@/kit/drag';
import { Button } from '@/kit/press/Button';
import { Grip } from '@/kit/press/icons';
import { usePalette } from '@/kit/theme/usePalette';
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
      <Suspense fallback={null}>
        <DragArea
          onEnd={(id, _dx, dy) => {
            const at = aisles.indexOf(id);
            const by = Math.round(dy / ROW_HEIGHT);
            if (at >= 0 && by !== 0) move(at, Math.max(-at, Math.min(aisles.length - 1 - at, by)));
          }}
        >
          <YStack>
            {aisles.map((aisle, at) => (
              <XStack
                key={aisle}
                height={ROW_HEIGHT}
                gap={8}
                alignItems="center"
                borderBottomWidth={1}
                borderColor="$borderColor"
              >
                <Handle id={aisle} />
                <Strong flex={1}>{aisle}</Strong>
                <Button label="Up" disabled={at === 0} onPress={() => move(at, -1)} />
                <Button label="Down" disabled={at === aisles.length - 1} onPress={() => move(at, 1)} />
              </XStack>
            ))}
          </YStack>
        </DragArea>
      </Suspense>
      <XStack gap={8}>
        <Button kind="primary" grow label="Save" onPress={save} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}

const ROW_HEIGHT = 56;
const HANDLE = 44;

/** What one takes hold of to drag an aisle to its place; the keys Up and Down do the same. */
function Handle({ id }: { id: string }) {
  const palette = usePalette();
  return (
    <YStack width={HANDLE} height={HANDLE} position="relative">
      <Draggable id={id} label={`Drag ${id} to its place`} x={0} y={0} width={HANDLE} height={HANDLE} upright framed>
        <Grip size={22} color={palette.ink} />
      </Draggable>
    </YStack>
  );
}
