import { readFieldText, writeFieldText, type AnyField, type LengthUnit } from '@ours/core';
import { useState } from 'react';
import { problemWords } from '@/kit/text/problemWords';
import { placeholderOf } from './inputs';

/** What stands in a figure's field: nothing, a figure as a row keeps it, or what cannot be read, with a sentence. */
export type FigureReading =
  { kind: 'empty' } | { kind: 'figure'; value: number } | { kind: 'unreadable'; problem: string };

/** Reads a figure; a text that shows `start` is `start` exactly, whatever it is rounded to. */
export function readFigure(
  field: AnyField,
  text: string,
  unit: LengthUnit,
  start: number | null = null,
  currency: string | null = null,
): FigureReading {
  if (text.trim() === '') return { kind: 'empty' };
  if (start !== null && text === writeFieldText(field, start, unit)) return { kind: 'figure', value: start };
  const reading = readFieldText(field, text, unit, currency);
  return reading.ok
    ? { kind: 'figure', value: reading.value as number }
    : { kind: 'unreadable', problem: problemWords(reading.problem, unit) };
}

/**
 * One figure that is read while it is typed: a length, weight, volume, price, quantity or number, by its field's specification.
 * Nothing typed, zero and a figure are told apart.
 */
export function useFigure(
  field: AnyField,
  unit: LengthUnit,
  start: number | null = null,
  currency: string | null = null,
) {
  const [text, setText] = useState(() => writeFieldText(field, start, unit));
  const reading = readFigure(field, text, unit, start, currency);
  const write = (next: string): FigureReading => {
    setText(next);
    return readFigure(field, next, unit, start, currency);
  };
  return {
    text,
    reading,
    /** Null when nothing is typed, or nothing that can be read. */
    value: reading.kind === 'figure' ? reading.value : null,
    problem: reading.kind === 'unreadable' ? reading.problem : undefined,
    /** Takes what was typed, and answers what it says. */
    write,
    /** Shows another figure. */
    show: (value: number | null): void => setText(writeFieldText(field, value, unit)),
    /** For `Field`. */
    input: { value: text, onChangeText: (next: string) => void write(next), placeholder: placeholderOf(field, unit) },
  };
}
