import type { BuildObstacle, LengthUnit } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { Problem } from '@/kit/feedback/Problem';
import { Choices } from '@/kit/form/Choices';
import { useFigures } from '@/kit/form/useFigures';
import { Dialog } from '@/kit/layout/Dialog';
import { IN_SPACE_FIGURES, IN_THE_CORNER } from './lengthFigures';

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
  const { inputs, values, problem } = useFigures(IN_SPACE_FIGURES, unit, IN_THE_CORNER);
  const [asked, setAsked] = useState(false);
  const add = (): void => {
    setAsked(true);
    if (!values) return;
    onAdd({ kind, ...values });
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
      <XStack gap={8} flexWrap="wrap">
        {inputs}
      </XStack>
      <Problem text={asked ? problem : null} />
      <XStack gap={8}>
        <Button grow kind="primary" label="Add" onPress={add} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
