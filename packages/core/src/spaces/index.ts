export { opsForCopyingShelf, opsForCopyingSpace, opsFromPattern, SPACE_PATTERNS } from './patterns';
export {
  binNamesIn,
  MOST_SHELVES,
  type NewSpace,
  opsForNewBins,
  opsForNewSpace,
  shelfKindsOf,
  USUAL_SHELVES,
} from './newSpace';
export { describeShelf, isInFreezer, placePath, type PlacePath } from './placePath';
export { nooksWithin, opsForMovingBin, opsForRetiringNook, placeOf } from './relocate';
