import { Suspense, useCallback, useState, type ReactNode } from 'react';
import { useMedia, useWindowDimensions, XStack, YStack } from 'tamagui';
import { DragArea } from '@/kit/drag';
import { ListHeading } from '@/kit/layout/ListRow';
import { LongList } from '@/kit/layout/LongList';
import { Screen } from '@/kit/layout/Screen';
import { RAIL_WIDTH } from '@/kit/layout/useContentWidth';
import { arrowFocus } from '@/kit/press/arrowFocus';
import { Button } from '@/kit/press/Button';
import { ZoomIn, ZoomOut } from '@/kit/press/icons';
import { counted } from '@/kit/text/counted';
import { Small, Text } from '@/kit/text/Text';
import { useHousehold, useHouseholdContext } from '@/shared/HouseholdProvider';
import { shelfWords } from '@/shared/placeWords';
import { useRooms } from './useRooms';
import { NookPanel, useMoveBin } from '@/features/spaces';
import { NookThings } from './NookThings';
import { WallSpace } from './WallSpace';

const SIDE = 16;
const PANEL = 340;
/** Room for a room's name and how many spaces it has. */
const LEAST_ROOM = 240;
/** How high the tallest space is drawn, in pixels; the first fits a screen of two rooms. */
const HEIGHTS = [220, 330, 480];

/**
 * All rooms of the home as a wall of drawings, true to one scale. A bin is dragged from a shelf of one space to a shelf of another, or
 * chosen and moved by the panel beside.
 */
export function NookWall({ links, add, children }: { links: ReactNode; add: ReactNode; children: ReactNode }) {
  const { beside } = useMedia();
  const { store } = useHouseholdContext();
  const { filled, bare, widest, tallest } = useRooms();
  const { moveBin, asked } = useMoveBin();
  const [zoom, setZoom] = useState(0);
  const [picked, setPicked] = useState<string | null>(null);
  const chosen = useHousehold(({ state }) =>
    picked !== null && state.nook(picked)?.row.retired === false ? picked : null,
  );
  const width = useWindowDimensions().width - RAIL_WIDTH - (beside ? PANEL : 0);
  const scale = Math.min(HEIGHTS[zoom]! / tallest, (width - 2 * SIDE - 24) / widest);
  const pick = useCallback((nookId: string) => setPicked((now) => (now === nookId ? null : nookId)), []);
  const spaceOf = useHousehold(({ state }) => {
    const bin = chosen === null ? undefined : state.get('bin', chosen);
    return bin ? (state.get('shelf', bin.shelfId)?.spaceId ?? null) : null;
  });
  const drop = (binId: string, shelfId: string | null): void => {
    const { state } = store;
    const [bin, shelf] = [state.get('bin', binId), shelfId === null ? undefined : state.get('shelf', shelfId)];
    // Let go where it stands, or beside everything: nothing is to change.
    if (!bin || !shelf || (bin.shelfId === shelf.id && bin.parentBinId === null)) return;
    const space = state.get('space', shelf.spaceId)?.name ?? '';
    moveBin(bin, shelf.id, `${space}, ${shelfWords(state, shelf)}`);
  };
  const panel =
    chosen === null ? null : (
      <NookPanel nookId={chosen} onGone={() => setPicked(null)} onClose={() => setPicked(null)} />
    );
  return (
    <Screen
      title="Nooks"
      fullWidth
      right={
        <>
          <Button
            iconOnly
            icon={ZoomOut}
            label="Smaller"
            disabled={zoom === 0}
            onPress={() => setZoom((now) => Math.max(0, now - 1))}
          />
          <Button
            iconOnly
            icon={ZoomIn}
            label="Larger"
            disabled={zoom === HEIGHTS.length - 1}
            onPress={() => setZoom((now) => Math.min(HEIGHTS.length - 1, now + 1))}
          />
          {add}
        </>
      }
      footer={beside ? undefined : panel}
      side={
        beside ? (
          <YStack width={PANEL} minHeight="100%" borderLeftWidth={1} borderColor="$borderColor" gap={12}>
            {chosen === null ? (
              <YStack padding={16} gap={8}>
                <Text>Choose a bin to see what is in it. Drag it to another shelf, also of another space.</Text>
                <Small>
                  By keyboard: Tab to a bin, the arrows go on from there, Enter chooses it; Space takes hold, the arrows
                  go from shelf to shelf, Space sets it down, Esc leaves it where it was.
                </Small>
              </YStack>
            ) : (
              <>
                {panel}
                <NookThings nookId={chosen} />
              </>
            )}
          </YStack>
        ) : undefined
      }
    >
      {links}
      <Suspense fallback={<Small padding={SIDE}>Opening …</Small>}>
        <DragArea onDrop={drop} scrolls>
          <XStack flexWrap="wrap" columnGap={24} onKeyDown={arrowFocus as never}>
            <LongList
              entries={filled}
              first={6}
              keyOf={({ room }) => room.id}
              draw={({ room, spaces, height }) => (
                <YStack minWidth={LEAST_ROOM} maxWidth={width}>
                  <ListHeading
                    title={room.name}
                    remark={counted(spaces.length, { one: '# space', other: '# spaces' })}
                  />
                  <XStack padding={SIDE} paddingTop={12} gap={12} flexWrap="wrap" alignItems="flex-start">
                    {spaces.map((space) => (
                      <WallSpace
                        key={space.id}
                        spaceId={space.id}
                        scale={scale}
                        tallest={height}
                        selected={spaceOf === space.id ? chosen : null}
                        onPick={pick}
                      />
                    ))}
                  </XStack>
                </YStack>
              )}
            />
          </XStack>
        </DragArea>
      </Suspense>
      {bare.length > 0 ? <Small padding={SIDE}>{`Rooms without a space yet: ${bare.join(', ')}.`}</Small> : null}
      {asked}
      {children}
    </Screen>
  );
}
