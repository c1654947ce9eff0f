import {
  lengthField,
  readingsAgree,
  someMass,
  writeFieldText,
  type AnyField,
  type LengthUnit,
  type MeasureAnswer,
  type MeasureQuestion,
} from '@ours/core';
import { useRef, useState } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { Card } from '@/kit/layout/Card';
import { Button } from '@/kit/press/Button';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { FigurePad } from '@/kit/form/FigurePad';
import { useFigure } from '@/kit/form/useFigure';
import { Small, Strong, Text } from '@/kit/text/Text';
import { answerWords, knownWords, questionWords, tapeWords } from './words';

interface Props {
  question: MeasureQuestion;
  where: string;
  progress: string;
  unit: LengthUnit;
  /** What is known comes from a pattern: nobody has measured it. */
  isGuess: boolean;
  onSave: (value: MeasureAnswer) => Promise<boolean>;
  onNext: () => void;
  /** Left open for now, and remembered as such. */
  onUnreached: () => void;
  onBack: (() => void) | null;
  /** What the shelf above has, for one key. */
  same?: { name: string; tenthMm: number } | null;
}

/** What a question's figure may be: a load over nothing; a height or the first hole may lie at the foot, at 0. */
function fieldOf({ answer, key }: MeasureQuestion): AnyField {
  if (answer === 'mass') return someMass;
  return lengthField(answer === 'height' || key === 'first_hole' ? 0 : 1);
}

/** One question with one large field. A second reading that differs from the first asks which one counts. */
export function QuestionCard({
  question,
  where,
  progress,
  unit,
  isGuess,
  onSave,
  onNext,
  onUnreached,
  onBack,
  same = null,
}: Props) {
  const { gtMd } = useMedia();
  const known = answerWords(question, unit);
  const field = fieldOf(question);
  const { text, reading, input } = useFigure(field, unit);
  // What cannot be read is said once it is sent: half a figure is no mistake.
  const [sent, setSent] = useState(false);
  const [second, setSecond] = useState<number | null>(null);
  const { ask } = questionWords(question);
  const isFigure = question.answer === 'length' || question.answer === 'height' || question.answer === 'mass';
  const write = (value: number): string => writeFieldText(field, value, unit);
  // What is typed while an answer is being kept is meant for the next question, and must not become this one's.
  const keeping = useRef(false);
  const keep = async (value: MeasureAnswer): Promise<void> => {
    if (keeping.current) return;
    keeping.current = true;
    const kept = await onSave(value);
    keeping.current = false;
    if (kept) onNext();
  };
  const next = (): void => {
    if (reading.kind === 'empty') return onNext();
    if (reading.kind === 'unreadable') return setSent(true);
    if (
      typeof question.value === 'number' &&
      !isGuess &&
      question.answer !== 'mass' &&
      !readingsAgree(question.value, reading.value)
    )
      return setSecond(reading.value);
    void keep(reading.value);
  };
  return (
    <Card gap={10} padding={14} testID="question" strong>
      <XStack justifyContent="space-between" gap={8}>
        <Strong flex={1}>{where}</Strong>
        <Small>{progress}</Small>
      </XStack>
      {second !== null && typeof question.value === 'number' ? (
        <YStack gap={8} role="alert">
          <Text>
            Two readings: {write(question.value)} before, {write(second)} now. Which one counts?
          </Text>
          <XStack gap={8}>
            <Button grow kind="primary" label={write(second)} onPress={() => void keep(second)} />
            <Button grow label={write(question.value)} onPress={onNext} />
          </XStack>
          <Button kind="quiet" label="Measure once more" onPress={() => setSecond(null)} />
        </YStack>
      ) : question.answer === 'hinge' || question.answer === 'yes_no' || question.answer === 'surface' ? (
        <YStack gap={8}>
          <Text>{ask}</Text>
          <Choices
            label={ask}
            hideLabel
            wrap
            choices={OPTIONS[question.answer]}
            value={question.value === null ? null : String(question.value)}
            onChange={(value) => void keep(question.answer === 'yes_no' ? value === 'true' : value)}
          />
        </YStack>
      ) : (
        <Field
          label={ask}
          large
          {...input}
          placeholder={known === '' ? input.placeholder : known}
          onChangeText={(value) => {
            input.onChangeText(value);
            setSent(false);
          }}
          onSubmitEditing={next}
          problem={sent && reading.kind === 'unreadable' ? reading.problem : undefined}
          hint={
            [tapeWords(question), known === '' ? '' : knownWords(known, isGuess)].filter(Boolean).join(' ') || undefined
          }
          submitBehavior="submit"
          returnKeyType="next"
          // On the phone the keys below write; the phone's own keyboard would cover the drawing.
          inputMode={gtMd ? 'text' : 'none'}
          autoCorrect={false}
          autoCapitalize="none"
        />
      )}
      {second === null && !gtMd && isFigure ? (
        <FigurePad
          text={text}
          onText={(value) => {
            input.onChangeText(value);
            setSent(false);
          }}
          kind={question.answer === 'mass' ? 'mass' : 'length'}
          unit={unit}
        />
      ) : null}
      {second === null && same ? (
        <Button label={`As ${same.name}, ${write(same.tenthMm)}`} onPress={() => void keep(same.tenthMm)} />
      ) : null}
      {second === null ? (
        <XStack gap={8}>
          <Button label="Back" disabled={onBack === null} onPress={() => onBack?.()} />
          {known === '' && text.trim() === '' ? <Button label="Can’t reach it" onPress={onUnreached} /> : null}
          <Button
            grow
            kind="primary"
            label={text.trim() === '' ? (known === '' ? 'Skip' : 'Next') : 'Save, next'}
            onPress={next}
          />
        </XStack>
      ) : null}
    </Card>
  );
}

const OPTIONS = {
  hinge: [
    { value: 'left', label: 'Left' },
    { value: 'right', label: 'Right' },
    { value: 'none', label: 'No door' },
  ],
  yes_no: [
    { value: 'true', label: 'Yes' },
    { value: 'false', label: 'No, fixed' },
  ],
  surface: [
    { value: 'solid', label: 'Solid' },
    { value: 'wire', label: 'Wire: line it' },
  ],
};
