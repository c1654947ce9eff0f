import type { BuildObstacle, LengthUnit } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Dialog } from '@/kit/layout/Dialog';
import { useLengthFields } from './useLengthFields';

const KEYS = [
  { key: 'widthTenthMm', label: 'Wide' },
  { key: 'depthTenthMm', label: 'Deep' },
  { key: 'heightTenthMm', label: 'High' },
  { key: 'leftTenthMm', label: 'From the left', mayBeZero: true },
  { key: 'frontTenthMm', label: 'From the front', mayBeZero: true },
  { key: 'bottomTenthMm', label: 'From the foot', mayBeZero: true },
] as const;

/** Something that stands in the way in a space: how large, and where. */
export function ObstacleDialog({
  unit,
  onAdd,
  onClose,
}: {
  unit: LengthUnit;
  onAdd: (obstacle: BuildObstacle) => void;
  onClose: () => void;
}) {
  const [kind, setKind] = useState<BuildObstacle['kind']>('pipe');
  const { fields, read } = useLengthFields(KEYS, unit);
  const add = (): void => {
    const lengths = read();
    if (!lengths) return;
    onAdd({ kind, ...lengths });
    onClose();
  };
  return (
    <Dialog title="What is in the way" open onClose={onClose}>
      <Choices
        label="What is it?"
        hideLabel
        choices={[
          { value: 'pipe', label: 'Pipe' },
          { value: 'hump', label: 'Hump' },
          { value: 'hinge', label: 'Hinge' },
        ]}
        value={kind}
        onChange={setKind}
      />
      {fields}
      <XStack gap={8}>
        <Button grow kind="primary" label="Add" onPress={add} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
