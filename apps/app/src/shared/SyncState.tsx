import { useConnection, useHousehold } from '@/shared/HouseholdProvider';
import { useUnsentPictures } from '@/shared/PhotosProvider';
import { useRouter } from 'expo-router';
import { useMedia, XStack } from 'tamagui';
import { pressable } from '@/kit/press/pressable';
import { Check } from '@/kit/press/icons';
import { HiddenText, Small } from '@/kit/text/Text';
import { usePalette } from '@/kit/theme/usePalette';

const ALL_SAVED = 'All saved ✓';

/** What the header says about saving: all saved, n waiting, n need you. */
export function syncWords(waiting: number, needYou: number, connection: string): string {
  if (needYou > 0) return needYou === 1 ? '1 needs you' : `${needYou} need you`;
  if (connection === 'lost') return 'Storage full or lost';
  if (connection === 'other_home') return 'Another home';
  if (connection === 'stuck') return 'Server in trouble';
  if (connection === 'signed_out') return waiting > 0 ? `sign in to send ${waiting}` : 'signed out';
  if (waiting > 0) return `${waiting} waiting`;
  if (connection === 'offline') return 'Offline, all saved here';
  return connection === 'connecting' ? 'Connecting …' : ALL_SAVED;
}

export function SyncState() {
  const router = useRouter();
  const connection = useConnection();
  const { waiting, needYou, lost } = useHousehold(({ store }) => ({
    waiting: store.waiting.length,
    needYou: store.refused.length,
    lost: store.isLost,
  }));
  const pictures = useUnsentPictures();
  const words = syncWords(waiting + pictures, needYou, lost ? 'lost' : connection);
  const { gtMd } = useMedia();
  const palette = usePalette();
  const go = (): void => router.push(connection === 'signed_out' ? '/sign-in' : '/waiting');
  // A phone has no room for words about what is as it should be.
  const onlySign = words === ALL_SAVED && !gtMd;
  return (
    <XStack
      {...pressable({ onPress: go, role: 'link' })}
      minHeight={44}
      minWidth={onlySign ? 28 : 44}
      maxWidth={140}
      alignItems="center"
      justifyContent="flex-end"
      aria-label={`${words}; show what waits`}
      {...(needYou > 0
        ? { borderWidth: 1, borderColor: '$late', borderRadius: 8, paddingHorizontal: 8, backgroundColor: '$lateTint' }
        : {})}
    >
      {onlySign ? <Check size={18} color={palette.second} strokeWidth={2.4} /> : null}
      {onlySign ? (
        <HiddenText testID="sync-state">{words}</HiddenText>
      ) : (
        <Small testID="sync-state" textAlign="right" color={needYou > 0 ? '$late' : '$second'}>
          {words}
        </Small>
      )}
    </XStack>
  );
}
