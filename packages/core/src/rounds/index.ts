export { recordedOfKind } from './backlog';
export { type Drift, driftOf } from './drift';
export { opsForPuttingRight, opsForTakingOver, strayHomes, straysHere } from './driftOps';
export { type CalendarHolding, homeCalendar } from './calendar';
export { READY_MADE, type ReadyMade } from './readyMade';
export { comingsOf, dueDays, nextDue, type RhythmProblem, rhythmProblem } from './rhythm';
export { opsForAfresh, opsForBookedStep, opsForTick, opsForUntick } from './roundOps';
export { homeElsewhere, PILL_KEY, REFILL_KEY, type RoundStep, stepsOfRound, SWAP_KEY } from './steps';
export { choiceOfRule, isDateOfSomeYear, type Nth, NTHS, ONCE, type RuleChoice, ruleOfChoice } from './ruleChoice';
export {
  AFRESH_FROM,
  type RoundNow,
  roundNow,
  roundsNow,
  STRIP_DAYS,
  stepsDone,
  ticksOf,
  type Turn,
  type TurnState,
} from './turns';
export { opsForSwappingPlaces, type SwapProblem, swapProblem } from './swap';
export { opsForNotingShare, type Share, shareInPlace, sharesByWeek } from './inPlace';
