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
export { opsForImport } from './importOps';
