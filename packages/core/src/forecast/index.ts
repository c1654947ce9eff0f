export { type EstimateOptions, estimateUse, type UseEstimate, type UsePrior, USUAL_PRIOR } from './estimateUse';
export {
  chanceToLast,
  daysAhead,
  type DaysAhead,
  enoughFor,
  FARTHEST_DAYS,
  GUESS_BELOW,
  hasPace,
  isGuess,
  type Keeping,
  runOutDay,
  usableIn,
  usedAtMost,
  useIn,
  usualDays,
  wantsCount,
} from './runOut';
export { type ComingLevel, comingStock, type PastDay, pastStock } from './course';
export { type Presence, readUseDays } from './useDays';
export { type DatedUnits, expectedLoss, lostAtPace } from './waste';
export { estimateItem, HomeEstimates, type UsedItem } from './HomeEstimates';
export { dayNumber, presenceOf } from './presence';
