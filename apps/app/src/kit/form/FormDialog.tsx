import { readFieldText, writeFieldText, type AnyField, type LengthUnit } from '@ours/core';
import { useState, type ReactNode } from 'react';
import { XStack } from 'tamagui';
import { Dialog } from '@/kit/layout/Dialog';
import { Button } from '@/kit/press/Button';
import { problemWords } from '@/kit/text/problemWords';
import { Form } from './Form';
import { inputOf, mapped, type Input } from './inputs';

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
  currency: string | null = null,
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
    const reading = readFieldText(field, text, unit, currency);
    if (reading.ok) values[key] = reading.value;
    else problems[key] = (text.trim() === '' ? inputs[key]?.needed : undefined) ?? problemWords(reading.problem, unit);
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
  currency = null,
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
  /** What prices are in; null: there are none to read. */
  currency?: string | null;
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
  const wrong = (texts: Texts): Partial<Record<K, string>> => {
    const { values, problems } = readForm(fields, inputs, start, texts, unit, currency);
    const found: Partial<Record<string, string>> = problems ?? check?.(values as R) ?? {};
    // What is wrong behind the button has to be seen.
    if (folded?.keys.some((key) => found[key])) setUnfolded(true);
    return found as Partial<Record<K, string>>;
  };
  const done = (texts: Texts, then: (values: Pick<R, K>) => void): void => {
    const { values } = readForm(fields, inputs, start, texts, unit, currency);
    if (values === null) return;
    onClose();
    then(values as Pick<R, K>);
  };
  return (
    <Dialog title={title} open onClose={onClose}>
      <Form
        inputs={mapped(inputs, (input, key) => inputOf(input, fieldOf(fields, key), unit))}
        start={mapped(inputs, (_, key) => writeFieldText(fieldOf(fields, key), start[key], unit))}
        check={wrong}
        onSubmit={(texts) => done(texts, onSave)}
      >
        {({ draw, submit }) => (
          <>
            {sideBySide(shown, inputs).map((row) =>
              row.length === 1 ? (
                draw(row[0]!)
              ) : (
                <XStack key={row.join()} gap={8} flexWrap="wrap">
                  {row.map(draw)}
                </XStack>
              ),
            )}
            {folded && !unfolded ? (
              <Button kind="quiet" label={folded.label} onPress={() => setUnfolded(true)} />
            ) : null}
            {middle?.((more) => submit((texts) => done(texts, more)))}
            <XStack gap={8}>
              <Button grow kind="primary" label={save} onPress={() => submit()} />
              <Button grow label="Cancel" onPress={onClose} />
            </XStack>
          </>
        )}
      </Form>
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
