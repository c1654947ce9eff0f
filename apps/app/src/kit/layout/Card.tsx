import { styled, YStack } from 'tamagui';

/** A sheet that belongs together, set off from the page. `strong`: the one that is being worked on. */
export const Card = styled(YStack, {
  borderWidth: 1,
  borderColor: '$borderColor',
  borderRadius: 14,
  backgroundColor: '$background',
  overflow: 'hidden',
  variants: { strong: { true: { borderColor: '$color' } } } as const,
});
