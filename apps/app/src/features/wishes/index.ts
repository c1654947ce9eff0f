export { Wishes } from './Wishes';
