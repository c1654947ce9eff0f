import { DndContext, KeyboardSensor, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import type { CSSProperties, ReactNode } from 'react';

/** Below this many pixels a press is a press and not a drag. */
const DRAGS_FROM = 4;

export interface DragAreaProps {
  onStart?: (id: string) => void;
  /** By how many pixels it was moved. */
  onEnd: (id: string, dx: number, dy: number) => void;
  children: ReactNode;
}

/** What lies in it and is draggable can be dragged, or chosen and moved with Space and the arrow keys. */
export function DragArea({ onStart, onEnd, children }: DragAreaProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAGS_FROM } }),
    useSensor(KeyboardSensor),
  );
  return (
    <DndContext
      autoScroll={false}
      sensors={sensors}
      onDragStart={({ active }) => onStart?.(String(active.id))}
      onDragEnd={({ active, delta }) => onEnd(String(active.id), delta.x, delta.y)}
    >
      {children}
    </DndContext>
  );
}

export interface DraggableProps {
  id: string;
  /** What a screen reader calls it. */
  label: string;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Cannot be moved, only pressed. */
  fixed?: boolean;
  /** Follows the hand only up and down. */
  upright?: boolean;
  /** A dashed frame while it is moved. */
  framed?: boolean;
  onPress?: () => void;
  children?: ReactNode;
}

/** A part of a drawing that can be taken hold of. */
export function Draggable({
  id,
  label,
  x,
  y,
  width,
  height,
  fixed = false,
  upright = false,
  framed = false,
  onPress,
  children,
}: DraggableProps) {
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id, disabled: fixed });
  const [dx, dy] = [upright ? 0 : (transform?.x ?? 0), transform?.y ?? 0];
  const style: CSSProperties = {
    position: 'absolute',
    left: x,
    top: y,
    width,
    height,
    transform: dx !== 0 || dy !== 0 ? `translate(${dx}px, ${dy}px)` : undefined,
    border: framed && isDragging ? '2px dashed currentColor' : 'none',
    boxSizing: 'border-box',
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    cursor: fixed ? 'default' : upright ? 'ns-resize' : 'grab',
    touchAction: 'none',
  };
  return (
    <div ref={setNodeRef} {...attributes} {...listeners} onClick={onPress} aria-label={label} style={style}>
      {children}
    </div>
  );
}
