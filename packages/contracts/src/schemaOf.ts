/** Joi schemas from core's field specifications: one source for the server's check and the app's forms. */
import { FIRST_YEAR, hasUnwritable, LAST_YEAR, partsOf, readCode, type AnyField } from '@ours/core';
import Joi from 'joi';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[47][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
/** One spelling only, so that the same id is always the same text. */
export const uuid = Joi.string().pattern(UUID, 'an id: a UUID of version 4 or 7 in lower case');

const ISO_INSTANT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/;
/** As `toISOString()` writes it: then the order of the texts is the order of the instants. */
export const instant = Joi.string().custom((value: string, helpers) => {
  const time = ISO_INSTANT.test(value) ? Date.parse(value) : NaN;
  if (!Number.isNaN(time) && new Date(time).toISOString() === value) return value;
  return helpers.message({ custom: '{{#label}} must be a UTC instant with milliseconds, 2026-11-24T08:00:00.000Z' });
});

const day = Joi.string().custom((value: string, helpers) => {
  const { year } = partsOf(value);
  if (year >= FIRST_YEAR && year <= LAST_YEAR) return value;
  return helpers.message({ custom: `{{#label}} must lie in the years ${FIRST_YEAR} to ${LAST_YEAR}` });
}, 'a date YYYY-MM-DD');

const code = Joi.string().custom((value: string, helpers) => {
  if (/^[1-9A-Z]+-[1-9A-Z]+$/.test(value) && readCode(value).kind === 'valid') return value;
  return helpers.message({ custom: `{{#label}} “${value}” is not a nook code; its check character does not agree` });
}, 'a nook code');

/** A text of so many characters, without control characters and halves of characters. */
export function textSchema(least: number, most: number, options: { lines?: boolean; trimmed?: boolean } = {}) {
  const { lines = false, trimmed = true } = options;
  const schema = Joi.string()
    .max(most)
    .custom((value: string, helpers) =>
      hasUnwritable(value, lines)
        ? helpers.message({ custom: '{{#label}} holds a character that cannot be written (a control character)' })
        : value,
    );
  const whole = trimmed ? schema.trim() : schema;
  return least === 0 ? whole.allow('') : whole.min(least);
}

const whole = (least: number, most: number): Joi.NumberSchema => Joi.number().integer().min(least).max(most);

function plain(field: AnyField): Joi.Schema {
  switch (field.kind) {
    case 'text':
      return textSchema(field.least, field.most, field);
    case 'decimal':
      return Joi.number().min(field.least).max(field.most);
    case 'whole':
    case 'length':
    case 'mass':
    case 'volume':
    case 'money':
    case 'quantity':
      return whole(field.least, field.most);
    case 'yes_no':
      return Joi.boolean();
    case 'day':
      return day;
    case 'instant':
      return instant;
    case 'code':
      return code;
    case 'currency':
      return Joi.string().pattern(/^[A-Z]{3}$/, 'three capital letters');
    case 'id':
    case 'ref':
      return uuid;
    case 'one_of':
      return Joi.valid(...field.values);
    case 'list':
      return Joi.array().items(schemaOf(field.of)).max(field.most);
    case 'record':
      return wholeObject(field.fields);
    case 'map':
      return Joi.object().pattern(Joi.valid(...field.keys), schemaOf(field.of));
  }
}

/** Every key is needed but those that came later; whole objects are replaced, never merged. */
export const wholeObject = (fields: Record<string, AnyField>): Joi.ObjectSchema =>
  Joi.object(
    Object.fromEntries(
      Object.entries(fields).map(([key, field]) => [
        key,
        schemaOf(field).presence(field.added ? 'optional' : 'required'),
      ]),
    ),
  );

/** The schema of the values a field holds. */
export function schemaOf(field: AnyField): Joi.Schema {
  return field.nullable ? plain(field).allow(null) : plain(field);
}
