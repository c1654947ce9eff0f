import { YStack } from 'tamagui';
import { Progress } from '@/kit/feedback/Progress';
import { Text } from '@/kit/text/Text';

/** While the home is worked out for the first time; or why it could not be. */
export function OutlookWait({ share, problem }: { share: number; problem: string | null }) {
  return (
    <YStack padding={16}>
      {problem ? (
        <Text role="alert">It could not be worked out: {problem}</Text>
      ) : (
        <Progress label="Working it out" words="Looking through the home" share={share} />
      )}
    </YStack>
  );
}
