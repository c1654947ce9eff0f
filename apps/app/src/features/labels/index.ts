export { beginPdf, fetchLabelFonts, pagesPdf } from './labelsPdf';
export { PrintListButton } from './PrintListButton';
