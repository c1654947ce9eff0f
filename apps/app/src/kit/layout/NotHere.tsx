import { YStack } from 'tamagui';
import { Text } from '@/kit/text/Text';
import { Screen } from './Screen';

/** An address that leads to nothing any more: says so, and the way back. */
export function NotHere({ what, back = '/nooks' }: { what: string; back?: string }) {
  return (
    <Screen title="Not here" back={back}>
      <YStack padding={16}>
        <Text>{what} is not there, or no longer. Look for it under Nooks.</Text>
      </YStack>
    </Screen>
  );
}
