import { floorBox, type Compartment } from '@ours/core';
import { Suspense } from 'react';
import { YStack } from 'tamagui';
import { DragArea, Draggable } from '@/kit/drag';
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
  const { scale, left, top } = floorScale(room, width, maxHeight, true);
  const floor = (
    <FloorView room={room} bins={bins} width={width} maxHeight={maxHeight} unit={unit} selectedKey={selectedKey} />
  );
  return (
    <Suspense fallback={floor}>
      <DragArea onStart={onSelect} onEnd={(key, dx, dy) => onDrag(key, dx / scale, -dy / scale)}>
        <YStack position="relative" testID="floor-board">
          {floor}
          {topmost(bins).map((bin) => {
            const box = floorBox(bin.body);
            return (
              <Draggable
                key={bin.key}
                id={bin.key}
                label={`${bin.tag}${bin.name ? `, ${bin.name}` : ''}${bin.locked ? ', locked' : ''}`}
                x={left + box.x * scale}
                y={top + (room.depth - box.y - box.depth) * scale}
                width={box.width * scale}
                height={box.depth * scale}
                fixed={bin.locked ?? false}
                framed
                onPress={() => onSelect(bin.key)}
              />
            );
          })}
        </YStack>
      </DragArea>
    </Suspense>
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
