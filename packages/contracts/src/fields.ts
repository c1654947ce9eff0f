/** Joi schemas of every row's fields: one source for the server's check and the app's forms. */
import {
  BIN_LOOKS,
  ENTITY_KINDS,
  PERSON_ROLES,
  readCode,
  SHELF_KINDS,
  SPACE_KINDS,
  partsOf,
  type EntityKind,
} from '@ours/core';
import Joi from 'joi';

const LARGEST_LENGTH = 1_000_000;
const LARGEST_QUANTITY = 1_000_000_000;

export const uuid = Joi.string().guid({ version: ['uuidv7', 'uuidv4'] });
/** Always with milliseconds, so that the order of the texts is the order of the instants. */
export const instant = Joi.string()
  .isoDate()
  .pattern(/^\d{4}-.*\.\d{3}Z$/, 'UTC instant with milliseconds');
const name = Joi.string().trim().min(1).max(120);
const note = Joi.string().allow('').max(2000);
const words = Joi.array().items(Joi.string().trim().min(1).max(60)).max(40);
const lengthTenthMm = Joi.number().integer().min(1).max(LARGEST_LENGTH).allow(null);
const offsetTenthMm = Joi.number().integer().min(0).max(LARGEST_LENGTH).allow(null);
const sort = Joi.number().min(-1e9).max(1e9);
export const quantity = Joi.number().integer().min(0).max(LARGEST_QUANTITY);
export const civilDay = Joi.string().custom((value: string) => {
  partsOf(value);
  return value;
}, 'a date YYYY-MM-DD');
const code = Joi.string().custom((value: string, helpers) => {
  if (/^[1-9A-Z]+-[1-9A-Z]+$/.test(value) && readCode(value).kind === 'valid') return value;
  return helpers.message({ custom: `{{#label}} “${value}” is not a nook code; its check character does not agree` });
}, 'a nook code');

type Fields = Record<string, Joi.Schema>;

export const FIELD_SCHEMAS: Readonly<Record<EntityKind, Fields>> = {
  household: {
    name,
    lengthUnit: Joi.valid('metric', 'inch'),
    dateOrder: Joi.valid('dmy', 'mdy', null),
  },
  person: {
    name,
    role: Joi.valid(...PERSON_ROLES),
    ageYears: Joi.number().integer().min(0).max(130).allow(null),
    reachTenthMm: lengthTenthMm,
    note,
  },
  room: { name, sort },
  space: {
    roomId: uuid,
    name,
    kind: Joi.valid(...SPACE_KINDS),
    code,
    widthTenthMm: lengthTenthMm,
    heightTenthMm: lengthTenthMm,
    depthTenthMm: lengthTenthMm,
    postWidthTenthMm: lengthTenthMm,
    locked: Joi.boolean(),
    note,
    sort,
  },
  shelf: {
    spaceId: uuid,
    name: Joi.string().trim().allow('').max(120),
    kind: Joi.valid(...SHELF_KINDS),
    code,
    sort,
    leftTenthMm: offsetTenthMm,
    bottomTenthMm: offsetTenthMm,
    widthTenthMm: lengthTenthMm,
    heightTenthMm: lengthTenthMm,
    depthTenthMm: lengthTenthMm,
  },
  bin: {
    shelfId: uuid,
    parentBinId: uuid.allow(null),
    name,
    look: Joi.valid(...BIN_LOOKS),
    hasLid: Joi.boolean(),
    code,
    sort,
    leftTenthMm: offsetTenthMm,
    widthTenthMm: lengthTenthMm,
    heightTenthMm: lengthTenthMm,
    depthTenthMm: lengthTenthMm,
    tags: words,
  },
  item: {
    name,
    category: Joi.string().allow('').max(60),
    unit: Joi.string().trim().min(1).max(30),
    synonyms: words,
    tags: words,
    lowAtThousandths: quantity.allow(null),
    openedDays: Joi.number().integer().min(0).max(3650).allow(null),
    freezerMonths: Joi.number().integer().min(0).max(120).allow(null),
  },
  lot: {
    itemId: uuid,
    nookId: uuid,
    packSize: Joi.object({
      amountThousandths: quantity.min(1).required(),
      unit: Joi.string().min(1).max(20).required(),
    }).allow(null),
    expiresOn: civilDay.allow(null),
    dateKind: Joi.valid('best_before', 'use_by', null),
    openedOn: civilDay.allow(null),
    frozenOn: civilDay.allow(null),
    note,
  },
  line: { text: Joi.string().min(1).max(1000), nookId: uuid.allow(null) },
};

export const entityKind = Joi.valid(...ENTITY_KINDS);

/** All fields of an entity, each required. */
export const createSchema = (entity: EntityKind): Joi.ObjectSchema =>
  Joi.object(FIELD_SCHEMAS[entity]).options({ presence: 'required' });

/** Some fields of an entity, at least one. */
export const changeSchema = (entity: EntityKind): Joi.ObjectSchema => Joi.object(FIELD_SCHEMAS[entity]).min(1);
