export { fetchLabelFonts, pagesPdf } from './labelsPdf';
export { PrintListButton } from './PrintListButton';
