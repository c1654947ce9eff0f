import fc from 'fast-check';
import {
  day,
  decimal,
  length,
  listOf,
  longText,
  mass,
  money,
  oneOf,
  orNull,
  quantity,
  ref,
  text,
  volume,
  whole,
  yesNo,
  type AnyField,
} from './field';
import type { ReadingProblem } from '../base';
import { readFieldText, writeFieldText } from './fieldText';

describe('what is typed into a field', () => {
  it.each<[string, AnyField, string, unknown]>([
    ['a name', text(1, 120), '  towels ', 'towels'],
    ['an empty name that may be', text(0, 120), ' ', ''],
    ['a note keeps its blanks', longText(2000), ' a\n b ', ' a\n b '],
    ['a length', length(), '31,5', 3150],
    ['a length in inches', length(), '12 3/8"', 3143],
    ['not measured', orNull(length()), ' ', null],
    ['at the place itself', length(0), '0', 0],
    ['at the place itself, with its unit', orNull(length(0)), '0 cm', 0],
    ['a weight', orNull(mass), '2.5 kg', 2500],
    ['no weight at all', mass, '0', 0],
    ['litres', orNull(volume), '0,5 l', 500],
    ['money', orNull(money), '7.50', 750],
    ['an amount', orNull(quantity()), '0.5', 500],
    ['a number', whole(0, 3650), '4', 4],
    ['a decimal', decimal(0, 180), '12,5', 12.5],
    ['tags', listOf(text(1, 60), 40), 'bath, #guest,, bath', ['bath', 'guest']],
    ['no tags', listOf(text(1, 60), 40), '', []],
    ['yes', yesNo, 'yes', true],
    ['no', yesNo, 'no', false],
    ['a choice', oneOf('woven', 'closed'), 'woven', 'woven'],
    ['another row', ref('room'), 'room-1', 'room-1'],
  ])('%s', (_, field, typed, value) => expect(readFieldText(field, typed, 'metric')).toEqual({ ok: true, value }));

  it.each<[AnyField, string, ReadingProblem]>([
    [text(1, 120), ' ', { kind: 'needed', what: 'anything' }],
    [text(0, 3), 'abcd', { kind: 'too_long', letters: 4, most: 3 }],
    [length(), '', { kind: 'needed', what: 'length' }],
    [mass, ' ', { kind: 'needed', what: 'mass' }],
    [whole(1, 4), '', { kind: 'number_needed', least: 1, most: 4 }],
    [money, '', { kind: 'needed', what: 'anything' }],
    [length(), '0', { kind: 'nothing', what: 'length', text: '0' }],
    [mass, ' heavy ', { kind: 'not_a', what: 'mass', text: 'heavy' }],
    [volume, 'a lot', { kind: 'not_a', what: 'volume', text: 'a lot' }],
    [money, '1.234', { kind: 'not_a', what: 'money', text: '1.234' }],
    [quantity(1000), '0.5', { kind: 'not_a', what: 'quantity', text: '0.5' }],
    [whole(0, 120), '4.5', { kind: 'not_a_number', text: '4.5', whole: true, least: 0, most: 120 }],
    [whole(0, 120), '1e2', { kind: 'not_a_number', text: '1e2', whole: true, least: 0, most: 120 }],
    [decimal(0, 180), '181', { kind: 'not_a_number', text: '181', whole: false, least: 0, most: 180 }],
    [listOf(text(1, 3), 2), 'a, b, c', { kind: 'too_many', count: 3, most: 2 }],
    [listOf(text(1, 3), 2), 'abcd', { kind: 'too_long', letters: 4, most: 3 }],
    [yesNo, 'maybe', { kind: 'not_a', what: 'yes_no', text: 'maybe' }],
    [oneOf('woven', 'closed'), 'glass', { kind: 'none_of', text: 'glass', values: ['woven', 'closed'] }],
  ])('%j does not take “%s”', (field, typed, problem) =>
    expect(readFieldText(field, typed, 'metric')).toEqual({ ok: false, problem }),
  );

  it('what no one types as one text is a mistake of the program', () =>
    expect(() => readFieldText(day, '2026-11-26', 'metric')).toThrow('kind day'));
});

describe('a field as text', () => {
  it.each<[string, AnyField, fc.Arbitrary<unknown>]>([
    // A millimetre and a gram are the least that these texts tell apart.
    ['lengths in whole millimetres', length(0), fc.integer({ min: 0, max: 100_000 }).map((mm) => mm * 10)],
    ['amounts', quantity(), fc.integer({ min: 0, max: 10_000_000 })],
    ['litres', volume, fc.integer({ min: 0, max: 1_000_000 })],
    ['money', money, fc.integer({ min: 0, max: 100_000_000 })],
    ['numbers', whole(0, 10_000), fc.integer({ min: 0, max: 10_000 })],
    ['yes or no', yesNo, fc.boolean()],
    ['tags', listOf(text(1, 60), 40), fc.uniqueArray(fc.stringMatching(/^[a-z]{1,9}$/), { maxLength: 9 })],
  ])('%s are read back as they were', (_, field, values) =>
    fc.assert(
      fc.property(values, (value) => {
        expect(readFieldText(field, writeFieldText(field, value, 'metric'), 'metric')).toEqual({ ok: true, value });
      }),
      { seed: 20261126, numRuns: 100 },
    ),
  );
  it('nothing is empty', () => expect(writeFieldText(orNull(length()), null, 'inch')).toBe(''));
  it('in the home’s unit', () => {
    expect(writeFieldText(length(), 3143, 'inch')).toBe('12 3/8"');
    expect(writeFieldText(mass, 4536, 'inch')).toBe('10 lb');
  });
});
