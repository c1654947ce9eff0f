import {
  formatLength,
  formatMass,
  readingsAgree,
  readLength,
  readMass,
  type LengthUnit,
  type MeasureAnswer,
  type MeasureQuestion,
} from '@ours/core';
import { useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { Button } from '@/kit/press/Button';
import { problemWords } from '@/kit/text/problemWords';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Small, Strong, Text } from '@/kit/text/Text';
import { answerWords, questionWords } from './words';

interface Props {
  question: MeasureQuestion;
  where: string;
  progress: string;
  unit: LengthUnit;
  /** What is known comes from a pattern: nobody has measured it. */
  isGuess: boolean;
  onSave: (value: MeasureAnswer) => Promise<boolean>;
  onNext: () => void;
  onBack: (() => void) | null;
}

/** Reads what was typed for this question: a number in core's units, or one sentence. */
function read(question: MeasureQuestion, text: string, unit: LengthUnit): { value: number } | { problem: string } {
  const mayBeZero = question.answer === 'height' || question.key === 'first_hole';
  if (mayBeZero && /^0+([.,]0+)?( ?(cm|mm|in|"))?$/.test(text.trim())) return { value: 0 };
  const reading = question.answer === 'mass' ? readMass(text, unit) : readLength(text, unit);
  if (!reading.ok) return { problem: problemWords(reading.problem, unit) };
  return { value: 'grams' in reading ? reading.grams : reading.tenthMm };
}

/** One question with one large field. A second reading that differs from the first asks which one counts. */
export function QuestionCard({ question, where, progress, unit, isGuess, onSave, onNext, onBack }: Props) {
  const known = answerWords(question, unit);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const [second, setSecond] = useState<number | null>(null);
  const { ask } = questionWords(question);
  const write = (value: number): string =>
    value === 0 ? '0' : question.answer === 'mass' ? formatMass(value, unit) : formatLength(value, unit);
  const keep = async (value: MeasureAnswer): Promise<void> => {
    if (await onSave(value)) onNext();
  };
  const next = (): void => {
    if (text.trim() === '') return onNext();
    const reading = read(question, text, unit);
    if ('problem' in reading) return setProblem(reading.problem);
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
    <YStack
      gap={10}
      padding={14}
      borderRadius={14}
      borderWidth={1}
      borderColor="$color"
      backgroundColor="$background"
      testID="question"
    >
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
          value={text}
          placeholder={
            known === ''
              ? question.answer === 'mass'
                ? unit === 'metric'
                  ? 'kg'
                  : 'lb'
                : unit === 'metric'
                  ? 'cm'
                  : 'in'
              : known
          }
          onChangeText={(value) => {
            setText(value);
            setProblem(undefined);
          }}
          onSubmitEditing={next}
          problem={problem}
          hint={
            known === ''
              ? undefined
              : isGuess
                ? `From the pattern: ${known}. Empty keeps it.`
                : `Known: ${known}. Measure it twice; empty keeps it.`
          }
          submitBehavior="submit"
          returnKeyType="next"
          inputMode="text"
          autoCorrect={false}
          autoCapitalize="none"
        />
      )}
      {second === null ? (
        <XStack gap={8}>
          <Button label="Back" disabled={onBack === null} onPress={() => onBack?.()} />
          <Button
            grow
            kind="primary"
            label={text.trim() === '' ? (known === '' ? 'Skip' : 'Next') : 'Save, next'}
            onPress={next}
          />
        </XStack>
      ) : null}
    </YStack>
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
