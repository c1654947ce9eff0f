export { LooksDialog } from './LooksDialog';
