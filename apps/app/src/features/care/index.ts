export { PillBoxDialog } from './PillBoxDialog';
