export { BulkDialog } from './BulkDialog';
export { DueRow, LowRow } from './DueRow';
export { ItemDialog } from './ItemDialog';
export { LotDialog } from './LotDialog';
