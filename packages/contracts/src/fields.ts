/** Joi schemas of every row's fields: one source for the server's check and the app's forms. */
import {
  BIN_LOOKS,
  ENTITY_KINDS,
  PERSON_ROLES,
  readCode,
  SCHOOLS,
  SHELF_KINDS,
  SPACE_KINDS,
  partsOf,
  VERDICTS,
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

const grams = Joi.number().integer().min(0).max(100_000_000).allow(null);
const millilitres = Joi.number().integer().min(0).max(100_000_000).allow(null);
const money = Joi.number().integer().min(0).max(1_000_000_000).allow(null);
const measure = Joi.number().min(0).max(LARGEST_LENGTH);
const count = Joi.number().integer().min(0).max(10_000);
const degrees = Joi.number().min(0).max(90);
/** Every key is needed; whole objects are replaced, never merged. */
const whole = (fields: Fields): Joi.ObjectSchema => Joi.object(fields).options({ presence: 'required' });

const obstacle = whole({
  kind: Joi.valid('pipe', 'hump', 'hinge'),
  leftTenthMm: measure,
  bottomTenthMm: measure,
  frontTenthMm: measure,
  widthTenthMm: measure,
  heightTenthMm: measure,
  depthTenthMm: measure,
});
const aid = whole({
  kind: Joi.valid('half_shelf', 'riser', 'hooks'),
  leftTenthMm: measure,
  widthTenthMm: measure,
  heightTenthMm: measure,
  depthTenthMm: measure,
});
/** Left out by a device that was built before there were any: then they are null. */
const spaceBuild = whole({
  postDepthTenthMm: offsetTenthMm,
  openingWidthTenthMm: lengthTenthMm,
  openingHeightTenthMm: lengthTenthMm,
  hinge: Joi.valid('left', 'right', 'none', null),
  holePitchTenthMm: lengthTenthMm,
  firstHoleTenthMm: offsetTenthMm,
  boardTenthMm: lengthTenthMm,
  loadGrams: grams,
  obstacles: Joi.array().items(obstacle).max(20),
  school: Joi.valid(...SCHOOLS, null),
})
  .allow(null)
  .optional();
const shelfBuild = whole({
  adjustable: Joi.boolean(),
  loadGrams: grams,
  surface: Joi.valid('solid', 'wire', null),
  lipTenthMm: offsetTenthMm,
  aids: Joi.array().items(aid).max(10),
})
  .allow(null)
  .optional();
const textile = whole({
  widthTenthMm: measure.min(1),
  lengthTenthMm: measure.min(1),
  gramsPerM2: Joi.number().min(1).max(5000),
  plies: Joi.number().integer().min(1).max(4),
  foldsWidth: Joi.number().integer().min(1).max(12),
  foldsLength: Joi.number().integer().min(1).max(12),
  material: Joi.valid('woven', 'terry', 'wool'),
  tenMeasuredTenthMm: lengthTenthMm,
}).allow(null);
const groupName = Joi.string().trim().min(1).max(120);
const traits = whole({
  weightGrams: grams,
  volumeMl: millilitres,
  textile,
  groups: Joi.object().pattern(Joi.valid(...SCHOOLS), groupName),
})
  .allow(null)
  .optional();
const plannedBin = whole({
  key: Joi.string().min(1).max(60),
  containerId: uuid,
  shelfId: uuid,
  cxTenthMm: measure,
  cyTenthMm: measure,
  liftTenthMm: measure,
  degrees,
  group: groupName.allow(null),
  locked: Joi.boolean(),
  buy: Joi.boolean(),
});

export const FIELD_SCHEMAS: Readonly<Record<EntityKind, Fields>> = {
  household: {
    name,
    lengthUnit: Joi.valid('metric', 'inch'),
    dateOrder: Joi.valid('dmy', 'mdy', null),
    currency: Joi.string()
      .pattern(/^[A-Z]{3}$/)
      .allow(null)
      .optional(),
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
    build: spaceBuild,
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
    build: shelfBuild,
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
    containerId: uuid.allow(null).optional(),
    standing: whole({ frontTenthMm: measure, liftTenthMm: measure, degrees }).allow(null).optional(),
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
    traits,
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
  container: {
    name,
    look: Joi.valid(...BIN_LOOKS),
    family: Joi.string().trim().allow('').max(60),
    colour: Joi.string().trim().allow('').max(60),
    topWidthTenthMm: lengthTenthMm.invalid(null),
    topDepthTenthMm: lengthTenthMm.invalid(null),
    baseWidthTenthMm: lengthTenthMm,
    baseDepthTenthMm: lengthTenthMm,
    heightTenthMm: lengthTenthMm.invalid(null),
    hasLid: Joi.boolean(),
    openHeightTenthMm: lengthTenthMm,
    innerVolumeMl: millilitres,
    insideWidthTenthMm: lengthTenthMm,
    insideDepthTenthMm: lengthTenthMm,
    insideHeightTenthMm: lengthTenthMm,
    stackPitchTenthMm: lengthTenthMm,
    nestPitchTenthMm: lengthTenthMm,
    maxLoadGrams: grams,
    weightGrams: grams,
    priceMinor: money,
    owned: count,
    free: Joi.boolean(),
  },
  plan: {
    spaceId: uuid,
    name,
    status: Joi.valid('draft', 'chosen'),
    sort,
    groups: Joi.array()
      .items(whole({ name: groupName, volumeMl: millilitres.invalid(null), grams: grams.invalid(null) }))
      .max(200),
    shelves: Joi.array()
      .items(whole({ shelfId: uuid, bottomTenthMm: offsetTenthMm }))
      .max(200),
    placed: Joi.array().items(plannedBin).max(1000),
    budgetMinor: money,
    family: Joi.string().trim().min(1).max(60).allow(null),
    moveShelves: Joi.boolean(),
    seed: Joi.number().integer().min(0).max(4_294_967_295),
    bought: Joi.array()
      .items(whole({ containerId: uuid, count }))
      .max(500),
  },
  clear_out: {
    spaceId: uuid,
    startedAt: instant,
    minutes: Joi.number().integer().min(1).max(600).allow(null),
    finishedAt: instant.allow(null),
  },
  verdict: { clearOutId: uuid, lotId: uuid, verdict: Joi.valid(...VERDICTS), toNookId: uuid.allow(null) },
};

export const entityKind = Joi.valid(...ENTITY_KINDS);

/** All fields of an entity, each required. */
export const createSchema = (entity: EntityKind): Joi.ObjectSchema =>
  Joi.object(FIELD_SCHEMAS[entity]).options({ presence: 'required' });

/** Some fields of an entity, at least one. */
export const changeSchema = (entity: EntityKind): Joi.ObjectSchema => Joi.object(FIELD_SCHEMAS[entity]).min(1);
