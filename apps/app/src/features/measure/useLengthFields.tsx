import { readLength, type LengthUnit } from '@ours/core';
import { useState } from 'react';
import { XStack } from 'tamagui';
import { Field } from '@/kit/form/Field';
import { Small } from '@/kit/text/Text';

export interface LengthKey<K extends string> {
  key: K;
  label: string;
  /** A distance from somewhere: empty or 0 is at that place itself. */
  mayBeZero?: boolean;
}

/** Some tape readings side by side, and what they say: every length, or one sentence about the first that cannot be read. */
export function useLengthFields<K extends string>(keys: readonly LengthKey<K>[], unit: LengthUnit) {
  const [texts, setTexts] = useState<Partial<Record<K, string>>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const read = (): Record<K, number> | null => {
    const lengths = {} as Record<K, number>;
    for (const { key, label, mayBeZero } of keys) {
      const text = texts[key]?.trim() ?? '';
      if (mayBeZero && (text === '' || text === '0')) {
        lengths[key] = 0;
        continue;
      }
      const reading = readLength(text, unit);
      if (!reading.ok) {
        setProblem(`${label}: ${text === '' ? 'a length is needed, for example 30 cm.' : reading.problem}`);
        return null;
      }
      lengths[key] = reading.tenthMm;
    }
    return lengths;
  };
  const fields = (
    <>
      <XStack gap={8} flexWrap="wrap">
        {keys.map(({ key, label }) => (
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
    </>
  );
  return { fields, read };
}
