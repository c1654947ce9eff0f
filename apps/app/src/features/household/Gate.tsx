import { Redirect, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { YStack } from 'tamagui';
import { HouseholdProvider, useConnection, useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { PhotosProvider } from '@/shared/PhotosProvider';
import { useSession } from '@/shared/SessionProvider';
import { Button } from '@/kit/press/Button';
import { connectionWords } from '@/features/sync/words';
import { ActionsButton, KeysAnywhere } from '@/features/actions';
import { RoundReminder } from '@/features/reminders';
import { ScansAnywhere } from '@/features/scan';
import { DoneProvider } from '@/shared/DoneProvider';
import { ScanProvider } from '@/shared/ScanProvider';
import { Shell } from '@/shared/Shell';
import { SyncState } from '@/shared/SyncState';
import { ScreenCorner } from '@/kit/layout/Screen';
import { Text } from '@/kit/text/Text';

const Message = ({ children }: { children: ReactNode }) => (
  <YStack flex={1} backgroundColor="$backgroundStrong" padding={20} gap={14} role="status">
    {children}
  </YStack>
);
const Loading = () => (
  <Message>
    <Text color="$second">Opening …</Text>
  </Message>
);
const Failed = () => (
  <Message>
    <Text>
      This browser keeps no data for the app, so it cannot work here. Allow it to store data for this address (a private
      window often does not), then open it again.
    </Text>
  </Message>
);

/** Nobody known: to the sign-in. Somebody: their household, opened from this device. */
export function Gate({ children }: { children: ReactNode }) {
  const { me } = useSession();
  if (me === undefined) return <Loading />;
  if (me === null) return <Redirect href="/sign-in" />;
  return (
    <HouseholdProvider key={me.householdId} me={me} loading={<Loading />} failed={<Failed />}>
      <FirstRead>
        <PhotosProvider>
          <ScreenCorner.Provider value={<SyncState />}>
            <DoneProvider>
              <ScanProvider>
                <ScansAnywhere />
                <Shell foot={<ActionsButton />}>
                  <WholeHome>{children}</WholeHome>
                </Shell>
                <KeysAnywhere />
                <RoundReminder />
              </ScanProvider>
            </DoneProvider>
          </ScreenCorner.Provider>
        </PhotosProvider>
      </FirstRead>
    </HouseholdProvider>
  );
}

/** Finding works before a large home is read; what counts and lists has to wait for all of it. */
function WholeHome({ children }: { children: ReactNode }) {
  const isWhole = useHousehold(({ store }) => store.isWhole);
  const path = usePathname();
  return isWhole || path === '/' ? <>{children}</> : <Loading />;
}

/** On a new device there is nothing to show until the home has been read once. */
function FirstRead({ children }: { children: ReactNode }) {
  const { syncNow } = useHouseholdContext();
  const connection = useConnection();
  const neverRead = useHousehold(({ store }) => store.seq === 0);
  if (!neverRead) return <>{children}</>;
  if (connection === 'signed_out') return <Redirect href="/sign-in" />;
  if (connection === 'connecting' || connection === 'online') {
    return (
      <Message>
        <Text color="$second">Reading your home onto this device …</Text>
      </Message>
    );
  }
  return (
    <Message>
      <Text>
        {connection === 'offline' ? 'The server cannot be reached.' : connectionWords(connection, false)} This device
        needs the server once, to read your home; after that it works without.
      </Text>
      <Button label="Try again" onPress={syncNow} />
    </Message>
  );
}
