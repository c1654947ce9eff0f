import { readHeights, type LengthUnit } from '@ours/core';
import { useState } from 'react';
import { useMedia, XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { FigurePad } from '@/kit/form/FigurePad';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { Small, Strong } from '@/kit/text/Text';
import { heightsExample, heightsProblem } from './words';

/** The heights of all surfaces as one list: the tape is hooked once. */
export function HeightsCard({
  count,
  topTenthMm,
  progress,
  unit,
  onSave,
  onBack,
  onSingly,
}: {
  count: number;
  /** Of the space; null: not known. */
  topTenthMm: number | null;
  progress: string;
  unit: LengthUnit;
  onSave: (heights: number[]) => void;
  onBack: (() => void) | null;
  /** Asks shelf by shelf. */
  onSingly: () => void;
}) {
  const { gtMd } = useMedia();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | undefined>();
  const save = (): void => {
    const read = readHeights(text, unit, count, topTenthMm);
    if (read.kind === 'read') onSave(read.heights);
    else setProblem(heightsProblem(read));
  };
  return (
    <Card gap={10} padding={14} testID="question" strong>
      <XStack justifyContent="space-between" gap={8}>
        <Strong flex={1}>All shelves</Strong>
        <Small>{progress}</Small>
      </XStack>
      <Field
        label={`Heights of the ${count} surfaces above the foot, lowest first`}
        large
        value={text}
        onChangeText={(value) => {
          setText(value);
          setProblem(undefined);
        }}
        onSubmitEditing={save}
        placeholder={heightsExample(count, unit)}
        problem={problem}
        hint="Hook the tape at the foot once and read the top of each shelf on the way up."
        submitBehavior="submit"
        returnKeyType="next"
        inputMode={gtMd ? 'text' : 'none'}
        autoCorrect={false}
        autoCapitalize="none"
      />
      {gtMd ? null : (
        <FigurePad
          text={text}
          onText={(value) => {
            setText(value);
            setProblem(undefined);
          }}
          kind="length"
          unit={unit}
          list
        />
      )}
      <XStack gap={8} flexWrap="wrap">
        <Button label="Back" disabled={onBack === null} onPress={() => onBack?.()} />
        <Button label="One by one" onPress={onSingly} />
        <Button grow kind="primary" label="Save, next" onPress={save} />
      </XStack>
    </Card>
  );
}
