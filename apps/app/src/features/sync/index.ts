export { connectionWords } from './words';
