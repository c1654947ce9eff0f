import {
  DndContext,
  KeyboardCode,
  KeyboardSensor,
  MouseSensor,
  PointerSensor,
  TouchSensor,
  pointerWithin,
  rectIntersection,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type CollisionDetection,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { createContext, useContext, type CSSProperties, type KeyboardEvent, type ReactNode } from 'react';
import { ARROWS, middleOf, nearestThatWay } from '@/kit/press/nearest';

/** Below this many pixels a press is a press and not a drag. */
const DRAGS_FROM = 4;
/** On a page that scrolls a finger has to rest so long (ms) before it drags. */
const REST_MS = 250;
const REST_WITHIN = 6;
/** Space takes hold, so that Enter presses. */
const CODES = {
  start: [KeyboardCode.Space],
  cancel: [KeyboardCode.Esc],
  end: [KeyboardCode.Space, KeyboardCode.Enter],
};
/** Within an area that scrolls: a finger scrolls it until it rests. */
const ScrollsContext = createContext(false);

/** An arrow goes to the nearest place that way. */
const toNextPlace: KeyboardCoordinateGetter = (event, { currentCoordinates, context }) => {
  const way = ARROWS[event.code];
  const { collisionRect, droppableRects } = context;
  if (!way || !collisionRect) return undefined;
  event.preventDefault();
  const places = [...droppableRects.values()];
  const at = nearestThatWay(collisionRect, places, way);
  if (at === null) return undefined;
  const [fromX, fromY] = middleOf(collisionRect);
  const [toX, toY] = middleOf(places[at]!);
  return { x: currentCoordinates.x + toX - fromX, y: currentCoordinates.y + toY - fromY };
};

export interface DragAreaProps {
  onStart?: (id: string) => void;
  /** By how many pixels it was moved. */
  onEnd?: (id: string, dx: number, dy: number) => void;
  /** Onto which `DropPlace` it was let go; null: onto none. */
  onDrop?: (id: string, placeId: string | null) => void;
  /** The page follows when it is dragged to its edge. */
  scrolls?: boolean;
  children: ReactNode;
}

/** Where the pointer is; by keyboard, where most of it lies. */
const under: CollisionDetection = (of) => {
  const pointed = pointerWithin(of);
  return pointed.length > 0 ? pointed : rectIntersection(of);
};

/** What lies in it and is draggable can be dragged, or chosen and moved with Space and the arrow keys. */
export function DragArea({ onStart, onEnd, onDrop, scrolls = false, children }: DragAreaProps) {
  const pointer = useSensor(PointerSensor, { activationConstraint: { distance: DRAGS_FROM } });
  const mouse = useSensor(MouseSensor, { activationConstraint: { distance: DRAGS_FROM } });
  const finger = useSensor(TouchSensor, { activationConstraint: { delay: REST_MS, tolerance: REST_WITHIN } });
  const keys = useSensor(KeyboardSensor, {
    keyboardCodes: CODES,
    ...(scrolls ? { coordinateGetter: toNextPlace } : {}),
  });
  const sensors = useSensors(...(scrolls ? [mouse, finger, keys] : [pointer, keys]));
  return (
    <DndContext
      autoScroll={scrolls}
      collisionDetection={under}
      sensors={sensors}
      onDragStart={({ active }) => onStart?.(String(active.id))}
      onDragEnd={({ active, delta, over }) => {
        onEnd?.(String(active.id), delta.x, delta.y);
        onDrop?.(String(active.id), over === null ? null : String(over.id));
      }}
    >
      <ScrollsContext.Provider value={scrolls}>{children}</ScrollsContext.Provider>
    </DndContext>
  );
}

/** A part of a drawing onto which things can be let go; framed while one is over it. */
export function DropPlace({ id, x, y, width, height }: Omit<DraggableProps, 'label'>) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div
      ref={setNodeRef}
      data-place={id}
      style={{
        position: 'absolute',
        left: x,
        top: y,
        width,
        height,
        boxSizing: 'border-box',
        border: isOver ? '3px solid currentColor' : 'none',
        pointerEvents: 'none',
      }}
    />
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
  /** Shown in it only while it is moved. */
  moved?: ReactNode;
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
  moved,
  onPress,
  children,
}: DraggableProps) {
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id, disabled: fixed });
  const scrolls = useContext(ScrollsContext);
  const press = (event: KeyboardEvent): void => {
    if (event.key === 'Enter' && !isDragging && onPress) {
      event.preventDefault();
      onPress();
    } else listeners?.onKeyDown?.(event);
  };
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
    touchAction: scrolls ? 'manipulation' : 'none',
    zIndex: isDragging ? 50 : undefined,
  };
  return (
    <div
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      onKeyDown={press}
      onClick={onPress}
      aria-label={label}
      style={style}
    >
      {isDragging ? moved : null}
      {children}
    </div>
  );
}
