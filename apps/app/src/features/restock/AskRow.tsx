import { opsForCounting, quantityField, type ItemRow, type RestockEntry } from '@ours/core';
import { useRouter } from 'expo-router';
import { XStack, YStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { useFigure } from '@/kit/form/useFigure';
import { Button } from '@/kit/press/Button';
import { pressable } from '@/kit/press/pressable';
import { Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { opContext } from '@/shared/opContext';
import { useHome } from '@/shared/useHome';
import { useRunCommand } from '@/shared/useRunCommand';
import { amountOfWords } from '@/features/stock/words';
import { leftOfWords } from './words';

const AMOUNT = quantityField();

/** Asks how many are left, in place. What lies in several lots is counted where it is. */
export function AskRow({ entry, item }: { entry: RestockEntry; item: ItemRow }) {
  const router = useRouter();
  const runCommand = useRunCommand();
  const { unit } = useHome();
  const lots = useHousehold(({ state }) => state.lotsOf(item.id));
  const figure = useFigure(AMOUNT, unit);
  const [lot] = lots;
  const why =
    entry.verdict === 'ask'
      ? 'bought, but never noted as taken'
      : `by the book ${leftOfWords(entry.leftThousandths, item)}`;
  const save = (): void => {
    if (figure.value === null || !lot) return;
    const done = `Counted: ${amountOfWords(figure.value, item)}.`;
    void runCommand('stock_counted', opsForCounting(lot, figure.value, opContext()), done);
  };
  return (
    <XStack
      minHeight={64}
      paddingHorizontal={16}
      paddingVertical={8}
      gap={8}
      alignItems="center"
      backgroundColor="$background"
      borderBottomWidth={1}
      borderColor="$borderColor"
    >
      <YStack
        {...pressable({ onPress: () => router.push(`/item/${item.id}`) })}
        flex={1}
        minWidth={0}
        minHeight={44}
        justifyContent="center"
      >
        <Strong numberOfLines={1}>{item.name}</Strong>
        <Small numberOfLines={2}>{why}</Small>
      </YStack>
      {lots.length === 1 ? (
        <>
          <Field
            label={`How many ${item.name} are left`}
            hideLabel
            width={112}
            inputMode="decimal"
            {...figure.input}
            placeholder="how many"
            problem={figure.problem}
            onSubmitEditing={save}
          />
          <Button label="Save" disabled={figure.value === null} onPress={save} />
        </>
      ) : (
        <Button label="Count" onPress={() => router.push(`/item/${item.id}`)} />
      )}
    </XStack>
  );
}
