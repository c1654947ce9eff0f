import { readLength, type BuildObstacle, type LengthUnit } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Button } from '@/ui/Button';
import { Choices } from '@/ui/Choices';
import { Dialog } from '@/ui/Dialog';
import { Field } from '@/ui/Field';
import { Small } from '@/ui/Words';

const KEYS = [
  ['widthTenthMm', 'Wide'],
  ['depthTenthMm', 'Deep'],
  ['heightTenthMm', 'High'],
  ['leftTenthMm', 'From the left'],
  ['frontTenthMm', 'From the front'],
  ['bottomTenthMm', 'From the foot'],
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
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const add = (): void => {
    const obstacle = { kind } as BuildObstacle;
    for (const [key, label] of KEYS) {
      const text = texts[key]?.trim() ?? '';
      const place = key === 'leftTenthMm' || key === 'frontTenthMm' || key === 'bottomTenthMm';
      if (place && (text === '' || text === '0')) {
        obstacle[key] = 0;
        continue;
      }
      const reading = readLength(text, unit);
      if (!reading.ok)
        return setProblem(`${label}: ${text === '' ? 'a length is needed, for example 10 cm.' : reading.problem}`);
      obstacle[key] = reading.tenthMm;
    }
    onAdd(obstacle);
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
        {KEYS.map(([key, label]) => (
          <Field
            key={key}
            width={110}
            label={label}
            value={texts[key] ?? ''}
            placeholder={unit === 'metric' ? 'cm' : 'in'}
            onChangeText={(text) => setTexts((now) => ({ ...now, [key]: text }))}
          />
        ))}
      </XStack>
      {problem ? (
        <Small color="$late" role="alert">
          {problem}
        </Small>
      ) : null}
      <XStack gap={8}>
        <Button grow kind="primary" label="Add" onPress={add} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
    </Dialog>
  );
}
