import { useRouter } from 'expo-router';
import { memo } from 'react';
import { YStack } from 'tamagui';
import { drawnWidth, OpenDoorView, useFront, wholeSummary } from '@/features/drawing';
import { useHome } from '@/shared/useHome';
import { useInSight } from '@/kit/layout/useInSight';
import { pressable } from '@/kit/press/pressable';
import { heldWords, spaceSizeWords } from '@/features/spaces/words';
import { SpaceCaption } from './SpaceCaption';

/** What the drawing needs beside the space itself: see `drawingScale`. */
const FRAME_WIDTH = 14;
const FRAME_HEIGHT = 15;
const NARROWEST = 112;
/** A drawing leaves this much below its foot; here the foot stands on the line. */
const BELOW_FOOT = 12;

/** A space at the scale of all the others, on the floor, with its figures. */
export const ScaledSpaceCard = memo(function ScaledSpaceCard({
  spaceId,
  scale,
  tallest,
}: {
  spaceId: string;
  /** Pixels for a tenth of a millimetre. */
  scale: number;
  /** Of the spaces beside it, in tenths of a millimetre: all stand on one line. */
  tallest: number;
}) {
  const { ref, seen } = useInSight();
  const router = useRouter();
  const front = useFront(spaceId);
  const { unit } = useHome();
  if (!front) return null;
  const width = drawnWidth(front.view) * scale + FRAME_WIDTH;
  const height = front.view.outer.height * scale + FRAME_HEIGHT;
  const size = spaceSizeWords(front.space, unit);
  const held = heldWords(wholeSummary(front));
  return (
    <YStack
      ref={ref as never}
      {...pressable({ onPress: () => router.push(`/space/${spaceId}`), role: 'link' })}
      aria-label={`${front.space.name}, ${size}, ${held}`}
      width={Math.max(NARROWEST, width)}
      gap={4}
      borderRadius={10}
      pressStyle={{ backgroundColor: '$greenTint' }}
    >
      <YStack
        height={tallest * scale + FRAME_HEIGHT}
        justifyContent="flex-end"
        borderBottomWidth={2}
        borderColor="$color"
      >
        {seen ? (
          <YStack marginBottom={-BELOW_FOOT}>
            <OpenDoorView view={front.view} width={width} maxHeight={height} thumbnail summaryOf={front.summaryOf} />
          </YStack>
        ) : null}
      </YStack>
      <SpaceCaption name={front.space.name} size={size} held={held} />
    </YStack>
  );
});
