import { lengthField, moneyField, orNull, quantityField, someMass, type AnyField, type LengthUnit } from '@ours/core';
import { fireEvent, screen } from '@testing-library/react';
import { renderWith } from '@/kit/renderWith.test-support';
import { Field } from './Field';
import { readFigure, useFigure } from './useFigure';

describe('reading one figure', () => {
  it.each<[string, AnyField, string, LengthUnit, object]>([
    ['nothing', lengthField(), ' ', 'metric', { kind: 'empty' }],
    ['a length in the home’s unit', lengthField(), '12', 'inch', { kind: 'figure', value: 3048 }],
    ['zero where it may be', lengthField(0), '0', 'metric', { kind: 'figure', value: 0 }],
    ['zero where it may not', lengthField(), '0', 'metric', { kind: 'unreadable' }],
    [
      'no weight',
      someMass,
      '0 kg',
      'metric',
      { kind: 'unreadable', problem: '“0 kg” is nothing; a weight is more than 0.' },
    ],
    ['money', orNull(moneyField), '59,90', 'metric', { kind: 'figure', value: 5990 }],
    [
      'an amount that is none',
      quantityField(),
      'a few',
      'metric',
      { kind: 'unreadable', problem: '“a few” is not an amount; write for example 2 or 0.5.' },
    ],
  ])('%s', (_, field, text, unit, reading) => expect(readFigure(field, text, unit)).toMatchObject(reading));

  it('what was not touched is exactly what it was, though its text is rounded', () => {
    // 314.3 mm is shown as 31.4 cm.
    expect(readFigure(lengthField(), '31.4 cm', 'metric', 3143)).toEqual({ kind: 'figure', value: 3143 });
    expect(readFigure(lengthField(), '31.4 cm', 'metric')).toEqual({ kind: 'figure', value: 3140 });
  });
});

let figure: ReturnType<typeof useFigure>;
function Probe({ start }: { start: number | null }) {
  figure = useFigure(quantityField(), 'metric', start);
  return <Field {...figure.input} label="How many" problem={figure.problem} />;
}

describe('a figure while it is typed', () => {
  it('starts with what is known, says what cannot be read, and shows another one when told', () => {
    const { rerender } = renderWith(<Probe start={2500} />);
    expect(figure).toMatchObject({ text: '2.5', value: 2500, problem: undefined });
    fireEvent.change(screen.getByLabelText('How many'), { target: { value: '2.5.' } });
    expect(figure.value).toBeNull();
    expect(screen.getByRole('alert').textContent).toBe('“2.5.” is not an amount; write for example 2 or 0.5.');
    fireEvent.change(screen.getByLabelText('How many'), { target: { value: '3' } });
    expect(figure.value).toBe(3000);
    rerender(<></>);
  });
});
