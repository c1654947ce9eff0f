import { DndContext, KeyboardSensor, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import type { DrawnShelf, FrontView } from '@ours/core';
import type { ReactNode } from 'react';
import { YStack } from 'tamagui';
import { usePalette } from '@/kit/theme/usePalette';
import { drawingScale } from '@/features/drawing';

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
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor),
  );
  const { scale, top } = drawingScale(view, width, maxHeight, measures !== null);
  const grips = view.hasLid
    ? []
    : view.shelves.filter(({ shelf }) => shelf.kind === 'shelf' || shelf.kind === 'drawer');
  const left = drawingScale(view, width, maxHeight, measures !== null).left;
  return (
    <DndContext
      autoScroll={false}
      sensors={sensors}
      onDragEnd={({ active, delta }) => {
        const drawn = grips.find(({ shelf }) => shelf.id === active.id);
        if (!drawn || Math.abs(delta.y) < 2) return;
        const surface = view.inner.y + view.inner.height - (drawn.clear.y + drawn.clear.height);
        onMove(String(active.id), surface - delta.y / scale);
      }}
    >
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
    </DndContext>
  );
}

function Grip({ drawn, x, y }: { drawn: DrawnShelf; x: number; y: number }) {
  const palette = usePalette();
  const { setNodeRef, listeners, attributes, transform } = useDraggable({ id: drawn.shelf.id });
  return (
    <div
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-label={`Move shelf ${drawn.shelf.code}`}
      style={{
        position: 'absolute',
        left: x - 24,
        top: y - 22 + (transform?.y ?? 0),
        width: 44,
        height: 44,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        cursor: 'ns-resize',
        touchAction: 'none',
      }}
    >
      <svg width={24} height={24} aria-hidden>
        <circle cx={12} cy={12} r={10.5} fill={palette.sheet} stroke={palette.green} strokeWidth={1.5} />
        <path d="M12 4l4 5h-8zM12 20l4-5h-8z" fill={palette.green} />
      </svg>
    </div>
  );
}
