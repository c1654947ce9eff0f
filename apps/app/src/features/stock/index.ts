export { DueRow, LowRow } from './DueRow';
export { ItemDialog } from './ItemDialog';
export { LotDialog } from './LotDialog';
export {
  MADE_WORDS,
  amountWords,
  dateWords,
  dueMark,
  dueWords,
  lotAmountWords,
  onHandWords,
  sizeWords,
  usualStep,
} from './words';
