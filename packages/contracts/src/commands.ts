import {
  entityKinds,
  LARGEST_QUANTITY_THOUSANDTHS,
  LEDGER_EVENT_KINDS,
  MOST_COMMANDS_PER_BATCH,
  MOST_OPS_PER_COMMAND,
  type Command,
  type Refusal,
  type TaggedRow,
} from '@ours/core';
import Joi from 'joi';
import { changeSchema, createSchema, entityKind, instant, uuid } from './fields';
import { textSchema } from './schemaOf';

const ENTITY_KINDS = entityKinds();
const quantity = Joi.number().integer().min(0).max(LARGEST_QUANTITY_THOUSANDTHS);
const signed = Joi.number().integer().min(-LARGEST_QUANTITY_THOUSANDTHS).max(LARGEST_QUANTITY_THOUSANDTHS);

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
});

const perEntity = (key: 'create' | 'change'): Joi.Schema[] =>
  ENTITY_KINDS.map((entity) =>
    Joi.object({
      op: Joi.valid(key).required(),
      entity: Joi.valid(entity).required(),
      id: uuid.required(),
      fields: (key === 'create' ? createSchema(entity) : changeSchema(entity)).required(),
    }),
  );

const byEntity = (key: 'create' | 'change'): Joi.Schema => {
  const schemas = perEntity(key);
  return Joi.alternatives().conditional('.entity', {
    switch: ENTITY_KINDS.map((entity, at) => ({ is: entity, then: schemas[at]! })),
    otherwise: Joi.object({ entity: entityKind.required() }).unknown(),
  });
};

const op = Joi.alternatives().conditional('.op', {
  switch: [
    { is: 'create', then: byEntity('create') },
    { is: 'change', then: byEntity('change') },
    { is: 'event', then: Joi.object({ op: Joi.valid('event').required(), event: ledgerEvent.required() }) },
    {
      is: Joi.valid('retire', 'restore'),
      then: Joi.object({
        op: Joi.valid('retire', 'restore').required(),
        entity: entityKind.required(),
        id: uuid.required(),
      }),
    },
  ],
  otherwise: Joi.object({ op: Joi.valid('create', 'change', 'retire', 'restore', 'event').required() }).unknown(),
});

export const commandSchema = Joi.object<Command>({
  id: uuid.required(),
  intent: Joi.string()
    .pattern(/^[a-z_]{2,40}$/)
    .required(),
  occurredAt: instant.required(),
  ops: Joi.array().items(op).min(1).max(MOST_OPS_PER_COMMAND).required(),
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

/** Checks a value and answers it cleaned, or one clear sentence. */
export function check<T>(
  schema: Joi.Schema<T>,
  value: unknown,
): { ok: true; value: T } | { ok: false; problem: string } {
  const result = schema.validate(value, { abortEarly: true, convert: false, stripUnknown: false });
  if (result.error) return { ok: false, problem: sentence(result.error) };
  return { ok: true, value: result.value as T };
}

function sentence(error: Joi.ValidationError): string {
  const detail = error.details[0];
  const read = detail?.context?.value;
  const shown = read === undefined || typeof read === 'object' ? '' : `; read: ${JSON.stringify(read).slice(0, 80)}`;
  return `${detail?.message ?? 'The request could not be read'}${shown}.`;
}
