import { definitionOf, entityKinds, type EntityKind } from '@ours/core';
import Joi from 'joi';
import { schemaOf, wholeObject } from './schemaOf';

export { instant, uuid } from './schemaOf';

export const entityKind = Joi.valid(...entityKinds());

/** All fields of an entity, each required. */
export const createSchema = (entity: EntityKind): Joi.ObjectSchema => wholeObject(definitionOf(entity).fields);

/** Some fields of an entity, at least one. */
export const changeSchema = (entity: EntityKind): Joi.ObjectSchema => {
  const fields = Object.entries(definitionOf(entity).fields);
  return Joi.object(Object.fromEntries(fields.map(([key, field]) => [key, schemaOf(field)]))).min(1);
};
