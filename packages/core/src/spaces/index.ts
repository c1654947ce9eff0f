export { opsForCopyingShelf, opsForCopyingSpace, opsFromPattern, SPACE_PATTERNS } from './patterns';
export { describeShelf, isInFreezer, placePath } from './placePath';
export { nooksWithin, opsForMovingBin, opsForRetiringNook, placeOf } from './relocate';
