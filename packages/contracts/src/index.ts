export * from './fields';
export * from './commands';
export * from './accounts';
export { schemaOf, textSchema } from './schemaOf';
