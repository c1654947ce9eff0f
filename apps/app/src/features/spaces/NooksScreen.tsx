import { useRouter } from 'expo-router';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { useHousehold } from '@/home/HouseholdProvider';
import { Button } from '@/kit/press/Button';
import { Plus } from '@/kit/press/icons';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Small, Text } from '@/kit/text/Text';
import { RoomsDialog } from './RoomsDialog';
import { SpaceCard } from './SpaceCard';

/** Every space of the home, room by room. */
export function NooksScreen() {
  const router = useRouter();
  const [editing, setEditing] = useState(false);
  const rooms = useHousehold(({ state }) =>
    state
      .all('room')
      .sort((a, b) => a.sort - b.sort)
      .map((room) => ({ room, spaces: state.spacesIn(room.id) })),
  );
  const bare = rooms.filter(({ spaces }) => spaces.length === 0).map(({ room }) => room.name);
  const width = useContentWidth();
  const columns = width >= 900 ? 5 : width >= 600 ? 3 : 2;
  const cardWidth = (width - 32 - 12 * (columns - 1)) / columns;
  return (
    <Screen title="Nooks" right={<Button icon={Plus} label="Space" onPress={() => router.push('/space/new')} />}>
      {rooms.length === 0 ? (
        <YStack padding={16} gap={12}>
          <Text>There are no places yet. Start with one cupboard: its name, its room, how many shelves.</Text>
          <Button kind="primary" label="Set up a cupboard" onPress={() => router.push('/space/new')} />
        </YStack>
      ) : null}
      <XStack paddingHorizontal={6} paddingBottom={4}>
        {rooms.length > 0 ? <Button kind="quiet" label="Rooms" onPress={() => setEditing(true)} /> : null}
        <Button kind="quiet" label="Containers" onPress={() => router.push('/containers')} />
      </XStack>
      <XStack paddingHorizontal={16} gap={12} flexWrap="wrap">
        {rooms.flatMap(({ room, spaces }) =>
          spaces.map((space) => <SpaceCard key={space.id} spaceId={space.id} width={cardWidth} sub={room.name} />),
        )}
      </XStack>
      {bare.length > 0 ? <Small padding={16}>{`Rooms without a space yet: ${bare.join(', ')}.`}</Small> : null}
      {editing ? <RoomsDialog onClose={() => setEditing(false)} /> : null}
    </Screen>
  );
}
