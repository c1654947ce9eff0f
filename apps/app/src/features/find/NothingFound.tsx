import { YStack } from 'tamagui';
import { Heading, Text } from '@/kit/text/Text';

/** Nothing in the home answers to these words. */
export function NothingFound({ query }: { query: string }) {
  return (
    <YStack padding={16} gap={6}>
      <Heading>Nothing is called “{query.trim()}”.</Heading>
      <Text color="$second">
        Try another word for it, a #tag or the code on the bin. What you find under another name can get this one as a
        second name.
      </Text>
    </YStack>
  );
}
