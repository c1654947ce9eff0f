export { BulkDialog } from './BulkDialog';
export { DueRow, LowRow } from './DueRow';
export { ItemDialog } from './ItemDialog';
export { LotDialog } from './LotDialog';
export { LendDialog, type GoingOut } from './LendDialog';
export { useBringBack } from './useBringBack';
export { amountProblemWords, unitTyped } from './unitWords';
export { NO_UNIT, UnitFields, unitSaid, type UnitTyped } from './UnitFields';
export { LotList } from './LotList';
