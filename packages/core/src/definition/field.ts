/**
 * What a field of a row may hold, as data. Contracts turn a specification into a schema, the server into a column, forms
 * into a control. This file knows none of them.
 */
import {
  LARGEST_GRAMS,
  LARGEST_LENGTH_TENTH_MM,
  LARGEST_MINOR,
  LARGEST_ML,
  LARGEST_QUANTITY_THOUSANDTHS,
} from '../base';

/** Carries a field's type from its specification to `Holds`; there is nothing at run time. */
declare const HOLDS: unique symbol;

/**
 * How a row refers to another one:
 * - `within`: it sits in it. The other one must be living, and cannot be retired while this row is there.
 * - `living`: the other one must be living when the reference is made; it may be retired later.
 * - `known`: the other one must have existed when the reference is made; it may be retired already.
 */
export type RefHold = 'within' | 'living' | 'known';

export type FieldSpec =
  | { kind: 'text'; least: number; most: number; lines: boolean; trimmed: boolean }
  | { kind: 'whole' | 'decimal'; least: number; most: number }
  | { kind: 'length' | 'mass' | 'volume' | 'money' | 'quantity'; least: number; most: number }
  | { kind: 'yes_no' | 'day' | 'instant' | 'code' | 'currency' | 'id' }
  | { kind: 'one_of'; values: readonly string[] }
  | { kind: 'ref'; to: readonly string[]; hold: RefHold }
  | { kind: 'list'; of: AnyField; most: number }
  | { kind: 'record'; fields: Record<string, AnyField> }
  | { kind: 'map'; keys: readonly string[]; of: AnyField };

interface Marks {
  nullable?: true;
  /** Came after the first version: a device that does not know it yet leaves it out, and then it is null. */
  added?: true;
}
/** A field of any type, with what may be missing of it. */
export type AnyField = FieldSpec & Marks;
export type Field<T> = AnyField & { readonly [HOLDS]?: T };
export type AddedField<T> = Field<T> & { added: true };

/** The type of the values a field holds. */
export type Holds<F> = F extends { readonly [HOLDS]?: infer T } ? T : never;
type Flat<T> = { [K in keyof T]: T[K] };
/** The type of a row's fields; those added later may be missing. */
export type FieldsIn<F> = Flat<
  { -readonly [K in keyof F as F[K] extends { added: true } ? never : K]: Holds<F[K]> } & {
    -readonly [K in keyof F as F[K] extends { added: true } ? K : never]?: Holds<F[K]>;
  }
>;

/** One line of text without blanks at its ends. */
export const text = (least: number, most: number): Field<string> => ({
  kind: 'text',
  least,
  most,
  lines: false,
  trimmed: true,
});
/** Text over several lines, kept as it was typed. */
export const longText = (most: number, least = 0): Field<string> => ({
  kind: 'text',
  least,
  most,
  lines: true,
  trimmed: false,
});
/** A whole number from `least` to `most`. */
export const whole = (least: number, most: number): Field<number> => ({ kind: 'whole', least, most });
/** A number from `least` to `most`, with places. */
export const decimal = (least: number, most: number): Field<number> => ({ kind: 'decimal', least, most });
/** Tenths of a millimetre, whole; at least one, or from 0 for a distance. */
export const length = (least = 1): Field<number> => ({ kind: 'length', least, most: LARGEST_LENGTH_TENTH_MM });
/** Grams, whole, from 0. */
export const mass: Field<number> = { kind: 'mass', least: 0, most: LARGEST_GRAMS };
/** Grams, whole, more than nothing. */
export const someMass: Field<number> = { kind: 'mass', least: 1, most: LARGEST_GRAMS };
/** Millilitres, whole, from 0. */
export const volume: Field<number> = { kind: 'volume', least: 0, most: LARGEST_ML };
/** Minor units of a currency, whole, from 0. */
export const money: Field<number> = { kind: 'money', least: 0, most: LARGEST_MINOR };
/** Thousandths of a unit, whole. */
export const quantity = (least = 0): Field<number> => ({
  kind: 'quantity',
  least,
  most: LARGEST_QUANTITY_THOUSANDTHS,
});
/** Yes or no. */
export const yesNo: Field<boolean> = { kind: 'yes_no' };
/** `YYYY-MM-DD`. */
export const day: Field<string> = { kind: 'day' };
/** As `toISOString()` writes it. */
export const instant: Field<string> = { kind: 'instant' };
/** A nook's code; no two living nooks may have codes that read alike. */
export const code: Field<string> = { kind: 'code' };
/** ISO 4217. */
export const currency: Field<string> = { kind: 'currency' };
/** An id that refers to no row. */
export const id: Field<string> = { kind: 'id' };
/** One of a few words. */
export const oneOf = <const V extends string>(...values: readonly V[]): Field<V> => ({ kind: 'one_of', values });
/** A reference to the row this one sits in; see `RefHold`. */
export const within = (...to: readonly string[]): Field<string> => ({ kind: 'ref', to, hold: 'within' });
/** A reference to a row that must be living when it is made; see `RefHold`. */
export const ref = (...to: readonly string[]): Field<string> => ({ kind: 'ref', to, hold: 'living' });
/** A reference to a row that must have existed when it is made; see `RefHold`. */
export const weakRef = (...to: readonly string[]): Field<string> => ({ kind: 'ref', to, hold: 'known' });
/** A list of at most so many. */
export const listOf = <T>(of: Field<T>, most: number): Field<T[]> => ({ kind: 'list', of, most });
/** A value with fields of its own. */
export const record = <F extends Record<string, AnyField>>(fields: F): Field<FieldsIn<F>> => ({
  kind: 'record',
  fields,
});
/** Some of the keys, each with a value. */
export const mapOf = <const K extends string, T>(keys: readonly K[], of: Field<T>): Field<Partial<Record<K, T>>> => ({
  kind: 'map',
  keys,
  of,
});
/** The same field, or null. */
export const orNull = <T>(field: Field<T>): Field<T | null> => ({ ...field, nullable: true }) as Field<T | null>;
/** A field that came after the first version: an older device leaves it out. */
export const added = <T>(field: Field<T>): AddedField<T> => ({ ...field, added: true }) as AddedField<T>;

/** Something that a reference in a field points at. */
export interface Reference {
  to: readonly string[];
  hold: RefHold;
  id: string;
}

/** Every reference in a value, inside lists and records too. */
export function referencesIn(field: AnyField, value: unknown): Reference[] {
  if (value === null || value === undefined) return [];
  switch (field.kind) {
    case 'ref':
      return [{ to: field.to, hold: field.hold, id: value as string }];
    case 'list':
      return (value as unknown[]).flatMap((one) => referencesIn(field.of, one));
    case 'record':
      return Object.entries(field.fields).flatMap(([key, of]) =>
        referencesIn(of, (value as Record<string, unknown>)[key]),
      );
    default:
      return [];
  }
}

const CONTROL = /[\u0000-\u001f\u007f-\u009f]/;
const CONTROL_BUT_LINES = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f]/;
const LONE_SURROGATE = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/**
 * Whether a text holds something that cannot be stored or shown: a control character or half a character.
 * @param lines true when line breaks and tabs are allowed
 */
export function hasUnwritable(value: string, lines: boolean): boolean {
  return (lines ? CONTROL_BUT_LINES : CONTROL).test(value) || LONE_SURROGATE.test(value);
}
