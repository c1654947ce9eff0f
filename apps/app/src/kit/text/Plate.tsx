import { XStack } from 'tamagui';
import { Mono } from './Text';

/** A nook's code as it stands on the bin itself. */
export function Plate({ code, large = false }: { code: string; large?: boolean }) {
  return (
    <XStack
      borderWidth={1.5}
      borderColor="$color"
      borderRadius={large ? 6 : 5}
      backgroundColor="$background"
      paddingHorizontal={large ? 10 : 7}
      paddingVertical={large ? 4 : 2}
      flexShrink={0}
    >
      <Mono fontSize={large ? 18 : 14} lineHeight={large ? 24 : 19} aria-label={`code ${code}`}>
        {code}
      </Mono>
    </XStack>
  );
}
