export { type Clearances, clearances, type PlaceProblem, placeProblem, snapped } from './clearances';
export { type Compartment, roomMl, type StandingBody } from './compartment';
export { type ContainerFit, fitContainer, type FitNote, type FitReason } from './fitContainer';
export { goesInto, type InsideSize, sidesUp, SQUEEZED } from './goesInto';
export { packInOrder, type PackPiece, searchPacking } from './packRectangles';
export { countSame } from './sameContainers';
export { EmptyShelf, ShelfFloor } from './shelfFloor';
export { bestShelfHoles, holeOf, type HolePattern, surfaceAt } from './shelfHeights';
export type { SlantedRow } from './slantedRow';
export {
  BOARD_TENTH_MM,
  frameOf,
  modelSpace,
  plainRoom,
  roomOver,
  type ShelfFrame,
  type ShelfModel,
  type SpaceModel,
} from './spaceModel';
