export {
  type ClearOutState,
  clearOutState,
  disposalCaution,
  listText,
  planFinish,
  planVerdict,
  suggestHome,
} from './clearOut';
export { binsNeeded, groupThings, lotsWithin } from './grouping';
