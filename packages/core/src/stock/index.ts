export { type DueLot, type LowItem, type NookSummary, stockOf } from './StockView';
export { bulkOfLot, bulkOfNook } from './contents';
export { fileUpright, foldedSize, stackFlat } from './folding';
export {
  DISCARD_REASONS,
  type DiscardReason,
  lotFieldsOf,
  oldestFirst,
  type PlanContext,
  planCount,
  planDiscard,
  planFreeze,
  planMove,
  planOpen,
  planPutIn,
  planTake,
  planThaw,
  planThawAll,
} from './stockPlans';
