export {
  type ClearOutState,
  clearOutState,
  disposalCaution,
  listText,
  opsForFinishing,
  opsForVerdict,
  suggestHome,
} from './clearOut';
export { binsNeeded, groupThings, lotsWithin } from './grouping';
