export { type Drift, driftOf, opsForPuttingRight, opsForTakingOver } from './drift';
export { roundsCalendar } from './calendar';
export { READY_MADE, type ReadyMade } from './readyMade';
export { dueDays, nextDue, type RhythmProblem, rhythmProblem } from './rhythm';
export { opsForAfresh, opsForCarrying, opsForTick, opsForUntick } from './roundOps';
export { homeElsewhere, REFILL_KEY, type RoundStep, stepsOfRound } from './steps';
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
