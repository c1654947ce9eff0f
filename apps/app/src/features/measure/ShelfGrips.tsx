import type { DrawnShelf, FrontView } from '@ours/core';
import { Suspense, type ReactNode } from 'react';
import { YStack } from 'tamagui';
import { DragArea, Draggable } from '@/kit/drag';
import { usePalette } from '@/kit/theme/usePalette';
import { drawingScale } from '@/features/drawing';

/** Pixels; a smaller move is none. */
const MOVED_FROM = 2;

interface Props {
  view: FrontView;
  width: number;
  maxHeight: number;
  measures: 'metric' | 'inch' | null;
  /** The surface's wished height above the foot, tenths of a millimetre. */
  onMove: (shelfId: string, bottomTenthMm: number) => void;
  children: ReactNode;
}

/** Grips beside each shelf: drag one up or down, or with the arrow keys after Space. Typed figures always win. */
export function ShelfGrips({ view, width, maxHeight, measures, onMove, children }: Props) {
  const { scale, top, left } = drawingScale(view, width, maxHeight, measures !== null);
  const grips = view.hasLid
    ? []
    : view.shelves.filter(({ shelf }) => shelf.kind === 'shelf' || shelf.kind === 'drawer');
  const move = (id: string, dy: number): void => {
    const drawn = grips.find(({ shelf }) => shelf.id === id);
    if (!drawn || Math.abs(dy) < MOVED_FROM) return;
    const surface = view.inner.y + view.inner.height - (drawn.clear.y + drawn.clear.height);
    onMove(id, surface - dy / scale);
  };
  return (
    <Suspense fallback={children}>
      <DragArea onEnd={(id, _dx, dy) => move(id, dy)}>
        <YStack position="relative">
          {children}
          {grips.map((drawn) => (
            <Grip
              key={drawn.shelf.id}
              drawn={drawn}
              x={left + view.outer.width * scale}
              y={top + (drawn.clear.y + drawn.clear.height) * scale}
            />
          ))}
        </YStack>
      </DragArea>
    </Suspense>
  );
}

function Grip({ drawn, x, y }: { drawn: DrawnShelf; x: number; y: number }) {
  const palette = usePalette();
  return (
    <Draggable
      id={drawn.shelf.id}
      label={`Move shelf ${drawn.shelf.code}`}
      x={x - 24}
      y={y - 22}
      width={44}
      height={44}
      upright
    >
      <svg width={24} height={24} aria-hidden>
        <circle cx={12} cy={12} r={10.5} fill={palette.sheet} stroke={palette.green} strokeWidth={1.5} />
        <path d="M12 4l4 5h-8zM12 20l4-5h-8z" fill={palette.green} />
      </svg>
    </Draggable>
  );
}
