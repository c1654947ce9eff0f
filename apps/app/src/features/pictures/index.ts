export { PhotoStrip } from './PhotoStrip';
