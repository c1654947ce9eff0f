export { beginPdf, pagesPdf } from './labelsPdf';
export { PrintListButton } from './PrintListButton';
