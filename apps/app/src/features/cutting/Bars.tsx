import type { CutPlan, LengthUnit } from '@ours/core';
import { YStack } from 'tamagui';
import { Problem } from '@/kit/feedback/Problem';
import { Small, Text } from '@/kit/text/Text';
import { barsWords, barWords, tooLongWords } from './words';

/** What to cut from what. */
export function Bars({ plan, unit, stock }: { plan: CutPlan; unit: LengthUnit; stock: number }) {
  if (!plan.ok) return <Problem text={tooLongWords(plan.tooLong[0]!.length, stock, unit)} />;
  if (plan.bars.length === 0) return <Text>Nothing to cut.</Text>;
  return (
    <YStack gap={2}>
      <Text>{barsWords(plan, stock, unit)}</Text>
      {plan.bars.map((bar, at) => (
        <Small key={at}>{barWords(bar, at + 1, unit)}</Small>
      ))}
    </YStack>
  );
}
