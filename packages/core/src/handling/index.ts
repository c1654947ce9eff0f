export { footOf, handlingHome } from './handlingHome';
export {
  type Climate,
  type HandlingHome,
  type HandlingShelf,
  type HandlingUnit,
  PACES_UNKNOWN,
  PACES_WITHIN,
  pacesBetween,
  type Stray,
  wayKey,
} from './handlingTypes';
export { againstPurpose, takesItem } from './shelfPurpose';
export { type Belonging, Belongings, type NewThing } from './whereBelongs';
export { takingsOf } from './takings';
export { isChemical, isFlammable, isGuarded, type Purpose, purposeOf } from './kindOf';
export { Placement, priceByTerm, priceOf, strayMinutes, sumOf, UNIT_TERMS, type UnitPrice } from './Placement';
export { placementBound } from './placementBound';
export {
  bandAt,
  carryingMinutes,
  footOfBand,
  liftMinutes,
  openingSeconds,
  REACH_BANDS,
  type ReachBand,
  type Reacher,
  reacherOf,
  reachSeconds,
  type TakenFrom,
  UNKNOWN_REACHER,
  weightMinutes,
} from './reach';
export { layRow, type Row, type RowBody, type RowShelf, type RowSpot } from './shelfRow';
export { HANDLING, OFTEN } from './weights';
export { type Larger, LARGER_SAVES_MINUTES, LargerSearch } from './rearrange';
export { onlySpaces } from './onlySpaces';
export { type Carry, findMoves, mostHelpful, type MovesAnswer, MoveSearch, type ProposedMove } from './moves';
export {
  errandsOf,
  factsOf,
  isOpen,
  leaveOf,
  opsForAccepting,
  opsForErrand,
  opsForLeaving,
  opsForPuttingBack,
  savedBy,
  type Step,
  stepsOf,
  whereIs,
} from './errands';
export { climateOf } from './strays';
