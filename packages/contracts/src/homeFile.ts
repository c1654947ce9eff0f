/** A whole home as one JSON document: what is written, and what is read back. Its JSON Schema is `docs/formats/home-1.schema.json`. */
import {
  columnsOf,
  definitionOf,
  entityKinds,
  isEntityKind,
  LEDGER_EVENT_KINDS,
  type AnyField,
  type EntityKind,
  type LedgerEventKind,
  type TaggedRow,
} from '@ours/core';
import Joi from 'joi';
import { instant, schemaOf, uuid, wholeObject } from './schemaOf';

export const HOME_FORMAT = 'every-nook-home';
export const HOME_VERSION = 1;
/** A home of 10,000 things, 25,000 lots and their history takes about a tenth of it. */
export const HOME_MOST_BYTES = 256 * 1024 * 1024;

/** What happened to a lot, as the home keeps it. */
export interface FileEvent {
  id: string;
  lotId: string;
  commandId: string;
  kind: LedgerEventKind;
  quantityThousandths: number;
  occurredAt: string;
  reason: string | null;
  voids: string | null;
}
/** A line of the home's history. */
export interface FileCommand {
  id: string;
  seq: number;
  intent: string;
  occurredAt: string;
  receivedAt: string;
  /** As the person was called who did it. */
  by: string;
  undoes: string | null;
  summary: string[];
}
export interface HomeFileHead {
  format: typeof HOME_FORMAT;
  version: number;
  madeAt: string;
  householdId: string;
  counts: { rows: number; events: number; commands: number };
}
export interface HomeFile extends HomeFileHead {
  /** Every row there is and was, in the order of kinds. */
  rows: TaggedRow[];
  events: FileEvent[];
  commands: FileCommand[];
}

/** What the server says while it reads a home, a line of JSON each; the last one is a result or a problem. */
export type RestoreNews =
  | { step: 'checking' | 'writing'; done: number; of: number }
  | { result: { rows: number; events: number; retired: number } }
  | { problem: string };

const OPTIONS: Joi.ValidationOptions = {
  abortEarly: true,
  convert: false,
  presence: 'required',
  errors: { wrap: { label: '“”' } },
};

/** Rows that the rules make have an id that follows from others (UUID version 8). */
const rowId = Joi.string().pattern(
  /^[0-9a-f]{8}-[0-9a-f]{4}-[478][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
  'an id: a UUID of version 4, 7 or 8 in lower case',
);
const count = Joi.number().integer().min(0);
const headSchema = Joi.object({
  format: Joi.valid(HOME_FORMAT),
  version: Joi.number().integer().min(1),
  madeAt: instant,
  householdId: uuid,
  counts: Joi.object({ rows: count, events: count, commands: count }),
  rows: Joi.array(),
  events: Joi.array(),
  commands: Joi.array(),
}).unknown(false);

const rowSchemas = new Map<EntityKind, Joi.ObjectSchema>();
function rowSchema(kind: EntityKind): Joi.ObjectSchema {
  const known = rowSchemas.get(kind);
  if (known) return known;
  // What the rules keep came over time, too: a column that a file does not have is as new.
  const derived = Object.fromEntries(
    Object.entries(definitionOf(kind).derived?.fields ?? {}).map(([key, field]) => [
      key,
      schemaOf(field).presence('optional'),
    ]),
  );
  const made = wholeObject(definitionOf(kind).fields).keys({
    ...derived,
    id: rowId,
    seq: count,
    retired: Joi.boolean(),
  });
  rowSchemas.set(kind, made);
  return made;
}

const eventSchema = Joi.object({
  id: uuid,
  lotId: uuid,
  commandId: uuid,
  kind: Joi.valid(...LEDGER_EVENT_KINDS),
  quantityThousandths: Joi.number().integer(),
  occurredAt: instant,
  reason: Joi.string().max(200).allow(null, ''),
  voids: uuid.allow(null),
});
const commandSchema = Joi.object({
  id: uuid,
  seq: count,
  intent: Joi.string().max(100),
  occurredAt: instant,
  receivedAt: instant,
  by: Joi.string().max(200).allow(''),
  undoes: uuid.allow(null),
  summary: Joi.array().items(Joi.string().allow('').max(1000)).max(50),
});

/** A file that is no home, or one that cannot be read: what is wrong, in one sentence. */
export class NoHomeFile extends Error {}

const why = (error: Joi.ValidationError): string => error.details[0]!.message;

/**
 * Reads what a file says of itself.
 * @throws NoHomeFile with a sentence
 */
export function readHomeFile(text: string): HomeFile {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    throw new NoHomeFile(
      `This is no JSON; it begins with “${text.slice(0, 40)}”. A home as this app writes it is taken.`,
    );
  }
  const given = file as Partial<HomeFile> | null;
  if (typeof given !== 'object' || given === null || given.format !== HOME_FORMAT)
    throw new NoHomeFile(
      'This is no home: its “format” is not “every-nook-home”. A home as this app writes it is taken.',
    );
  if (Number(given.version) > HOME_VERSION)
    throw new NoHomeFile(
      `This home was written by a newer version (${given.version}); this one reads up to version ${HOME_VERSION}.`,
    );
  const { error } = headSchema.validate(given, OPTIONS);
  if (error) throw new NoHomeFile(`This home cannot be read: ${why(error)}.`);
  const whole = given as HomeFile;
  for (const part of ['rows', 'events', 'commands'] as const)
    if (whole[part].length !== whole.counts[part])
      throw new NoHomeFile(
        `This home is cut off: it says it has ${whole.counts[part]} ${part}, ${whole[part].length} are there.`,
      );
  return whole;
}

