export { opsForSettling } from './ready';
