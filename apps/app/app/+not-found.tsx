import { Redirect, usePathname, useRouter } from 'expo-router';
import { YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Title } from '@/kit/text/Text';

export default function NotFound() {
  const router = useRouter();
  // Scan codes are written in capitals, which makes them small.
  const scanned = /^\/N\/([^/]+)$/.exec(usePathname())?.[1];
  if (scanned) return <Redirect href={`/n/${scanned}`} />;
  return (
    <YStack flex={1} padding={24} gap={16} backgroundColor="$backgroundStrong">
      <Title>There is no page here.</Title>
      <Button kind="primary" label="To Find" onPress={() => router.replace('/')} />
    </YStack>
  );
}
