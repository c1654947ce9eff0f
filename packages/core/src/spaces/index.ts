export { planCopyShelf, planCopySpace, planFromPattern, SPACE_PATTERNS } from './patterns';
export { describeShelf, isInFreezer, placePath } from './placePath';
export { nooksWithin, planMoveBin, planRetireNook, standingAt } from './relocate';
