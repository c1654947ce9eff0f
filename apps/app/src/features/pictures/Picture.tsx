import type { PhotoRow } from '@ours/core';
import { YStack } from 'tamagui';
import { Small } from '@/kit/text/Text';
import { usePicture } from '@/shared/PhotosProvider';

/** A picture at the size it is given; where it is not on this device it says so. */
export function Picture({
  photo,
  words,
  width,
  height,
  cover = false,
}: {
  photo: PhotoRow;
  words: string;
  width: number;
  height: number;
  /** Fills its room and is cut; otherwise all of it is seen. */
  cover?: boolean;
}) {
  const { url, missing } = usePicture(photo.hash);
  return (
    <YStack
      width={width}
      height={height}
      backgroundColor="$wood"
      overflow="hidden"
      alignItems="center"
      justifyContent="center"
    >
      {url ? (
        <YStack
          render={<img src={url} alt={words} draggable={false} />}
          width={width}
          height={height}
          style={{ objectFit: cover ? 'cover' : 'contain' } as never}
        />
      ) : (
        <Small padding={8} textAlign="center">
          {missing ? 'Not on this device yet.' : '…'}
        </Small>
      )}
    </YStack>
  );
}
