export { type Box, type DrawnShelf, type FrontView, layOutFront } from './frontView';
