/**
 * A field of a row as text: how a form shows it, and what someone means who typed into it. Follows from the field's
 * specification, so that every form reads figures alike.
 */
import {
  formatLength,
  formatMass,
  formatQuantity,
  readLength,
  readMass,
  readMoney,
  readQuantity,
  type LengthUnit,
  type ReadingProblem,
} from '../base';
import type { AnyField } from './field';

/** A value as a row keeps it; or why the text could not be read as one. */
export type FieldReading = { ok: true; value: unknown } | { ok: false; problem: ReadingProblem };

const read = (value: unknown): FieldReading => ({ ok: true, value });
const problem = (why: ReadingProblem): FieldReading => ({ ok: false, problem: why });
const isNought = (text: string): boolean => /^0+(?:[.,]0+)?(?: ?[a-z"']+)?$/i.test(text);

/**
 * Reads what was typed into a field. Blanks around it do not count; an empty text is null where the field allows that.
 * @param field text, list of texts, figure, yes/no (`yes`, `no`), choice or reference (its id); others throw
 * @param unit what a bare length or weight means
 * @param currency that prices are in; null: any sign is passed over
 * @returns the value as a row keeps it (tenths of a millimetre, grams, millilitres, minor units, thousandths), or why it could not be read
 * @example readFieldText(length(), '12 3/8"', 'metric') //=> { ok: true, value: 3143 }
 * @example readFieldText(orNull(length()), ' ', 'metric') //=> { ok: true, value: null }
 */
export function readFieldText(
  field: AnyField,
  text: string,
  unit: LengthUnit,
  currency: string | null = null,
): FieldReading {
  const bare = text.trim();
  if (field.kind === 'text') return readText(field, text);
  if (field.kind === 'list') return readList(field, text, unit);
  if (bare === '') return field.nullable ? read(null) : problem(needed(field));
  switch (field.kind) {
    case 'length': {
      if (field.least === 0 && isNought(bare)) return read(0);
      const reading = readLength(bare, unit);
      return reading.ok ? read(reading.tenthMm) : problem(reading.problem);
    }
    case 'mass': {
      if (field.least === 0 && isNought(bare)) return read(0);
      const reading = readMass(bare, unit);
      return reading.ok ? read(reading.grams) : problem(reading.problem);
    }
    case 'volume': {
      const thousandths = readQuantity(bare.replace(/ ?l(?:itres?|iters?)?$/i, ''));
      if (thousandths === null || thousandths > field.most)
        return problem({ kind: 'not_a', what: 'volume', text: bare });
      return read(thousandths);
    }
    case 'money': {
      const money = readMoney(bare, currency);
      if (money === null) return problem({ kind: 'not_a', what: 'money', text: bare });
      if ('minor' in money) return read(money.minor);
      return problem({ kind: 'other_currency', text: bare, currency: currency ?? '' });
    }
    case 'quantity': {
      const thousandths = readQuantity(bare);
      if (thousandths === null || thousandths < field.least || thousandths > field.most)
        return problem({ kind: 'not_a', what: 'quantity', text: bare });
      return read(thousandths);
    }
    case 'whole':
    case 'decimal':
      return readNumber(field, bare);
    case 'yes_no':
      return bare === 'yes' || bare === 'no'
        ? read(bare === 'yes')
        : problem({ kind: 'not_a', what: 'yes_no', text: bare });
    case 'one_of':
      return field.values.includes(bare) ? read(bare) : problem({ kind: 'none_of', text: bare, values: field.values });
    case 'ref':
    case 'id':
      return read(bare);
    case 'day':
    case 'instant':
    case 'code':
    case 'currency':
    case 'record':
    case 'map':
      throw new RangeError(`a field of kind ${field.kind} is not typed as one text`);
  }
}

function needed(field: AnyField): ReadingProblem {
  if (field.kind === 'whole' || field.kind === 'decimal')
    return { kind: 'number_needed', least: field.least, most: field.most };
  return { kind: 'needed', what: field.kind === 'length' || field.kind === 'mass' ? field.kind : 'anything' };
}

function readText(field: Extract<AnyField, { kind: 'text' }>, text: string): FieldReading {
  const value = field.trimmed ? text.trim() : text;
  if (value === '' && field.nullable) return read(null);
  if (value.length < field.least) return problem({ kind: 'needed', what: 'anything' });
  return value.length <= field.most
    ? read(value)
    : problem({ kind: 'too_long', letters: value.length, most: field.most });
}

/** Parts between commas; a sign for a tag before them, empty ones and repetitions do not count. */
function readList(field: Extract<AnyField, { kind: 'list' }>, text: string, unit: LengthUnit): FieldReading {
  const parts = [
    ...new Set(
      text
        .split(',')
        .map((part) => part.trim().replace(/^#/, ''))
        .filter((part) => part !== ''),
    ),
  ];
  if (parts.length > field.most) return problem({ kind: 'too_many', count: parts.length, most: field.most });
  const values: unknown[] = [];
  for (const part of parts) {
    const reading = readFieldText(field.of, part, unit);
    if (!reading.ok) return reading;
    values.push(reading.value);
  }
  return read(values);
}

function readNumber(
  { kind, least, most }: Extract<AnyField, { kind: 'whole' | 'decimal' }>,
  text: string,
): FieldReading {
  const value = /^-?\d+(?:[.,]\d+)?$/.test(text) ? Number(text.replace(',', '.')) : NaN;
  if (value >= least && value <= most && (kind === 'decimal' || Number.isInteger(value))) return read(value);
  return problem({ kind: 'not_a_number', text, whole: kind === 'whole', least, most });
}

/**
 * A value as a form shows it: lengths and weights in the home's unit, rounded as people read them; null is empty.
 * Reading it back may so give a slightly different value: a form keeps the exact one while its text is not touched.
 * @example writeFieldText(length(), 3143, 'inch') //=> '12 3/8"'
 */
export function writeFieldText(field: AnyField, value: unknown, unit: LengthUnit): string {
  if (value === null || value === undefined) return '';
  switch (field.kind) {
    case 'length':
      return value === 0 ? '0' : formatLength(value as number, unit);
    case 'mass':
      return value === 0 ? '0' : formatMass(value as number, unit);
    case 'volume':
    case 'quantity':
      return formatQuantity(value as number);
    case 'money':
      return ((value as number) / 100).toFixed(2);
    case 'yes_no':
      return value ? 'yes' : 'no';
    case 'list':
      return (value as unknown[]).map((one) => writeFieldText(field.of, one, unit)).join(', ');
    default:
      return String(value);
  }
}
