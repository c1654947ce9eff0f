import { useRouter } from 'expo-router';
import { memo } from 'react';
import { YStack } from 'tamagui';
import { Card } from '@/kit/layout/Card';
import { useInSight } from '@/kit/layout/useInSight';
import { pressable } from '@/kit/press/pressable';
import { Small, Strong } from '@/kit/text/Text';
import { OpenDoorView, useFront } from '@/features/drawing';

/** A space as a small picture to tap. */
export const SpaceCard = memo(function SpaceCard({
  spaceId,
  width,
  sub,
}: {
  spaceId: string;
  width: number;
  sub?: string;
}) {
  const { ref, seen } = useInSight();
  const router = useRouter();
  const front = useFront(spaceId);
  if (!front) return null;
  const go = (): void => router.push(`/space/${spaceId}`);
  return (
    <Card
      ref={ref as never}
      {...pressable({ onPress: go, role: 'link' })}
      width={width}
      padding={10}
      gap={6}
      pressStyle={{ backgroundColor: '$greenTint' }}
    >
      <YStack alignItems="center" justifyContent="center" height={130}>
        {seen ? (
          <OpenDoorView view={front.view} width={width - 22} maxHeight={130} thumbnail summaryOf={front.summaryOf} />
        ) : null}
      </YStack>
      <YStack>
        <Strong numberOfLines={1}>{front.space.name}</Strong>
        {sub ? <Small numberOfLines={1}>{sub}</Small> : null}
      </YStack>
    </Card>
  );
});
