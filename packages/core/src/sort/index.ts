export {
  type ClearOutState,
  clearOutState,
  disposalCaution,
  opsForFinishing,
  opsForVerdict,
  suggestHome,
} from './clearOut';
export { likelyVerdict, type LikelyVerdict } from './likelyVerdict';
export {
  binsNeeded,
  groupId,
  type GroupKey,
  groupOf,
  groupThings,
  type KnownGroup,
  lotsWithin,
  type ThingGroup,
  wordsOfGroup,
} from './grouping';
