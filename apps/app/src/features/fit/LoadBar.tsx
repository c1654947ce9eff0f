import { XStack, YStack } from 'tamagui';

/** How much of a rating is used; over it, the bar is full and has the colour of what must be mended. */
export function LoadBar({ share, over }: { share: number; over: boolean }) {
  return (
    <XStack
      width={110}
      height={16}
      borderWidth={1}
      borderRadius={4}
      borderColor={over ? '$late' : '$color'}
      backgroundColor="$background"
      overflow="hidden"
      role="img"
      aria-label={`${Math.round(share * 100)} % of what it may carry`}
    >
      <YStack
        width={`${Math.min(100, Math.round(share * 100))}%` as never}
        backgroundColor={over ? '$late' : '$accent'}
      />
    </XStack>
  );
}