/**
 * Checks every row, event and line of history, and that what rows point at is there; a few at a time.
 * @returns a step that checks some more and answers how many are done
 * @throws NoHomeFile at the first that cannot be read, with its number and what is accepted
 */
export function checkingHome(file: HomeFile): { of: number; step: (many: number) => number } {
  const { rows, events, commands } = file;
  const ids = new Map<string, EntityKind>();
  const codes = new Map<string, number>();
  let at = 0;
  const of = 2 * rows.length + events.length + commands.length;
  const one = (number: number): void => {
    if (number < rows.length) return checkRow(rows[number]!, number, ids, codes);
    if (number < 2 * rows.length) return checkReferences(rows[number - rows.length]!, number - rows.length, ids);
    const [list, schema, name] =
      number < 2 * rows.length + events.length
        ? ([events, eventSchema, 'Event'] as const)
        : ([commands, commandSchema, 'Line of history'] as const);
    const place = number - 2 * rows.length - (list === commands ? events.length : 0);
    const { error } = schema.validate(list[place], OPTIONS);
    if (error) throw new NoHomeFile(`${name} ${place + 1}: ${why(error)}. Nothing was changed.`);
    if (list === events && ids.get(events[place]!.lotId) !== 'lot')
      throw new NoHomeFile(`Event ${place + 1} is of a lot that is not in this file. Nothing was changed.`);
  };
  return {
    of,
    step: (many) => {
      for (const end = Math.min(of, at + many); at < end; at++) one(at);
      return at;
    },
  };
}

/** `an item`, `a care entry`. */
const aKind = (entity: string): string => `${/^[aeiou]/.test(entity) ? 'an' : 'a'} ${entity.replace(/_/g, ' ')}`;
const nameOfRow = (entity: string, number: number): string => `Row ${number + 1}, ${aKind(entity)}`;

function checkRow(tagged: TaggedRow, number: number, ids: Map<string, EntityKind>, codes: Map<string, number>): void {
  const kind = (tagged as { entity?: unknown } | null)?.entity;
  if (typeof kind !== 'string' || !isEntityKind(kind))
    throw new NoHomeFile(
      `Row ${number + 1} is a “${String(kind)}”, which this version does not know. Nothing was changed.`,
    );
  const { error } = rowSchema(kind).validate(tagged.row, OPTIONS);
  if (error) throw new NoHomeFile(`${nameOfRow(kind, number)}: ${why(error)}. Nothing was changed.`);
  const { id, retired } = tagged.row;
  if (ids.has(id)) throw new NoHomeFile(`${nameOfRow(kind, number)}: its id is there twice. Nothing was changed.`);
  ids.set(id, kind);
  const { code } = tagged.row as { code?: string };
  if (code === undefined || retired) return;
  const first = codes.get(code);
  if (first !== undefined)
    throw new NoHomeFile(
      `${nameOfRow(kind, number)}: the code ${code} is that of row ${first + 1}, too. Nothing was changed.`,
    );
  codes.set(code, number);
}

/** What a row cannot be without is in the file, and of the right kind. */
function checkReferences({ entity, row }: TaggedRow, number: number, ids: ReadonlyMap<string, EntityKind>): void {
  for (const [key, field] of Object.entries(definitionOf(entity).fields) as [string, AnyField][]) {
    if (field.kind !== 'ref' || field.hold === 'known') continue;
    const to = (row as unknown as Record<string, string | null>)[key];
    if (to === null || to === undefined) continue;
    const found = ids.get(to);
    if (found === undefined || !field.to.includes(found))
      throw new NoHomeFile(
        `${nameOfRow(entity, number)}: “${key}” points at ${found === undefined ? 'nothing in this file' : aKind(found)}. Nothing was changed.`,
      );
  }
}

