import { effectiveDue } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Card } from '@/kit/layout/Card';
import { dayWords } from '@/kit/text/dayWords';
import { Small, Strong } from '@/kit/text/Text';
import { useGuide } from '@/shared/useGuide';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { today } from '@/shared/opContext';
import { amountWords } from '@/features/stock/words';
import type { Outlook } from './outlookStore';
import { haveWords } from './words';

/** Few answers: one stands in a shop. */
const MOST = 2;

const isCalled = (name: string, query: string): boolean => name.toLowerCase().includes(query.trim().toLowerCase());

/** “Do we have …?”, answered from this device. */
export function HaveWe({ outlook }: { outlook: Outlook | null }) {
  const guide = useGuide();
  const [query, setQuery] = useState('');
  const found = useHousehold(({ store, state, version }) => ({
    rows:
      query.trim() === ''
        ? []
        : store.finder
            .find(query, MOST * 3)
            .flatMap((one) => (one.kind === 'item' ? [one.item] : []))
            // What only sounds alike is no answer beside one that is called so.
            .filter(({ name }, _, all) => !isCalled(all[0]!.name, query) || isCalled(name, query))
            .slice(0, MOST)
            .map((item) => ({ item, lots: state.lotsOf(item.id) })),
    version,
  })).rows;
  return (
    <YStack paddingHorizontal={16} paddingVertical={10} gap={8}>
      <Field
        label="Do we have …?"
        hideLabel
        placeholder="Do we have …?"
        value={query}
        onChangeText={setQuery}
        inputMode="search"
        autoCapitalize="none"
        clearButtonMode="while-editing"
      />
      {query.trim() !== '' && found.length === 0 ? (
        <Small aria-live="polite">Nothing like “{query.trim()}” is recorded at home.</Small>
      ) : null}
      {found.map(({ item, lots }) => {
        const entry = outlook?.answer.entries.find(({ itemId }) => itemId === item.id) ?? null;
        const dates = lots.flatMap((lot) => effectiveDue(lot, item, guide)?.on ?? []).sort();
        return (
          <Card key={item.id} padding={12} gap={6} aria-live="polite">
            <XStack justifyContent="space-between" gap={8} alignItems="baseline">
              <Strong flex={1}>{haveWords(lots, item, entry, today())}</Strong>
              <Small>{item.name}</Small>
            </XStack>
            <XStack gap={10} flexWrap="wrap" alignItems="center">
              {lots.map((lot) => (
                <XStack key={lot.id} gap={4} alignItems="center">
                  <Small>{amountWords(lot.quantityThousandths, item.unit === 'piece' ? 'piece' : item.unit)}</Small>
                  <NookPlate nookId={lot.nookId} />
                </XStack>
              ))}
              {dates[0] ? <Small>first ends {dayWords(dates[0], today())}</Small> : null}
            </XStack>
          </Card>
        );
      })}
    </YStack>
  );
}
