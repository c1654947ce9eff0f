import {
  entityKinds,
  LARGEST_QUANTITY_THOUSANDTHS,
  LEDGER_EVENT_KINDS,
  MOST_COMMANDS_PER_BATCH,
  MOST_OPS_PER_COMMAND,
  type Command,
  type EntityKind,
  type Refusal,
  type TaggedRow,
  type LedgerEventKind,
} from '@ours/core';
import Joi from 'joi';
import { changeSchema, createSchema, entityKind, instant, uuid } from './fields';
import { textSchema } from './schemaOf';

const ENTITY_KINDS = entityKinds();
const quantity = Joi.number().integer().min(0).max(LARGEST_QUANTITY_THOUSANDTHS);
/** A book is the sum of many events. */
const MOST_BOOK = Number.MAX_SAFE_INTEGER;
const signed = Joi.number().integer().min(-LARGEST_QUANTITY_THOUSANDTHS).max(LARGEST_QUANTITY_THOUSANDTHS);

/** What a device says of what it takes back. Nothing is decided by it: the server has the event itself. */
const undoneEvent = Joi.object({
  kind: Joi.valid(...LEDGER_EVENT_KINDS.filter((kind) => kind !== 'voided')).required(),
  quantityThousandths: quantity.required(),
  occurredAt: instant.required(),
  reason: textSchema(0, 200).allow(null).required(),
  bookThousandths: Joi.number().integer().min(-MOST_BOOK).max(MOST_BOOK).allow(null).required(),
  again: Joi.boolean().required(),
});

const ledgerEvent = Joi.object({
  id: uuid.required(),
  lotId: uuid.required(),
  kind: Joi.valid(...LEDGER_EVENT_KINDS).required(),
  quantityThousandths: Joi.when('kind', {
    is: 'voided',
    then: signed.required(),
    otherwise: quantity.required(),
  }),
  occurredAt: instant.required(),
  reason: textSchema(0, 200).allow(null).required(),
  voids: Joi.when('kind', { is: 'voided', then: uuid.required(), otherwise: Joi.valid(null).required() }),
  undone: Joi.when('kind', { is: 'voided', then: undoneEvent.allow(null), otherwise: Joi.valid(null) }),
});

const changing = (op: 'create' | 'change', entity: EntityKind): Joi.ObjectSchema =>
  Joi.object({
    op: Joi.valid(op).required(),
    entity: Joi.valid(entity).required(),
    id: uuid.required(),
    fields: (op === 'create' ? createSchema(entity) : changeSchema(entity)).required(),
  });
const KINDS_OF_OP = ['create', 'change', 'retire', 'restore', 'event'] as const;
const OF_RETIRING = Joi.object({
  op: Joi.valid('retire', 'restore').required(),
  entity: entityKind.required(),
  id: uuid.required(),
});
const OF_EVENT = Joi.object({ op: Joi.valid('event').required(), event: ledgerEvent.required() });
const OF_NO_KNOWN_OP = Joi.object({ op: Joi.valid(...KINDS_OF_OP).required() })
  .unknown()
  .required();
const OF_NO_KNOWN_KIND = Joi.object({ entity: entityKind.required() }).unknown();
const BY_KIND = new Map(
  ENTITY_KINDS.map((entity) => [
    entity as unknown,
    { create: changing('create', entity), change: changing('change', entity) },
  ]),
);

/** The schema an operation has to hold to, found by what it says it is: alternatives would try one after the other. */
function schemaOfOp(op: unknown): Joi.Schema {
  const { op: kind, entity } = (op ?? {}) as { op?: unknown; entity?: unknown };
  if (kind === 'event') return OF_EVENT;
  if (kind === 'retire' || kind === 'restore') return OF_RETIRING;
  if (kind !== 'create' && kind !== 'change') return OF_NO_KNOWN_OP;
  return BY_KIND.get(entity)?.[kind] ?? OF_NO_KNOWN_KIND;
}

const OPTIONS: Joi.ValidationOptions = { abortEarly: true, convert: false, stripUnknown: false };
const written = (path: readonly (string | number)[]): string =>
  path.reduce<string>(
    (text, step) => (typeof step === 'number' ? `${text}[${step}]` : text ? `${text}.${step}` : step),
    '',
  );

