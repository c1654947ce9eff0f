/** All that checks input, in one part of the build that is fetched when it is first needed. */
export { check, commandSchema, signInSchema } from '@ours/contracts';
export { default as Joi } from 'joi';
