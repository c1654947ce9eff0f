export {
  type ClearOutState,
  clearOutState,
  disposalCaution,
  opsForFinishing,
  opsForVerdict,
  suggestHome,
} from './clearOut';
export { likelyVerdict, type LikelyVerdict } from './likelyVerdict';
export { binsNeeded, groupThings, lotsWithin } from './grouping';
