import { YStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { ListRow } from '@/kit/layout/ListRow';
import { useHousehold } from '@/shared/HouseholdProvider';

/** A room or a space. */
export interface PlaceChosen {
  id: string;
  name: string;
}

/** Of which room or space the table shows things. */
export function PlaceFilter({ onPick, onClose }: { onPick: (place: PlaceChosen | null) => void; onClose: () => void }) {
  const { rooms } = useHousehold(({ state, version }) => ({
    rooms: state
      .all('room')
      .filter(({ retired }) => !retired)
      .sort((a, b) => a.sort - b.sort)
      .map((room) => ({ room, spaces: state.spacesIn(room.id) })),
    version,
  }));
  return (
    <Dialog title="Show what is in" open onClose={onClose}>
      <YStack>
        <ListRow title="All places" onPress={() => onPick(null)} />
        {rooms.map(({ room, spaces }) => (
          <YStack key={room.id}>
            <ListRow title={room.name} detail="the whole room" onPress={() => onPick(room)} />
            {spaces.map((space) => (
              <YStack key={space.id} paddingLeft={16}>
                <ListRow title={space.name} onPress={() => onPick(space)} />
              </YStack>
            ))}
          </YStack>
        ))}
      </YStack>
    </Dialog>
  );
}
