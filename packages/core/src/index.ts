/** What the other rooms may know of core: what each of its folders offers. */
export * from './base';
export * from './containers';
export * from './cutting';
export * from './definition';
export * from './drawing';
export * from './find';
export * from './fit';
export * from './forecast';
export * from './household';
export * from './measure';
export * from './plan';
export * from './record';
export * from './shelflife';
export * from './sort';
export * from './spaces';
export * from './stock';
export * from './use';
