export * from './fields';
export * from './commands';
export * from './accounts';
export * from './homeFile';
export type { AnswerOf, AskOf, Endpoint, Endpoints } from './endpoints';
export * from './wire';
export { schemaOf, textSchema } from './schemaOf';
