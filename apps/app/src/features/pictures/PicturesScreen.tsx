import { beforeAndAfter, PHOTO_MOMENTS, photosOf, type PhotoRow } from '@ours/core';
import { useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { choicesOf } from '@/kit/form/choice';
import { ListHeading } from '@/kit/layout/ListRow';
import { NotHere } from '@/kit/layout/NotHere';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Camera } from '@/kit/press/icons';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { NookPlate } from '@/shared/NookPlate';
import { today } from '@/shared/opContext';
import { usePhotos, useUnsentPictures } from '@/shared/PhotosProvider';
import { wayTo } from '@/shared/placeWords';
import { useRunCommand } from '@/shared/useRunCommand';
import { Picture } from './Picture';
import { Slider } from './Slider';
import { useTakePicture } from './useTakePicture';
import { keptWords, MOMENT_WORDS, photoWords } from './words';

const WIDEST = 720;

/** All pictures of a place or thing, and before and after on top of each other. */
export function PicturesScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const name = useHousehold(({ state }) => {
    if (!id) return null;
    const nook = state.nook(id);
    if (nook && !nook.row.retired) return nook.row.name || (wayTo(state, id)?.steps.at(-1) ?? nook.row.code);
    const item = state.get('item', id);
    return item && !item.retired ? item.name : null;
  });
  if (!id || name === null) return <NotHere what="This place" />;
  return <Pictures key={id} ofId={id} name={name} />;
}

function Pictures({ ofId, name }: { ofId: string; name: string }) {
  const day = today();
  const width = Math.min(useContentWidth(), WIDEST) - 32;
  const runCommand = useRunCommand();
  const take = useTakePicture(ofId, name);
  const unsent = useUnsentPictures();
  const { photos, before, after } = useHousehold(({ state }) => ({
    photos: photosOf(state, ofId),
    ...beforeAndAfter(state, ofId),
  }));
  const [moment, setMoment] = useState<PhotoRow['moment']>(before && !after ? 'after' : 'before');
  return (
    <Screen title={name} sub="Pictures" back="/nooks" right={<NookPlate nookId={ofId} />}>
      <YStack paddingHorizontal={16} paddingBottom={12} gap={10}>
        <Choices
          label="Which picture"
          hideLabel
          wrap
          choices={choicesOf(PHOTO_MOMENTS, MOMENT_WORDS)}
          value={moment}
          onChange={setMoment}
        />
        <XStack gap={8}>
          <Button grow kind="primary" icon={Camera} label="Take it" onPress={() => void take(moment, true)} />
          <Button grow label="From a file" onPress={() => void take(moment, false)} />
        </XStack>
        <Small>
          {unsent > 0
            ? 'A picture waits on this device and is sent after everything else.'
            : 'Made small on this device; where and when it was taken is not in the file.'}
        </Small>
        {before && after ? <Slider before={before} after={after} width={width} day={day} /> : null}
        {photos.length > 0 && !(before && after) ? (
          <Small>With one picture from before and one from after, both are shown on top of each other.</Small>
        ) : null}
      </YStack>
      {photos.length === 0 ? (
        <Text padding={16}>No picture yet. Take one before it is cleared out, and one when it is set up.</Text>
      ) : (
        <ListHeading title="All pictures" remark={`${photos.length}`} />
      )}
      {photos.map((photo) => (
        <YStack key={photo.id} padding={16} gap={6}>
          <Picture
            photo={photo}
            words={photoWords(photo, day)}
            width={width}
            height={Math.round((width * photo.height) / photo.width)}
          />
          <XStack alignItems="center" gap={8}>
            <Text flex={1}>{photoWords(photo, day)}</Text>
            <Button
              kind="quiet"
              label="Remove"
              onPress={() =>
                void runCommand('photo_removed', [{ op: 'retire', entity: 'photo', id: photo.id }], 'Removed.')
              }
            />
          </XStack>
        </YStack>
      ))}
      {photos.length > 0 ? <KeepHere ofId={ofId} photos={photos} /> : null}
    </Screen>
  );
}

/** Whether the pictures of this place are on this device also without a signal. */
function KeepHere({ ofId, photos }: { ofId: string; photos: readonly PhotoRow[] }) {
  const box = usePhotos();
  const [kept, setKept] = useState(false);
  const [missing, setMissing] = useState<number | null>(null);
  const hashes = photos.map(({ hash }) => hash).join(' ');
  useEffect(() => {
    let gone = false;
    void box?.isKept(ofId).then(async (is) => {
      if (gone) return;
      setKept(is);
      // A picture that came since is fetched as well.
      const left = is ? await box.fetchAll(hashes.split(' ')) : null;
      if (!gone) setMissing(left);
    });
    return () => {
      gone = true;
    };
  }, [box, ofId, hashes]);
  const toggle = async (): Promise<void> => {
    if (!box) return;
    await box.setKept(ofId, !kept);
    setKept(!kept);
    if (kept) {
      await box.letGo(hashes.split(' '));
      setMissing(null);
    } else setMissing(await box.fetchAll(hashes.split(' ')));
  };
  return (
    <YStack padding={16} gap={6}>
      <XStack>
        <Button
          label={kept ? 'No longer keep them on this device' : 'Keep them on this device'}
          selected={kept}
          onPress={() => void toggle()}
        />
      </XStack>
      {kept && missing !== null ? <Small role="status">{keptWords(missing)}</Small> : null}
    </YStack>
  );
}
