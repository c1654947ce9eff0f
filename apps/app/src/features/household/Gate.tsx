import { Redirect } from 'expo-router';
import type { ReactNode } from 'react';
import { YStack } from 'tamagui';
import { HouseholdProvider } from '@/data/HouseholdProvider';
import { useSession } from '@/data/SessionProvider';
import { Shell } from '@/ui/Shell';
import { Words } from '@/ui/Words';

const Loading = () => (
  <YStack flex={1} backgroundColor="$backgroundStrong" padding={20} role="status">
    <Words color="$second">Opening …</Words>
  </YStack>
);

/** Nobody known: to the sign-in. Somebody: their household, opened from this device. */
export function Gate({ children }: { children: ReactNode }) {
  const { me } = useSession();
  if (me === undefined) return <Loading />;
  if (me === null) return <Redirect href="/sign-in" />;
  return (
    <HouseholdProvider key={me.householdId} me={me} loading={<Loading />}>
      <Shell>{children}</Shell>
    </HouseholdProvider>
  );
}
