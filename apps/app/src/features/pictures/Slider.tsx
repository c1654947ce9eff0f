import type { PhotoRow } from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Small, Strong } from '@/kit/text/Text';
import { Picture } from './Picture';
import { photoWords } from './words';

const WHOLE = 100;
const HALF = 50;

/** Before and after on top of each other; a line between them is moved by finger, mouse or arrow keys. */
export function Slider({
  before,
  after,
  width,
  day,
}: {
  before: PhotoRow;
  after: PhotoRow;
  width: number;
  day: string;
}) {
  const [at, setAt] = useState(HALF);
  const height = Math.round((width * after.height) / after.width);
  const cut = Math.round((width * at) / WHOLE);
  return (
    <YStack gap={6} testID="before-after">
      <YStack position="relative" width={width} height={height} borderRadius={14} overflow="hidden">
        <Picture photo={after} words={photoWords(after, day)} width={width} height={height} cover />
        <YStack position="absolute" top={0} left={0} bottom={0} width={cut} overflow="hidden">
          <Picture photo={before} words={photoWords(before, day)} width={width} height={height} cover />
        </YStack>
        <YStack
          position="absolute"
          top={0}
          bottom={0}
          left={Math.max(0, cut - 1)}
          width={3}
          backgroundColor="$here"
          pointerEvents="none"
        />
        <YStack
          render={
            <input
              type="range"
              min={0}
              max={WHOLE}
              value={at}
              aria-label="How much of before is shown"
              onChange={(event) => setAt(Number(event.target.value))}
            />
          }
          position="absolute"
          top={0}
          left={0}
          width={width}
          height={height}
          margin={0}
          opacity={0}
          cursor="ew-resize"
        />
      </YStack>
      <XStack justifyContent="space-between" gap={8}>
        <Strong>{photoWords(before, day)}</Strong>
        <Strong>{photoWords(after, day)}</Strong>
      </XStack>
      <Small>Move the line to compare.</Small>
    </YStack>
  );
}
