import { readFieldText, type AnyField, type LengthUnit } from '@ours/core';
import { useState } from 'react';
import { problemWords } from '@/kit/text/problemWords';
import { Field } from './Field';
import { placeholderOf } from './inputs';

export interface Figure {
  label: string;
  field: AnyField;
}

/**
 * Some figures that are read while they are typed: each as a field, and what all of them say.
 * @param start the texts they begin with; missing ones are empty
 * @returns `values` once every figure can be read, else `problem`, the sentence about the first that cannot
 */
export function useFigures<K extends string>(
  figures: Readonly<Record<K, Figure>>,
  unit: LengthUnit,
  start: Partial<Record<K, string>> = {},
) {
  const [texts, setTexts] = useState<Partial<Record<K, string>>>(start);
  const keys = Object.keys(figures) as K[];
  const values = {} as Record<K, number>;
  let problem: string | null = null;
  for (const key of keys) {
    const reading = readFieldText(figures[key].field, texts[key] ?? '', unit);
    if (reading.ok) values[key] = reading.value as number;
    else problem ??= `${figures[key].label}: ${problemWords(reading.problem, unit)}`;
  }
  const inputs = keys.map((key) => (
    <Field
      key={key}
      width={108}
      label={figures[key].label}
      value={texts[key] ?? ''}
      placeholder={placeholderOf(figures[key].field, unit)}
      onChangeText={(text) => setTexts((now) => ({ ...now, [key]: text }))}
    />
  ));
  return problem === null ? { inputs, values, problem } : { inputs, values: null, problem };
}
