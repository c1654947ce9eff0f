export { fetchLabelFonts, pagesPdf } from './labelsPdf';
