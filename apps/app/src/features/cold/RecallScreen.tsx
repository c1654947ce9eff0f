import { opsForDiscarding, recalledLots, type ItemRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { opContext } from '@/shared/opContext';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountOfWords, lotAmountWords } from '@/features/stock/words';

/** Few names are offered: one types what stands in the notice. */
const MOST_OFFERED = 4;

/** A maker calls something back: all of it in the home, by its batch or its name, and where it is. */
export function RecallScreen() {
  const runCommand = useRunCommand();
  const [batch, setBatch] = useState('');
  const [name, setName] = useState('');
  const [item, setItem] = useState<ItemRow | null>(null);
  const { lots, offered } = useHousehold(({ state, store, version }) => ({
    lots: recalledLots(state, batch, item?.id ?? null),
    offered:
      name.trim() === '' || item?.name === name
        ? []
        : store.finder
            .find(name, MOST_OFFERED * 2)
            .flatMap((one) => (one.kind === 'item' ? [one.item] : []))
            .slice(0, MOST_OFFERED),
    version,
  }));
  const asked = batch.trim() !== '' || item !== null;
  return (
    <Screen title="Recall" back="/rounds">
      <YStack padding={16} gap={10}>
        <Field
          label="Batch, as printed"
          autoCapitalize="characters"
          maxLength={40}
          value={batch}
          onChangeText={setBatch}
        />
        <Field
          label="Thing"
          value={name}
          onChangeText={(text) => {
            setName(text);
            setItem(null);
          }}
        />
        <XStack gap={8} flexWrap="wrap">
          {offered.map((one) => (
            <Button
              key={one.id}
              label={one.name}
              onPress={() => {
                setItem(one);
                setName(one.name);
              }}
            />
          ))}
        </XStack>
        <Small>
          The batch of a lot is written down under its name, “Batch”. Do not use what is recalled; do as the notice
          says, or ask the shop.
        </Small>
        {asked && lots.length > 0 ? (
          <Strong aria-live="polite">{counted(lots.length, { one: '# lot at home', other: '# lots at home' })}</Strong>
        ) : null}
      </YStack>
      {asked && lots.length === 0 ? (
        <EmptyState
          text={
            item
              ? `None of ${item.name} at home has that batch, and of none is the batch unknown.`
              : 'No lot at home has that batch. Batches are known only of what somebody wrote them down for: name the thing as well.'
          }
        />
      ) : null}
      {lots.map(({ lot, item: of, byBatch }) => (
        <ListRow
          key={lot.id}
          title={of.name}
          detail={`${lotAmountWords(lot, of)} · ${byBatch ? `batch ${lot.batch}` : lot.batch ? `batch ${lot.batch}` : 'batch not known: look at it'}`}
          right={
            <>
              <NookPlate nookId={lot.nookId} />
              <Button
                label="Out"
                onPress={() =>
                  void runCommand(
                    'stock_discarded',
                    opsForDiscarding(lot, lot.quantityThousandths, 'other', opContext()),
                    `Taken out: ${amountOfWords(lot.quantityThousandths, of)}.`,
                  )
                }
              />
            </>
          }
        />
      ))}
    </Screen>
  );
}
