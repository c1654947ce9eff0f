export {
  type ClearOutState,
  clearOutState,
  disposalCaution,
  listText,
  opsForFinishing,
  opsForVerdict,
  suggestHome,
} from './clearOut';
export { likelyVerdict, type LikelyVerdict } from './likelyVerdict';
export { binsNeeded, groupThings, lotsWithin } from './grouping';
