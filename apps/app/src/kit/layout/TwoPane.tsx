import type { ReactNode } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';

/** Between the two panes. */
export const PANE_GAP = 16;

/** On a wide screen two things beside each other; on a narrow one all below each other, in its own order. */
export function TwoPane({
  left,
  right,
  narrow,
  leftWidth,
  rightWidth,
  gap = 12,
  top = 0,
}: {
  left: ReactNode;
  right: ReactNode;
  narrow: ReactNode;
  /** Of one of the two; the other takes the rest. */
  leftWidth?: number;
  rightWidth?: number;
  /** Between what stands below each other. */
  gap?: number;
  top?: number;
}) {
  const { gtMd } = useMedia();
  if (!gtMd)
    return (
      <YStack gap={gap} paddingTop={top}>
        {narrow}
      </YStack>
    );
  return (
    <XStack gap={PANE_GAP} alignItems="flex-start" paddingTop={top}>
      <Pane width={leftWidth} gap={gap}>
        {left}
      </Pane>
      <Pane width={rightWidth} gap={gap}>
        {right}
      </Pane>
    </XStack>
  );
}

const Pane = ({ width, gap, children }: { width: number | undefined; gap: number; children: ReactNode }) => (
  <YStack gap={gap} {...(width === undefined ? { flex: 1, minWidth: 0 } : { width })}>
    {children}
  </YStack>
);
