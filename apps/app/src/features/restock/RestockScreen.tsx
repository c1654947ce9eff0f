import { lowItems } from '@ours/core';
import { useRouter } from 'expo-router';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/data/HouseholdProvider';
import { Button } from '@/ui/Button';
import { Share } from '@/ui/icons';
import { ListHeading, ListRow } from '@/ui/ListRow';
import { Mark } from '@/ui/Mark';
import { Plate } from '@/ui/Plate';
import { Screen } from '@/ui/Screen';
import { useToast } from '@/ui/Toasts';
import { Words } from '@/ui/Words';
import { amountWords } from '../stock/words';

/** What is at or below its low mark, to look at before going to the shop. */
export function RestockScreen() {
  const router = useRouter();
  const toast = useToast();
  const low = useHousehold(({ state }) =>
    lowItems(state).map((one) => ({
      ...one,
      code: one.lots[0] ? (state.nook(one.lots[0].nookId)?.row.code ?? null) : null,
    })),
  );
  const text = low
    .map(
      ({ item, leftThousandths }) =>
        `${item.name} (${leftThousandths === 0 ? 'none left' : `${amountWords(leftThousandths, item.unit)} left`})`,
    )
    .join('\n');
  const share = async (): Promise<void> => {
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
        <YStack padding={16} gap={8}>
          <Words>
            Nothing is low. A thing is listed here once it is at its low mark; set the mark under “About it”, two left
            for small bottles, say.
          </Words>
        </YStack>
      ) : (
        <>
          <ListHeading title="Running out" remark={`${low.length} ${low.length === 1 ? 'thing' : 'things'}`} />
          {low.map(({ item, leftThousandths, lots, code }) => (
            <ListRow
              key={item.id}
              title={item.name}
              detail={`${leftThousandths === 0 ? 'none left' : `${amountWords(leftThousandths, item.unit)} left`} · low at ${amountWords(item.lowAtThousandths ?? 0, item.unit)}`}
              {...(lots[0] ? { onPress: () => router.push(`/nook/${lots[0]!.nookId}`) } : {})}
              right={
                <XStack gap={8}>
                  <Mark kind="low" label={leftThousandths === 0 ? 'out' : 'low'} />
                  {code ? <Plate code={code} /> : null}
                </XStack>
              }
            />
          ))}
        </>
      )}
    </Screen>
  );
}
