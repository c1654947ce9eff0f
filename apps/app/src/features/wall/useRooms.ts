import { layOutFront, type RoomRow, type SpaceRow } from '@ours/core';
import { useMemo } from 'react';
import { drawnWidth } from '@/features/drawing';
import { useHousehold } from '@/shared/HouseholdProvider';

export interface RoomOfSpaces {
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

/** The rooms of the home, for drawings that are all true to one scale; with the names of those that have no space yet. */
export function useRooms() {
  const roomRows = useHousehold(({ state }) => state.all('room'));
  const spaceRows = useHousehold(({ state }) => state.all('space'));
  return useMemo(() => {
    const found = inRooms(roomRows, spaceRows);
    return {
      ...found,
      bare: found.rooms.filter(({ spaces }) => spaces.length === 0).map(({ room }) => room.name),
      filled: found.rooms.filter(({ spaces }) => spaces.length > 0),
    };
  }, [roomRows, spaceRows]);
}
