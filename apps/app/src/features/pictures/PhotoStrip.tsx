import { photosOf } from '@ours/core';
import { useRouter } from 'expo-router';
import { ScrollView, XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Camera } from '@/kit/press/icons';
import { pressable } from '@/kit/press/pressable';
import { Small } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { Picture } from './Picture';
import { useTakePicture } from './useTakePicture';
import { photoWords } from './words';

const SIDE = 76;
const MOST = 12;

/** The pictures of a place in a line, and one more. */
export function PhotoStrip({ ofId, name }: { ofId: string; name: string }) {
  const router = useRouter();
  const photos = useHousehold(({ state }) => photosOf(state, ofId));
  const take = useTakePicture(ofId, name);
  const open = (): void => router.push(`/pictures/${ofId}` as never);
  return (
    <XStack paddingHorizontal={16} paddingVertical={8} gap={10} alignItems="center" testID="photo-strip">
      <Button icon={Camera} label="Picture" onPress={() => void take('now', true)} />
      {photos.length === 0 ? (
        <Button kind="quiet" label="Before and after …" onPress={open} />
      ) : (
        <ScrollView horizontal showsHorizontalScrollIndicator={false} flex={1}>
          <XStack gap={8}>
            {photos.slice(0, MOST).map((photo) => (
              <YStack
                key={photo.id}
                {...pressable({ onPress: open })}
                aria-label={photoWords(photo, today())}
                borderRadius={10}
                overflow="hidden"
              >
                <Picture photo={photo} words={photoWords(photo, today())} width={SIDE} height={SIDE} cover />
              </YStack>
            ))}
            {photos.length > MOST ? <Small alignSelf="center">{`and ${photos.length - MOST} more`}</Small> : null}
          </XStack>
        </ScrollView>
      )}
    </XStack>
  );
}
