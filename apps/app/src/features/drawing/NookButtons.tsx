import { codeTail, type DrawnShelf, type NookSummary } from '@ours/core';
import { Pressable } from 'react-native';
import type { Place } from './DrawingLabels';
import { grown, nearest, targetsOf, type Area } from './targets';
import { binWords, SHELF_KIND_WORDS } from './words';

/** The drawing's nooks as buttons over it, for finger, keyboard and screen reader alike. */
export function NookButtons({
  drawn,
  place,
  onPressNook,
  summaryOf,
}: {
  drawn: DrawnShelf;
  place: Place;
  onPressNook: (id: string) => void;
  summaryOf: (id: string) => NookSummary;
}) {
  const clear = place(drawn.clear);
  const areas = drawn.bins.map(({ box }) => place(box));
  return (
    <>
      {/* A shelf with bins is covered by them; it is chosen from the list. */}
      {drawn.bins.length > 0 ? null : (
        <Hit
          box={grown(clear)}
          label={`Shelf ${codeTail(drawn.shelf.code)}, ${drawn.shelf.name || SHELF_KIND_WORDS[drawn.shelf.kind].toLowerCase()}`}
          onPress={() => onPressNook(drawn.shelf.id)}
        />
      )}
      {targetsOf(areas, clear).map(({ area, members }) => {
        const bins = members.map((at) => drawn.bins[at]!.bin);
        return (
          <Hit
            key={bins[0]!.id}
            box={area}
            label={bins.map((bin) => binWords(bin, summaryOf(bin.id))).join('; ')}
            onPress={(x, y) => {
              const at = nearest(
                members.map((member) => areas[member]!),
                area.x + x,
                area.y + y,
              );
              onPressNook(bins[at]!.id);
            }}
            over={members.some((at) => areas[at]!.width < area.width || areas[at]!.height < area.height)}
          />
        );
      })}
    </>
  );
}

/** A narrow bin gets a little of its neighbours' room, and lies over them there. `onPress`: where it was pressed, from its corner. */
function Hit({
  box,
  label,
  onPress,
  over = false,
}: {
  box: Area;
  label: string;
  onPress: (x: number, y: number) => void;
  over?: boolean;
}) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={({ nativeEvent }) => {
        // The web says where the pointer was; a key presses nowhere, which is the first.
        const { offsetX = 0, offsetY = 0 } = nativeEvent as { offsetX?: number; offsetY?: number };
        onPress(offsetX, offsetY);
      }}
      style={{
        position: 'absolute',
        left: box.x,
        top: box.y,
        width: box.width,
        height: box.height,
        zIndex: over ? 1 : 0,
      }}
    />
  );
}
