import { codeTail, type Box, type DrawnShelf, type NookSummary } from '@ours/core';
import { Pressable } from 'react-native';
import type { Place } from './DrawingLabels';
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
  return (
    <>
      {/* A shelf with bins is covered by them; it is chosen from the list. */}
      {drawn.bins.length > 0 ? null : (
        <Hit
          box={clear}
          label={`Shelf ${codeTail(drawn.shelf.code)}, ${drawn.shelf.name || SHELF_KIND_WORDS[drawn.shelf.kind].toLowerCase()}`}
          onPress={() => onPressNook(drawn.shelf.id)}
        />
      )}
      {drawn.bins.map(({ bin, box }) => (
        <Hit
          key={bin.id}
          box={place(box)}
          label={binWords(bin, summaryOf(bin.id))}
          onPress={() => onPressNook(bin.id)}
        />
      ))}
    </>
  );
}

/** The least that a finger is given (WCAG 2.2, 2.5.8: 24 by 24 CSS pixels). */
const LEAST_TARGET = 24;

/** A narrow bin gets a little of its neighbours' room, and lies over them there. */
function Hit({ box, label, onPress }: { box: Box; label: string; onPress: () => void }) {
  const width = Math.max(box.width, LEAST_TARGET);
  const height = Math.max(box.height, LEAST_TARGET);
  const grown = width > box.width || height > box.height;
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={onPress}
      style={{
        position: 'absolute',
        left: box.x - (width - box.width) / 2,
        top: box.y - (height - box.height) / 2,
        width,
        height,
        zIndex: grown ? 1 : 0,
      }}
    />
  );
}
