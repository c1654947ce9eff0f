import { nooksWithin } from '@ours/core';
import { useRouter } from 'expo-router';
import { YStack } from 'tamagui';
import { dueWords, lotAmountWords } from '@/features/stock/words';
import { ListRow } from '@/kit/layout/ListRow';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { useGuide } from '@/shared/useGuide';

/** What lies in a place and in the bins inside it: each thing, how many, until when. */
export function NookThings({ nookId }: { nookId: string }) {
  const router = useRouter();
  const guide = useGuide();
  const things = useHousehold(({ state, version }) => ({
    rows: nooksWithin(state, nookId)
      .flatMap((id) => state.lotsIn(id))
      .flatMap((lot) => {
        const item = state.get('item', lot.itemId);
        return item && lot.quantityThousandths > 0 ? [{ lot, item }] : [];
      }),
    version,
  })).rows;
  return (
    <YStack role="group" aria-label="What is in it">
      {things.map(({ lot, item }) => (
        <ListRow
          key={lot.id}
          title={item.name}
          detail={[lotAmountWords(lot, item), dueWords(lot, item, today(), guide)].filter(Boolean).join(' · ')}
          onPress={() => router.push(`/item/${item.id}`)}
        />
      ))}
    </YStack>
  );
}
