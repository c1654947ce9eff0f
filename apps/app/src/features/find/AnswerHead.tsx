import type { ReactNode } from 'react';
import { XStack, YStack } from 'tamagui';
import { Plate } from '@/kit/text/Plate';
import { Small, Strong, Title } from '@/kit/text/Text';
import { type Way } from '@/shared/placeWords';

/** What was found, how many, the plate of its place and the way there. */
export function AnswerHead({ title, sub, path }: { title: ReactNode; sub: string; path: Way | null }) {
  return (
    <YStack padding={14} gap={4}>
      <XStack gap={10} alignItems="flex-start">
        <YStack flex={1}>
          <Title aria-level={2}>{title}</Title>
          <Small fontSize={16} lineHeight={22}>
            {sub}
          </Small>
        </YStack>
        {path ? <Plate code={path.code} large /> : null}
      </XStack>
      {path ? <Strong testID="way">{path.steps.join(' › ')}</Strong> : <Small>It has no place now.</Small>}
    </YStack>
  );
}
