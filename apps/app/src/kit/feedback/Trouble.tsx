import { YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Title, Text } from '@/kit/text/Text';

/** Shown instead of a screen that failed. What was recorded is on the device and is not touched by it. */
export function Trouble({ error, retry }: { error: Error; retry: () => Promise<void> | void }) {
  return (
    <YStack flex={1} padding={24} gap={14} backgroundColor="$backgroundStrong" role="alert">
      <Title>This screen could not be shown.</Title>
      <Text>Nothing you recorded is lost. Try again; if that does not help, read the app anew.</Text>
      <Text color="$second">{error.message.slice(0, 200)}</Text>
      <Button kind="primary" label="Try again" onPress={() => void retry()} />
      <Button label="Read the app anew" onPress={() => window.location.reload()} />
    </YStack>
  );
}
