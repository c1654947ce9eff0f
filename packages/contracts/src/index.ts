export * from './fields';
export * from './commands';
export * from './accounts';
export * from './wire';
export { schemaOf, textSchema } from './schemaOf';
