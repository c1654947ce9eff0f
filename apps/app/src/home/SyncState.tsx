import { useHousehold, useHouseholdContext } from '@/home/HouseholdProvider';
import { useRouter } from 'expo-router';
import { XStack } from 'tamagui';
import { Small } from '@/kit/text/Text';

/** What the header says about saving: all saved, n waiting, n need you. */
export function syncWords(waiting: number, needYou: number, connection: string): string {
  if (needYou > 0) return needYou === 1 ? '1 needs you' : `${needYou} need you`;
  if (connection === 'lost') return 'Storage full or lost';
  if (connection === 'other_home') return 'Another home';
  if (connection === 'stuck') return 'Server in trouble';
  if (connection === 'signed_out') return waiting > 0 ? `sign in to send ${waiting}` : 'signed out';
  if (waiting > 0) return `${waiting} waiting`;
  if (connection === 'offline') return 'Offline, all saved here';
  return connection === 'connecting' ? 'Connecting …' : 'All saved ✓';
}

export function SyncState() {
  const router = useRouter();
  const { connection } = useHouseholdContext();
  const { waiting, needYou, lost } = useHousehold(({ store }) => ({
    waiting: store.waiting.length,
    needYou: store.refused.length,
    lost: store.isLost,
  }));
  const words = syncWords(waiting, needYou, lost ? 'lost' : connection);
  return (
    <XStack
      role="link"
      tabIndex={0}
      cursor="pointer"
      minHeight={44}
      maxWidth={140}
      alignItems="center"
      onPress={() => router.push(connection === 'signed_out' ? '/sign-in' : '/waiting')}
      aria-label={`${words}; show what waits`}
      {...(needYou > 0
        ? { borderWidth: 1, borderColor: '$late', borderRadius: 8, paddingHorizontal: 8, backgroundColor: '$lateTint' }
        : {})}
    >
      <Small testID="sync-state" textAlign="right" color={needYou > 0 ? '$late' : '$second'}>
        {words}
      </Small>
    </XStack>
  );
}
