export { PATTERN_WORDS } from './words';
