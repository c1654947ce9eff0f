import { codeTail, type Box } from '@ours/core';
import { useRouter } from 'expo-router';
import { memo, Suspense } from 'react';
import { YStack } from 'tamagui';
import { drawingScale, drawnWidth, OpenDoorView, useFront, wholeSummary } from '@/features/drawing';
import { binWords } from '@/features/drawing/words';
import { Draggable, DropPlace } from '@/kit/drag';
import { useInSight } from '@/kit/layout/useInSight';
import { pressable } from '@/kit/press/pressable';
import { Strong } from '@/kit/text/Text';
import { useHome } from '@/shared/useHome';
import { heldWords, spaceSizeWords } from '@/features/spaces/words';
import { SpaceCaption } from './SpaceCaption';

const FRAME_WIDTH = 14;
const FRAME_HEIGHT = 18;
const NARROWEST = 112;
const BELOW_FOOT = 12;
/** From so many pixels a decimetre on there is room for codes. */
const CODES_FROM = 13;
const DECIMETRE = 1000;
/** A bin that is drawn smaller is taken hold of by so much. */
const LEAST_HOLD = 24;

/** A space of the wall: its bins can be dragged to the shelves of any other. */
export const WallSpace = memo(function WallSpace({
  spaceId,
  scale,
  tallest,
  selected,
  onPick,
}: {
  spaceId: string;
  /** Pixels for a tenth of a millimetre. */
  scale: number;
  /** Of the spaces beside it, in tenths of a millimetre: all stand on one line. */
  tallest: number;
  /** The chosen bin; null: it is in another space, or none is. */
  selected: string | null;
  onPick: (nookId: string) => void;
}) {
  const { ref, seen } = useInSight();
  const router = useRouter();
  const front = useFront(spaceId);
  const { unit } = useHome();
  if (!front) return null;
  const { view, space, summaryOf } = front;
  const width = Math.max(NARROWEST, drawnWidth(view) * scale + FRAME_WIDTH);
  const most = view.outer.height * scale + FRAME_HEIGHT;
  const drawn = drawingScale(view, width, most, false);
  const place = (box: Box): Box => ({
    x: drawn.left + box.x * drawn.scale,
    y: drawn.top + box.y * drawn.scale,
    width: box.width * drawn.scale,
    height: box.height * drawn.scale,
  });
  const size = spaceSizeWords(space, unit);
  const held = heldWords(wholeSummary(front));
  const shelves = [...view.shelves, ...view.doorShelves];
  return (
    <YStack width={width} gap={4} role="group" aria-label={space.name}>
      <YStack
        ref={ref as never}
        height={tallest * scale + FRAME_HEIGHT}
        justifyContent="flex-end"
        borderBottomWidth={2}
        borderColor="$color"
      >
        {seen ? (
          <YStack marginBottom={-BELOW_FOOT} position="relative">
            <OpenDoorView
              view={view}
              width={width}
              maxHeight={most}
              thumbnail={scale * DECIMETRE < CODES_FROM}
              names={false}
              selectedId={selected}
              summaryOf={summaryOf}
            />
            <Suspense fallback={null}>
              {shelves.map(({ shelf, clear }) => (
                <DropPlace key={shelf.id} id={shelf.id} {...place(clear)} />
              ))}
              {shelves.flatMap(({ bins }) =>
                bins.map(({ bin, box }) => (
                  <Draggable
                    key={bin.id}
                    id={bin.id}
                    label={binWords(bin, summaryOf(bin.id))}
                    {...holdOf(place(box))}
                    framed
                    moved={<Strong fontSize={14}>{codeTail(bin.code)}</Strong>}
                    onPress={() => onPick(bin.id)}
                  />
                )),
              )}
            </Suspense>
          </YStack>
        ) : null}
      </YStack>
      <YStack
        {...pressable({ onPress: () => router.push(`/space/${spaceId}`), role: 'link' })}
        aria-label={`${space.name}, ${size}, ${held}`}
        minHeight={44}
        borderRadius={10}
        pressStyle={{ backgroundColor: '$greenTint' }}
      >
        <SpaceCaption name={space.name} size={size} held={held} />
      </YStack>
    </YStack>
  );
});

/** A box large enough to be taken hold of, about the same middle. */
function holdOf({ x, y, width, height }: Box): Box {
  const [wide, high] = [Math.max(LEAST_HOLD, width), Math.max(LEAST_HOLD, height)];
  return { x: x - (wide - width) / 2, y: y - (high - height) / 2, width: wide, height: high };
}
