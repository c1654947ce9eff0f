import { useRouter } from 'expo-router';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Heading, Text } from '@/kit/text/Text';

/** Nothing in the home answers to these words. */
export function NothingFound({ query }: { query: string }) {
  const router = useRouter();
  const name = query.trim();
  return (
    <YStack padding={16} gap={6}>
      <Heading>Nothing is called “{name}”.</Heading>
      <Text color="$second">
        Try another word for it, a #tag or the code on the bin. What you find under another name can get this one as a
        second name.
      </Text>
      <XStack paddingTop={6}>
        <Button
          label="Is there room for one?"
          onPress={() => router.push({ pathname: '/restock/room-for', params: { name } } as never)}
        />
      </XStack>
    </YStack>
  );
}