// The JSON Schema of it (draft 2020-12), from the same definitions.

type Json = Record<string, unknown>;
const UUID_PATTERN = '^[0-9a-f]{8}-[0-9a-f]{4}-[47][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$';
const INSTANT_PATTERN = '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d\\.\\d{3}Z$';
const id: Json = { type: 'string', pattern: UUID_PATTERN };
const rowIdJson: Json = { type: 'string', pattern: UUID_PATTERN.replace('[47]', '[478]') };
const at: Json = { type: 'string', pattern: INSTANT_PATTERN };
const whole: Json = { type: 'integer', minimum: 0 };

const objectOf = (fields: Record<string, Json>, optional: readonly string[] = []): Json => ({
  type: 'object',
  properties: fields,
  required: Object.keys(fields).filter((key) => !optional.includes(key)),
  additionalProperties: false,
});

function jsonOf(field: AnyField): Json {
  const plain = plainJson(field);
  return field.nullable ? { anyOf: [plain, { type: 'null' }] } : plain;
}

function plainJson(field: AnyField): Json {
  switch (field.kind) {
    case 'text':
      return { type: 'string', minLength: field.least, maxLength: field.most };
    case 'decimal':
      return { type: 'number', minimum: field.least, maximum: field.most };
    case 'whole':
    case 'length':
    case 'mass':
    case 'volume':
    case 'money':
    case 'quantity':
      return { type: 'integer', minimum: field.least, maximum: field.most };
    case 'yes_no':
      return { type: 'boolean' };
    case 'day':
      return { type: 'string', pattern: '^\\d{4}-\\d\\d-\\d\\d$' };
    case 'instant':
      return at;
    case 'code':
      return { type: 'string', pattern: '^[1-9A-Z]+-[1-9A-Z]+$' };
    case 'currency':
      return { type: 'string', pattern: '^[A-Z]{3}$' };
    case 'id':
      return id;
    case 'ref':
      return { ...id, description: `id of a ${field.to.join(' or ')}` };
    case 'one_of':
      return { enum: [...field.values] };
    case 'list':
      return { type: 'array', items: jsonOf(field.of), maxItems: field.most };
    case 'record':
      return fieldsJson(field.fields);
    case 'map':
      return {
        type: 'object',
        properties: Object.fromEntries(field.keys.map((key) => [key, jsonOf(field.of)])),
        additionalProperties: false,
      };
  }
}

const fieldsJson = (fields: Record<string, AnyField>, more: Record<string, Json> = {}, optional: string[] = []): Json =>
  objectOf({ ...more, ...Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, jsonOf(field)])) }, [
    ...optional,
    ...Object.entries(fields).flatMap(([key, field]) => (field.added ? [key] : [])),
  ]);

/** The JSON Schema of a home's file. */
export function homeFileJsonSchema(): Json {
  const derivedKeys = (kind: EntityKind): string[] => Object.keys(definitionOf(kind).derived?.fields ?? {});
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A home of Every Nook, version 1',
    description:
      'Lengths in tenths of a millimetre, weights in grams, volumes in millilitres, amounts in thousandths of the unit, money in hundredths of the currency, days as YYYY-MM-DD, instants in UTC.',
    ...objectOf({
      format: { const: HOME_FORMAT },
      version: { const: HOME_VERSION },
      madeAt: at,
      householdId: id,
      counts: objectOf({ rows: whole, events: whole, commands: whole }),
      rows: { type: 'array', items: { oneOf: entityKinds().map((kind) => ({ $ref: `#/$defs/${kind}` })) } },
      events: { type: 'array', items: { $ref: '#/$defs/event' } },
      commands: { type: 'array', items: { $ref: '#/$defs/command' } },
    }),
    $defs: {
      ...Object.fromEntries(
        entityKinds().map((kind) => [
          kind,
          objectOf({
            entity: { const: kind },
            row: fieldsJson(
              columnsOf(kind),
              { id: rowIdJson, seq: whole, retired: { type: 'boolean' } },
              derivedKeys(kind),
            ),
          }),
        ]),
      ),
      event: objectOf({
        id,
        lotId: id,
        commandId: id,
        kind: { enum: [...LEDGER_EVENT_KINDS] },
        quantityThousandths: { type: 'integer' },
        occurredAt: at,
        reason: { type: ['string', 'null'] },
        voids: { anyOf: [id, { type: 'null' }] },
      }),
      command: objectOf({
        id,
        seq: whole,
        intent: { type: 'string' },
        occurredAt: at,
        receivedAt: at,
        by: { type: 'string' },
        undoes: { anyOf: [id, { type: 'null' }] },
        summary: { type: 'array', items: { type: 'string' } },
      }),
    },
  };
}
