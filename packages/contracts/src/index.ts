export * from './fields';
export * from './commands';
export * from './accounts';
export type { AnswerOf, AskOf, Endpoint, Endpoints } from './endpoints';
export * from './wire';
export { schemaOf, textSchema } from './schemaOf';
