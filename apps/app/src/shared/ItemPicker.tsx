import type { ItemRow } from '@ours/core';
import { useState } from 'react';
import { YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { ListRow } from '@/kit/layout/ListRow';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';

const MOST_OFFERED = 6;
const LEAST_LETTERS = 2;

/** Finds a thing of the home by its name. */
export function ItemPicker({
  label,
  hint,
  exclude = [],
  onPick,
}: {
  label: string;
  hint?: string;
  exclude?: readonly string[];
  onPick: (item: ItemRow) => void;
}) {
  const [name, setName] = useState('');
  const asked = name.trim().length >= LEAST_LETTERS;
  const { offered } = useHousehold(({ store, version }) => ({
    version,
    offered: asked
      ? store.finder
          .find(name, MOST_OFFERED * 2)
          .flatMap((found) => (found.kind === 'item' && !exclude.includes(found.item.id) ? [found.item] : []))
          .slice(0, MOST_OFFERED)
      : [],
  }));
  return (
    <YStack gap={6}>
      <Field label={label} {...(hint ? { hint } : {})} value={name} onChangeText={setName} />
      {offered.map((item) => (
        <ListRow
          key={item.id}
          title={item.name}
          onPress={() => {
            onPick(item);
            setName('');
          }}
        />
      ))}
      {asked && offered.length === 0 ? <Small role="status">Nothing here is called so; record it first.</Small> : null}
    </YStack>
  );
}
