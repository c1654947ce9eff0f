import type { ItemRow, LotRow } from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { today } from '@/shared/opContext';
import { NookPicker } from '@/shared/NookPicker';
import { useGuide } from '@/shared/useGuide';
import { Button } from '@/kit/press/Button';
import { Small, Text } from '@/kit/text/Text';
import { dueWords, lotAmountWords } from './words';

/** Into which jar something is filled, and, when some of it is in there, whether the jar was washed. */
export function DecantTo({
  lot,
  item,
  present,
  onPour,
}: {
  lot: LotRow;
  item: ItemRow;
  present: (nookId: string) => LotRow[];
  onPour: (jarId: string, name: string, washed: boolean) => void;
}) {
  const guide = useGuide();
  const [jar, setJar] = useState<{ id: string; name: string } | null>(null);
  const inJar = jar === null ? [] : present(jar.id).filter((one) => one.itemId === item.id && one.id !== lot.id);
  if (jar === null)
    return (
      <>
        <Small>
          The date goes with it, and the packet counts as opened. Cleaners and medicines stay in their original,
          labelled container; never fill them into food vessels.
        </Small>
        <NookPicker
          label="Into which jar, can or bottle?"
          exclude={lot.nookId}
          onPick={(id, name) => {
            const some = present(id).some((one) => one.itemId === item.id && one.quantityThousandths > 0);
            if (some) setJar({ id, name });
            else onPour(id, name, true);
          }}
        />
      </>
    );
  return (
    <YStack gap={8} role="group" aria-label="Was the jar washed?">
      <Text>{`${jar.name} still holds ${inJar.map((one) => lotAmountWords(one, item)).join(', ')}:`}</Text>
      {inJar.map((one) => (
        <Small key={one.id}>{dueWords(one, item, today(), guide) || 'no date'}</Small>
      ))}
      <Button
        kind="primary"
        label="Top it up: the earlier date counts"
        onPress={() => onPour(jar.id, jar.name, false)}
      />
      <Button label="It is emptied and washed: a new start" onPress={() => onPour(jar.id, jar.name, true)} />
    </YStack>
  );
}
