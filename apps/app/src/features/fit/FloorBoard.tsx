import { DndContext, KeyboardSensor, PointerSensor, useDraggable, useSensor, useSensors } from '@dnd-kit/core';
import { floorBox, type Compartment } from '@ours/core';
import { YStack } from 'tamagui';
import { FloorView, floorScale, type FloorBin } from './FloorView';

interface Props {
  room: Compartment;
  bins: readonly FloorBin[];
  width: number;
  maxHeight: number;
  unit: 'metric' | 'inch';
  selectedKey: string | null;
  onSelect: (key: string) => void;
  /** By how much it was dragged, tenths of a millimetre. */
  onDrag: (key: string, dx: number, dy: number) => void;
}

/** A floor whose bins can be taken hold of: dragged, or chosen and moved with Space and the arrow keys. */
export function FloorBoard({ room, bins, width, maxHeight, unit, selectedKey, onSelect, onDrag }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor),
  );
  const { scale, left, top } = floorScale(room, width, maxHeight, true);
  return (
    <DndContext
      autoScroll={false}
      sensors={sensors}
      onDragStart={({ active }) => onSelect(String(active.id))}
      onDragEnd={({ active, delta }) => onDrag(String(active.id), delta.x / scale, -delta.y / scale)}
    >
      <YStack position="relative" testID="floor-board">
        <FloorView room={room} bins={bins} width={width} maxHeight={maxHeight} unit={unit} selectedKey={selectedKey} />
        {topmost(bins).map((bin) => {
          const box = floorBox(bin.body);
          return (
            <Handle
              key={bin.key}
              bin={bin}
              x={left + box.x * scale}
              y={top + (room.depth - box.y - box.depth) * scale}
              width={box.width * scale}
              height={box.depth * scale}
              onSelect={() => onSelect(bin.key)}
            />
          );
        })}
      </YStack>
    </DndContext>
  );
}

function Handle({
  bin,
  x,
  y,
  width,
  height,
  onSelect,
}: {
  bin: FloorBin;
  x: number;
  y: number;
  width: number;
  height: number;
  onSelect: () => void;
}) {
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({
    id: bin.key,
    disabled: bin.locked ?? false,
  });
  return (
    <div
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      onClick={onSelect}
      aria-label={`${bin.tag}${bin.name ? `, ${bin.name}` : ''}${bin.locked ? ', locked' : ''}`}
      style={{
        position: 'absolute',
        left: x,
        top: y,
        width,
        height,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        border: isDragging ? '2px dashed currentColor' : 'none',
        boxSizing: 'border-box',
        cursor: bin.locked ? 'default' : 'grab',
        touchAction: 'none',
      }}
    />
  );
}

/** Of each stack the one on top: what the hand gets hold of. */
const topmost = (bins: readonly FloorBin[]): FloorBin[] =>
  bins.filter(
    ({ body }) =>
      !bins.some(
        (other) =>
          other.body.z > body.z && Math.abs(other.body.cx - body.cx) < 2 && Math.abs(other.body.cy - body.cy) < 2,
      ),
  );
