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
export { type Among, isInFreezer, placePath, type PlacePath, shelfAmong } from './placePath';
export { standProblem, type StandProblem, tooNarrowBy } from './standsThere';
export { nookByCode, placeSaid, type PlaceSaid } from './placeSaid';
export { nooksWithin, opsForMovingBin, opsForRetiringNook, placeOf } from './relocate';
