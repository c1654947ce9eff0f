export * from './fields';
export * from './commands';
export * from './accounts';
