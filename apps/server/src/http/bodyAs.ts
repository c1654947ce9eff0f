import { check } from '@ours/contracts';
import type Joi from 'joi';
import { ProblemError } from '../problems/catalogue';

/** The body, checked; or a 400 with the one sentence that says what was read and what is accepted. */
export function bodyAs<T>(schema: Joi.Schema, body: unknown): T {
  const checked = check(schema, body ?? {});
  if (!checked.ok) throw new ProblemError('bad_request', checked.problem);
  return checked.value as T;
}
