import { stockOf, type LowItem } from '@ours/core';
import { useHousehold } from '@/shared/HouseholdProvider';
import { EmptyState } from '@/kit/layout/EmptyState';
import { counted } from '@/kit/text/counted';
import { Button } from '@/kit/press/Button';
import { Share } from '@/kit/press/icons';
import { ListHeading } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { useToast } from '@/kit/feedback/Toasts';
import { LowRow } from '@/features/stock';
import { amountWords } from '@/features/stock/words';

/** What is at or below its low mark, to look at before going to the shop. */
export function RestockScreen() {
  const toast = useToast();
  const low = useHousehold(({ state }) => stockOf(state).lowItems());
  const share = async (): Promise<void> => {
    const text = low.map(lowWords).join('\n');
    try {
      if (navigator.share) await navigator.share({ title: 'Running out', text });
      else {
        await navigator.clipboard.writeText(text);
        toast({ text: 'The list is copied as text.' });
      }
    } catch (error) {
      if ((error as Error).name !== 'AbortError')
        toast({ text: 'The list could not be shared from this browser.', problem: true });
    }
  };
  return (
    <Screen
      title="Restock"
      right={low.length > 0 ? <Button icon={Share} label="Share" onPress={() => void share()} /> : undefined}
    >
      {low.length === 0 ? (
        <EmptyState text="Nothing is low. A thing is listed here once it is at its low mark; set the mark under “About it”, two left for small bottles, say." />
      ) : (
        <>
          <ListHeading title="Running out" remark={counted(low.length, { one: '# thing', other: '# things' })} />
          <LongList entries={low} keyOf={({ item }) => item.id} draw={(one) => <LowRow one={one} mark />} />
        </>
      )}
    </Screen>
  );
}

const lowWords = ({ item, leftThousandths }: LowItem): string =>
  `${item.name} (${leftThousandths === 0 ? 'none left' : `${amountWords(leftThousandths, item.unit)} left`})`;
