import { XStack, YStack } from 'tamagui';
import { Warning } from '@/kit/press/icons';
import { Strong, Text } from '@/kit/text/Text';
import { usePalette } from '@/kit/theme/usePalette';
import { CARE_CAUTION, CARE_CAUTION_MORE } from './words';

/** What the log is, and what it is not. */
export function Caution() {
  const palette = usePalette();
  return (
    <XStack
      role="note"
      marginHorizontal={16}
      padding={14}
      gap={14}
      borderRadius={14}
      borderWidth={1}
      borderColor="$color"
      alignItems="center"
    >
      <Warning size={30} color={palette.ink} strokeWidth={2} />
      <YStack flex={1} minWidth={0}>
        <Strong>{CARE_CAUTION}</Strong>
        <Text>{CARE_CAUTION_MORE}</Text>
      </YStack>
    </XStack>
  );
}
