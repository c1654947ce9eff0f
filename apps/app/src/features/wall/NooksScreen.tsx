import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Plus } from '@/kit/press/icons';
import { counted } from '@/kit/text/counted';
import { Small } from '@/kit/text/Text';
import { useRooms } from './useRooms';
import { NookWall } from './NookWall';
import { RoomsDialog } from '@/features/spaces';
import { ScaledSpaceCard } from './ScaledSpaceCard';

const GAP = 12;
const SIDE = 16;
const TALLEST_PIXELS = 165;

/** Every space of the home, room by room, all at one scale on one floor: what is bigger is bigger here too. */
export function NooksScreen() {
  const router = useRouter();
  const { gtMd } = useMedia();
  const [editing, setEditing] = useState(false);
  const { rooms } = useRooms();
  const add = <Button icon={Plus} label="Space" onPress={() => router.push('/space/new')} />;
  const links = (
    <XStack paddingHorizontal={6}>
      {rooms.length > 0 ? <Button kind="quiet" label="Rooms" onPress={() => setEditing(true)} /> : null}
      <Button kind="quiet" label="Containers" onPress={() => router.push('/containers')} />
      {rooms.length > 0 ? <Button kind="quiet" label="Where things go" onPress={() => router.push('/where')} /> : null}
    </XStack>
  );
  const dialog = editing ? <RoomsDialog onClose={() => setEditing(false)} /> : null;
  if (rooms.length === 0)
    return (
      <Screen title="Nooks" right={add}>
        <EmptyState
          text="There are no places yet. Start with one cupboard: its name, its room, how many shelves."
          action="Set up a cupboard"
          onPress={() => router.push('/space/new')}
        />
        {links}
      </Screen>
    );
  if (gtMd)
    return (
      <NookWall links={links} add={add}>
        {dialog}
      </NookWall>
    );
  return (
    <Screen title="Nooks" right={add}>
      {links}
      <Rooms />
      {dialog}
    </Screen>
  );
}

/** The rooms below each other, for a phone. */
function Rooms() {
  const { filled, bare, widest, tallest } = useRooms();
  const width = useContentWidth();
  const scale = Math.min(TALLEST_PIXELS / tallest, (width - 2 * SIDE - 24) / widest);
  return (
    <>
      <LongList
        entries={filled}
        first={2}
        keyOf={({ room }) => room.id}
        draw={({ room, spaces, height }) => (
          <YStack>
            <ListHeading title={room.name} remark={counted(spaces.length, { one: '# space', other: '# spaces' })} />
            <XStack padding={SIDE} paddingTop={GAP} gap={GAP} flexWrap="wrap" alignItems="flex-start">
              {spaces.map((space) => (
                <ScaledSpaceCard key={space.id} spaceId={space.id} scale={scale} tallest={height} />
              ))}
            </XStack>
          </YStack>
        )}
      />
      {bare.length > 0 ? <Small padding={SIDE}>{`Rooms without a space yet: ${bare.join(', ')}.`}</Small> : null}
    </>
  );
}
