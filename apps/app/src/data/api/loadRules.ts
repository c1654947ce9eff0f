export type Rules = typeof import('./joiRules');

/** What checks input. Showing a page or a home takes none of it; whoever needs it comes this way, so that it stays one part. */
export const loadRules = (): Promise<Rules> => import('./joiRules');
