import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { useCategories } from './useCategories';

const MOST_OFFERED = 12;

/** One category for all things that are chosen: one of those there are, or another one. */
export function CategoryDialog({
  many,
  onPick,
  onClose,
}: {
  /** `3 rows` */
  many: string;
  onPick: (category: string) => void;
  onClose: () => void;
}) {
  const [category, setCategory] = useState('');
  const known = useCategories().map(({ name }) => name);
  const typed = category.trim();
  const offered = known.filter((one) => one.toLowerCase().includes(typed.toLowerCase())).slice(0, MOST_OFFERED);
  return (
    <Dialog title={`Which category for ${many}?`} open onClose={onClose}>
      <XStack gap={8} alignItems="flex-end">
        <YStack flex={1}>
          <Field
            label="Category"
            autoFocus
            value={category}
            maxLength={60}
            onChangeText={setCategory}
            onSubmitEditing={() => typed !== '' && onPick(typed)}
          />
        </YStack>
        <Button kind="primary" label="Save" disabled={typed === ''} onPress={() => onPick(typed)} />
      </XStack>
      <XStack gap={6} flexWrap="wrap">
        {offered.map((one) => (
          <Button key={one} label={one} onPress={() => onPick(one)} />
        ))}
        <Button kind="quiet" label="No category" onPress={() => onPick('')} />
      </XStack>
    </Dialog>
  );
}
