import type { ReactNode } from 'react';
import { YStack } from 'tamagui';
import type { Ruler } from '@/kit/chart/Ruler';
import { Runway, type RunwayBar } from '@/kit/chart/Runway';
import { pressable } from '@/kit/press/pressable';

/** A row that stands on its bar, with the lines of the ruler through it. What it says has a backing, so that lines stop at words. */
export function RunwayRow({
  ruler,
  ticks,
  height,
  bar,
  label,
  expanded,
  onPress,
  children,
}: {
  ruler: Ruler;
  ticks: readonly number[];
  height: number;
  bar: RunwayBar | null;
  /** What a screen reader says; missing: what stands in it. */
  label?: string;
  /** Whether what belongs to it is shown below it; missing: nothing is. */
  expanded?: boolean;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <YStack
      {...pressable({ onPress })}
      aria-expanded={expanded}
      aria-label={label}
      position="relative"
      height={height}
      pressStyle={{ backgroundColor: '$greenTint' }}
    >
      <YStack position="absolute" top={0} left={0}>
        <Runway ruler={ruler} ticks={ticks} height={height} bar={bar} />
      </YStack>
      <YStack position="relative" pointerEvents="none">
        {children}
      </YStack>
    </YStack>
  );
}
