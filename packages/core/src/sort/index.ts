export {
  type ClearOutState,
  clearOutState,
  disposalCaution,
  opsForFinishing,
  opsForVerdict,
  suggestHome,
} from './clearOut';
export { likelyVerdict, type LikelyVerdict } from './likelyVerdict';
export { binsNeeded, groupThings, type GroupKey, type KnownGroup, lotsWithin, type ThingGroup } from './grouping';
