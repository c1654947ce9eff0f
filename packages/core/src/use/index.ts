export { readDigest, writeDigest } from './digestText';
export { dayNumberOf, effectOf, type EventContext, noteEvent, noteLot, type UseEvent } from './noteUse';
export {
  addScaled,
  BLOCK_DAYS,
  BLOCKS,
  blockOf,
  bookOf,
  carryOn,
  copyOfDigest,
  COUNTS,
  emptyDigest,
  firstDayOf,
  GAP,
  IN,
  netOf,
  OTHER,
  USED,
  type UseCell,
  type UseDigest,
  type UseSeries,
  WINDOW_DAYS,
} from './useDigest';
