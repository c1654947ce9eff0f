export { type Contradiction, findContradictions, readingsAgree } from './contradictions';
export {
  BARE_SHELF_BUILD,
  BARE_SPACE_BUILD,
  type MeasureAnswer,
  type MeasureQuestion,
  measureQuestions,
  opsForMeasuring,
  opsForMovingShelf,
  restingHeight,
} from './measureQuestions';
export {
  asShelfAbove,
  neededQuestions,
  opsForFollowing,
  opsForHeights,
  readHeights,
  type RunningHeights,
  surfacesOf,
} from './measureShort';
