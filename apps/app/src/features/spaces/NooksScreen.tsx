import { layOutFront, type RoomRow, type SpaceRow } from '@ours/core';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { drawnWidth } from '@/features/drawing';
import { useHousehold } from '@/shared/HouseholdProvider';
import { EmptyState } from '@/kit/layout/EmptyState';
import { ListHeading } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { useContentWidth } from '@/kit/layout/useContentWidth';
import { Button } from '@/kit/press/Button';
import { Plus } from '@/kit/press/icons';
import { counted } from '@/kit/text/counted';
import { Small } from '@/kit/text/Text';
import { RoomsDialog } from './RoomsDialog';
import { ScaledSpaceCard } from './ScaledSpaceCard';

interface RoomOfSpaces {
  room: RoomRow;
  spaces: SpaceRow[];
  /** The tallest of them, in tenths of a millimetre. */
  height: number;
}

/** Rooms in the home's order with their spaces, and the widest and tallest space of all: they set the one scale. */
function inRooms(
  roomRows: readonly RoomRow[],
  spaceRows: readonly SpaceRow[],
): { rooms: RoomOfSpaces[]; widest: number; tallest: number } {
  let [widest, tallest] = [1, 1];
  const rooms = [...roomRows]
    .sort((a, b) => a.sort - b.sort)
    .map((room) => {
      const spaces = spaceRows.filter(({ roomId }) => roomId === room.id).sort((a, b) => a.sort - b.sort);
      let height = 1;
      for (const space of spaces) {
        const view = layOutFront(space, [], () => []);
        widest = Math.max(widest, drawnWidth(view));
        height = Math.max(height, view.outer.height);
      }
      tallest = Math.max(tallest, height);
      return { room, spaces, height };
    });
  return { rooms, widest, tallest };
}

const GAP = 12;
const SIDE = 16;
/** Room for a room's name and how many spaces it has. */
const LEAST_ROOM = 240;

/** Every space of the home, room by room, all at one scale on one floor: what is bigger is bigger here too. */
export function NooksScreen() {
  const router = useRouter();
  const [editing, setEditing] = useState(false);
  const roomRows = useHousehold(({ state }) => state.all('room'));
  const spaceRows = useHousehold(({ state }) => state.all('space'));
  const { rooms, widest, tallest } = useMemo(() => inRooms(roomRows, spaceRows), [roomRows, spaceRows]);
  const bare = rooms.filter(({ spaces }) => spaces.length === 0).map(({ room }) => room.name);
  const width = useContentWidth();
  const wide = width >= 600;
  const scale = Math.min((wide ? 230 : 165) / tallest, (width - 2 * SIDE - 24) / widest);
  return (
    <Screen title="Nooks" right={<Button icon={Plus} label="Space" onPress={() => router.push('/space/new')} />}>
      {rooms.length === 0 ? (
        <EmptyState
          text="There are no places yet. Start with one cupboard: its name, its room, how many shelves."
          action="Set up a cupboard"
          onPress={() => router.push('/space/new')}
        />
      ) : null}
      <XStack paddingHorizontal={6}>
        {rooms.length > 0 ? <Button kind="quiet" label="Rooms" onPress={() => setEditing(true)} /> : null}
        <Button kind="quiet" label="Containers" onPress={() => router.push('/containers')} />
        {rooms.length > 0 ? (
          <Button kind="quiet" label="Where things go" onPress={() => router.push('/where')} />
        ) : null}
      </XStack>
      {/* On a wide screen small rooms stand beside each other. */}
      <XStack flexDirection={wide ? 'row' : 'column'} flexWrap={wide ? 'wrap' : 'nowrap'} columnGap={24}>
        <LongList
          entries={rooms.filter(({ spaces }) => spaces.length > 0)}
          first={wide ? 4 : 2}
          keyOf={({ room }) => room.id}
          draw={({ room, spaces, height }) => (
            <YStack {...(wide ? { minWidth: LEAST_ROOM, maxWidth: width } : {})}>
              <ListHeading title={room.name} remark={counted(spaces.length, { one: '# space', other: '# spaces' })} />
              <XStack padding={SIDE} paddingTop={GAP} gap={GAP} flexWrap="wrap" alignItems="flex-start">
                {spaces.map((space) => (
                  <ScaledSpaceCard key={space.id} spaceId={space.id} scale={scale} tallest={height} />
                ))}
              </XStack>
            </YStack>
          )}
        />
      </XStack>
      {bare.length > 0 ? <Small padding={SIDE}>{`Rooms without a space yet: ${bare.join(', ')}.`}</Small> : null}
      {editing ? <RoomsDialog onClose={() => setEditing(false)} /> : null}
    </Screen>
  );
}
