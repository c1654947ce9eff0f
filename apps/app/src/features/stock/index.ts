export { BulkDialog } from './BulkDialog';
export { DueRow, LowRow } from './DueRow';
export { ItemDialog } from './ItemDialog';
export { LotDialog } from './LotDialog';
export { LendDialog, type GoingOut } from './LendDialog';
export { useBringBack } from './useBringBack';
export { LotList } from './LotList';
