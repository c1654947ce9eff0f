import { readFieldText, writeFieldText, type AnyField, type LengthUnit } from '@ours/core';
import { useState, type ReactNode } from 'react';
import { Controller, useForm, type Resolver } from 'react-hook-form';
import { XStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { Choices, type Choice } from './Choices';
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
}

type Values = Readonly<Record<string, unknown>>;
type Texts = Record<string, string>;

/**
 * Reads a whole form. A text that was not touched is the value it started from, exactly, whatever its text rounds it to.
 * @returns every value, or what is wrong by key
 */
export function readForm(
  fields: Readonly<Record<string, AnyField>>,
  inputs: Readonly<Record<string, Input>>,
  start: Values,
  texts: Texts,
  unit: LengthUnit,
): { values: Values; problems: null } | { values: null; problems: Texts } {
  const values: Record<string, unknown> = {};
  const problems: Texts = {};
  for (const key of Object.keys(inputs)) {
    const text = texts[key] ?? '';
    const field = fieldOf(fields, key);
    if (start[key] !== undefined && text === writeFieldText(field, start[key], unit)) {
      values[key] = start[key];
      continue;
    }
    const reading = readFieldText(field, text, unit);
    if (reading.ok) values[key] = reading.value;
    else problems[key] = text.trim() === '' ? (inputs[key]?.needed ?? reading.problem) : reading.problem;
  }
  return Object.keys(problems).length > 0 ? { values: null, problems } : { values, problems: null };
}

function fieldOf(fields: Readonly<Record<string, AnyField>>, key: string): AnyField {
  const field = fields[key];
  if (!field) throw new RangeError(`no field is called ${key}`);
  return field;
}

/**
 * A form in a dialog, driven by the specifications of a row's fields: it shows what is there, says what cannot be read
 * beside the field it stands in, goes to the first such field, and hands the values on when all is well.
 */
export function FormDialog<K extends string, R extends Record<K, unknown>>({
  title,
  fields,
  inputs,
  start,
  unit,
  check,
  save = 'Save',
  onSave,
  onClose,
  folded,
  middle,
  children,
}: {
  title: string;
  /** The specifications of the row's fields, at least of those that are asked for. */
  fields: Readonly<Record<string, AnyField>>;
  inputs: Readonly<Record<K, Input>>;
  /** The row as it is, or as a new one begins. */
  start: Partial<R>;
  unit: LengthUnit;
  /** What does not fit together though each figure can be read: a sentence by key. */
  check?: (values: R) => Partial<Record<K, string>>;
  save?: string;
  /** Gets what was typed, as the row keeps it. The dialog is closed before. */
  onSave: (values: Pick<R, K>) => void;
  onClose: () => void;
  /** Fields that few need: behind a button with this label. */
  folded?: { label: string; keys: readonly K[] };
  /** Between the fields and the buttons; gets a way to save with something more. */
  middle?: (submit: (more: (values: Pick<R, K>) => void) => void) => ReactNode;
  /** Below the buttons. */
  children?: ReactNode;
}) {
  const [unfolded, setUnfolded] = useState(false);
  const keys = Object.keys(inputs) as K[];
  const shown = unfolded || !folded ? keys : keys.filter((key) => !folded.keys.includes(key));
  const resolver: Resolver<Texts> = (texts) => {
    const { values, problems } = readForm(fields, inputs, start, texts, unit);
    const found: Partial<Record<string, string>> = problems ?? check?.(values as R) ?? {};
    const errors = Object.fromEntries(
      Object.entries(found).flatMap(([key, message]) => (message ? [[key, { type: 'read', message }]] : [])),
    );
    // What is wrong behind the button has to be seen.
    if (folded?.keys.some((key) => key in errors)) setUnfolded(true);
    return Object.keys(errors).length > 0 ? { values: {}, errors } : { values: texts, errors: {} };
  };
  const { control, handleSubmit } = useForm<Texts>({
    resolver,
    mode: 'onTouched',
    defaultValues: Object.fromEntries(keys.map((key) => [key, writeFieldText(fieldOf(fields, key), start[key], unit)])),
  });
  const submit = (then: (values: Pick<R, K>) => void): void =>
    void handleSubmit((texts) => {
      const { values } = readForm(fields, inputs, start, texts, unit);
      if (values === null) return;
      onClose();
      then(values as Pick<R, K>);
    })();
  const draw = (key: K): ReactNode => (
    <Controller
      key={key}
      control={control}
      name={key as never}
      render={({ field, fieldState }) => (
        <OneInput
          {...field}
          input={inputs[key]}
          spec={fieldOf(fields, key)}
          unit={unit}
          problem={fieldState.error?.message}
          onSubmit={() => submit(onSave)}
        />
      )}
    />
  );
  return (
    <Dialog title={title} open onClose={onClose}>
      {sideBySide(shown, inputs).map((row) =>
        row.length === 1 ? (
          draw(row[0]!)
        ) : (
          <XStack key={row.join()} gap={8} flexWrap="wrap">
            {row.map(draw)}
          </XStack>
        ),
      )}
      {folded && !unfolded ? <Button kind="quiet" label={folded.label} onPress={() => setUnfolded(true)} /> : null}
      {middle?.(submit)}
      <XStack gap={8}>
        <Button grow kind="primary" label={save} onPress={() => submit(onSave)} />
        <Button grow label="Cancel" onPress={onClose} />
      </XStack>
      {children}
    </Dialog>
  );
}

/** Narrow inputs that follow each other share a row. */
function sideBySide<K extends string>(keys: readonly K[], inputs: Readonly<Record<K, Input>>): K[][] {
  const rows: K[][] = [];
  for (const key of keys) {
    const last = rows.at(-1);
    if (inputs[key].narrow && last && inputs[last[0]!].narrow) last.push(key);
    else rows.push([key]);
  }
  return rows;
}

function OneInput({
  input,
  spec,
  unit,
  value,
  onChange,
  onBlur,
  ref,
  problem,
  onSubmit,
}: {
  input: Input;
  spec: AnyField;
  unit: LengthUnit;
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
      placeholder={input.placeholder ?? placeholderOf(spec, unit)}
      multiline={input.lines ?? false}
      {...(input.lines ? {} : { onSubmitEditing: onSubmit, submitBehavior: 'submit' as const })}
      {...(input.narrow ? { width: 110 } : {})}
      {...(spec.kind === 'text' ? { maxLength: spec.most } : {})}
      {...(spec.kind === 'list' ? { autoCapitalize: 'none' as const } : {})}
      inputMode={spec.kind === 'whole' ? 'numeric' : 'text'}
    />
  );
}

/** The unit a bare figure is taken in. */
export function placeholderOf(spec: AnyField, unit: LengthUnit): string {
  if (spec.kind === 'length') return unit === 'metric' ? 'cm' : 'in';
  if (spec.kind === 'mass') return unit === 'metric' ? 'kg' : 'lb';
  return spec.kind === 'volume' ? 'l' : '';
}
