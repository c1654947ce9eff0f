export { ScanButton } from './ScanButton';
export { ScansAnywhere } from './ScansAnywhere';
