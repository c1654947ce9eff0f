import {
  listOf,
  lengthField,
  massField,
  orNull,
  readFieldText,
  text,
  volumeField,
  wholeField,
  type AnyField,
} from '@ours/core';
import { problemWords } from './problemWords';

const saidOf = (field: AnyField, typed: string, unit: 'metric' | 'inch' = 'metric'): string | null => {
  const reading = readFieldText(field, typed, unit);
  return reading.ok ? null : problemWords(reading.problem, unit);
};

describe('the sentence about what cannot be read', () => {
  it.each<[AnyField, string, string]>([
    [text(1, 120), ' ', 'This is needed.'],
    [text(0, 3), 'abcd', 'There are 4 letters; up to 3 are kept.'],
    [lengthField(), '', 'A length is needed, for example 30 cm.'],
    [massField, ' ', 'A weight is needed, for example 2.5 kg.'],
    [wholeField(1, 4), '', 'A number from 1 to 4 is needed.'],
    [lengthField(), 'wide', '“wide” is not a length; write for example 31.5, 31,5 cm, 315 mm, 12 3/8" or 1\' 2 1/2".'],
    [lengthField(), '0', '“0” is nothing; a length is more than 0.'],
    [lengthField(), '300 m', '“300 m” is over 100 m; check the unit.'],
    [massField, 'heavy', '“heavy” is not a weight; write for example 12.5 kg or 30 lb.'],
    [volumeField, 'a lot', '“a lot” is not a number of litres; write for example 0.5.'],
    [wholeField(0, 120), '4.5', '“4.5” is not a whole number from 0 to 120.'],
    [listOf(text(1, 3), 2), 'a, b, c', 'There are 3; up to 2 are kept.'],
  ])('%j, “%s”', (field, typed, sentence) => expect(saidOf(field, typed)).toBe(sentence));

  it('names an example in the home’s unit, and says nothing about what can be read', () => {
    expect(saidOf(lengthField(), '', 'inch')).toBe('A length is needed, for example 12".');
    expect(saidOf(massField, '', 'inch')).toBe('A weight is needed, for example 5 lb.');
    expect(saidOf(orNull(lengthField()), '12 3/8"')).toBeNull();
  });
});