/** The operations of a command; what is wrong with one is told with its whole path, as Joi itself would. */
const ops = Joi.array()
  .min(1)
  .max(MOST_OPS_PER_COMMAND)
  .custom((list: unknown[], helpers) => {
    for (const [at, op] of list.entries()) {
      const detail = schemaOfOp(op).validate(op, OPTIONS).error?.details[0];
      if (!detail) continue;
      const label = written(detail.path);
      const full = written([...(helpers.state.path ?? []), at, ...detail.path]);
      const sentence = detail.message.replace(`"${label === '' ? 'value' : label}"`, `"${full}"`);
      return helpers.error('op', { sentence, read: detail.context?.value });
    }
    return list;
  })
  .messages({ op: '{{#sentence}}' });

export const commandSchema = Joi.object<Command>({
  id: uuid.required(),
  intent: Joi.string()
    .pattern(/^[a-z_]{2,40}$/)
    .required(),
  occurredAt: instant.required(),
  ops: ops.required(),
  undoes: uuid.allow(null),
});

export const commandBatchSchema = Joi.object<CommandBatch>({
  now: instant,
  device: uuid,
  commands: Joi.array().items(commandSchema).min(1).max(MOST_COMMANDS_PER_BATCH).required(),
});

/** What a device sends. */
export interface CommandBatch {
  /** The device's own clock as it sends; what happened is put onto the server's clock by the difference. */
  now?: string;
  /** The device, so that what it did keeps its order. */
  device?: string;
  commands: Command[];
}

/** What the server says to one command. */
export type CommandAnswer =
  { id: string; status: 'applied'; seq: number } | { id: string; status: 'refused'; refusal: Refusal };

export interface CommandBatchAnswer {
  answers: CommandAnswer[];
  /** The server's clock. */
  now: string;
}

/**
 * One page of the change feed. `seq` is how far the device is once it has this page; `cursor` is where the next page goes
 * on, null when this was the last one. A device keeps the cursor, so that a first reading can be interrupted.
 */
export interface ChangePage {
  seq: number;
  cursor: string | null;
  /** Changes when the server's data was put back from a backup: the device then reads everything anew. */
  generation: string;
  /** The server's clock. */
  now: string;
  rows: TaggedRow[];
}

export const changesQuerySchema = Joi.object({
  since: Joi.number().integer().min(0).default(0),
  cursor: Joi.string().max(200),
  household: uuid,
});

export interface HistoryEntry {
  id: string;
  seq: number;
  intent: string;
  occurredAt: string;
  receivedAt: string;
  by: string;
  undoes: string | null;
  undone: boolean;
  summary: string[];
  /** What takes it back, ready to be sent with fresh ids; null once it is too long ago, without operations when it cannot be. */
  inverse: Command | null;
}

/** Something that happened to a lot of a thing. */
export interface ItemEvent {
  id: string;
  kind: LedgerEventKind;
  /** Thousandths of `unit`; of a count, what was found. */
  quantityThousandths: number;
  /** The unit in which the thing was kept when it happened. */
  unit: string;
  occurredAt: string;
  reason: string | null;
  /** Null: it came with the home and nobody is named. */
  by: string | null;
  /** It was taken back. */
  undone: boolean;
}

/** Checks a value and answers it cleaned, or one clear sentence. */
export function check<T>(
  schema: Joi.Schema<T>,
  value: unknown,
): { ok: true; value: T } | { ok: false; problem: string } {
  const result = schema.validate(value, OPTIONS);
  if (result.error) return { ok: false, problem: sentence(result.error) };
  return { ok: true, value: result.value as T };
}

function sentence(error: Joi.ValidationError): string {
  const detail = error.details[0];
  const { context } = detail ?? {};
  const read = detail?.type === 'op' ? context?.read : context?.value;
  const shown = read === undefined || typeof read === 'object' ? '' : `; read: ${JSON.stringify(read).slice(0, 80)}`;
  return `${detail?.message ?? 'The request could not be read'}${shown}.`;
}
