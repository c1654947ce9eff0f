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
export { type ListRow, listRows } from './listRows';
export {
  opsForPlaceRow,
  type PlaceChange,
  type PlaceRow,
  placeRows,
  type PlaceRowProblem,
  type PlaceSide,
} from './placeRows';
export { opsForImport } from './importOps';
