export { columnsOfHead, meaningOf, STOCK_COLUMNS, type StockColumn } from './columns';
export {
  dateIn,
  type DateOrder,
  dateOrderOf,
  type DecimalMark,
  decimalMarkOf,
  type TableHabit,
  numberIn,
} from './habits';
export {
  type ImportHabits,
  type ImportHome,
  type ImportItem,
  type ImportLot,
  type RowDoes,
  type RowProblem,
  type RowReading,
  StockImport,
} from './importStock';
export {
  opsForPast,
  pastColumns,
  type PastColumn,
  type PastDeed,
  type PastEvent,
  type PastHome,
  PastReader,
  type PastRow,
  type PastRowProblem,
  type PastUse,
} from './historyRows';
export { type ListRow, listRows } from './listRows';
export {
  opsForPlaceRow,
  type PlaceChange,
  type PlaceRow,
  placeRows,
  type PlaceRowProblem,
  type PlaceSide,
  type PlaceTable,
} from './placeRows';
export { placeSortOf, placeSortWord, type PlaceSort } from './placeKinds';
export { type NewPlace, opsForNewPlaces } from './placeTree';
export { opsForImport } from './importOps';
