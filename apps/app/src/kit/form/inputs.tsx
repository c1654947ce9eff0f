import type { AnyField, LengthUnit } from '@ours/core';
import type { TextInputProps } from 'react-native';
import { Choices } from './Choices';
import type { Choice } from './choice';
import { Field } from './Field';

/** How a field of a row is asked for; what it accepts follows from its specification. */
export interface Input {
  label: string;
  hint?: string;
  placeholder?: string;
  /** Said when nothing stands where something must. */
  needed?: string;
  /** For a choice, a reference or yes/no: what there is to choose from, by value (`yes` and `no`). */
  choices?: readonly Choice<string>[];
  hideLabel?: boolean;
  /** Figures stand side by side. */
  narrow?: boolean;
  lines?: boolean;
  /** How the browser helps: what keyboard it shows, what it may fill in. */
  native?: Pick<TextInputProps, 'autoCapitalize' | 'autoComplete' | 'inputMode' | 'maxLength' | 'secureTextEntry'>;
}

/** The same for each key. */
export function mapped<K extends string, A, B>(of: Readonly<Record<K, A>>, to: (value: A, key: K) => B): Record<K, B> {
  return Object.fromEntries((Object.keys(of) as K[]).map((key) => [key, to(of[key], key)])) as Record<K, B>;
}

/** What follows from a field's specification for how it is typed. */
export function inputOf(input: Input, spec: AnyField, unit: LengthUnit): Input {
  return {
    ...input,
    placeholder: input.placeholder ?? placeholderOf(spec, unit),
    native: {
      inputMode: spec.kind === 'whole' ? 'numeric' : 'text',
      ...(spec.kind === 'text' ? { maxLength: spec.most } : {}),
      ...(spec.kind === 'list' ? { autoCapitalize: 'none' as const } : {}),
      ...input.native,
    },
  };
}

/** One input of a form: choices, or a field that says what is wrong with what stands in it. */
export function OneInput({
  input,
  value,
  onChange,
  onBlur,
  ref,
  problem,
  onSubmit,
}: {
  input: Input;
  value: string;
  onChange: (text: string) => void;
  onBlur: () => void;
  ref: (node: never) => void;
  problem: string | undefined;
  onSubmit: () => void;
}) {
  if (input.choices)
    return (
      <Choices
        label={input.label}
        wrap
        {...(input.hideLabel === undefined ? {} : { hideLabel: input.hideLabel })}
        choices={input.choices}
        value={value}
        onChange={onChange}
      />
    );
  return (
    <Field
      ref={ref as never}
      label={input.label}
      value={value}
      onChangeText={onChange}
      onBlur={onBlur}
      problem={problem}
      hint={input.hint}
      placeholder={input.placeholder}
      multiline={input.lines ?? false}
      {...(input.lines ? {} : { onSubmitEditing: onSubmit, submitBehavior: 'submit' as const })}
      {...(input.narrow ? { width: 110 } : {})}
      {...input.native}
    />
  );
}

/** The unit a bare figure is taken in. */
export function placeholderOf(spec: AnyField, unit: LengthUnit): string {
  if (spec.kind === 'length') return unit === 'metric' ? 'cm' : 'in';
  if (spec.kind === 'mass') return unit === 'metric' ? 'kg' : 'lb';
  return spec.kind === 'volume' ? 'l' : '';
}
