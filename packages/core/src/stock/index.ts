export { type DoubleWhy, type LikelyDouble, likelyDoubles, type MergeProblem, opsForMerging } from './doubles';
export { amountByWeight, opsForLevel } from './levels';
export { type RecalledLot, recalledLots } from './recall';
export { opsAfterOutage, type OutageLot, outageLots } from './outageOps';
export { canDecant, opsForDecanting } from './decanting';
export { fittingBySize, type SetCount, setCount } from './sets';
export { type DueLot, type LowItem, type NookSummary, stockOf } from './StockView';
export { bulkOfLot, bulkOfNook } from './contents';
export { type KnownShape, shapeMl, shapeOf, sidesOf, usualShape } from './shapes';
export { fileUpright, foldedSize, stackFlat } from './folding';
export {
  DISCARD_REASONS,
  type DiscardReason,
  eventOp,
  lotFieldsOf,
  oldestFirst,
  type OpContext,
  opsForCondition,
  opsForCounting,
  opsForCountingAll,
  opsForDiscarding,
  opsForFreezing,
  opsForMoving,
  opsForOpening,
  opsForPuttingIn,
  opsForTaking,
  opsForThawing,
  opsForThawingAll,
  opsForUsing,
} from './stockOps';
export { lostWithUnit, opsForUnit, type UnitChange } from './changeUnit';
export { opsForSplitting, type SplitPart } from './splitThing';
export { type AmountProblem, eachOf } from './takeOver';
