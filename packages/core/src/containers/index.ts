export {
  containerGrams,
  FILL_SHARE,
  footShare,
  HAND_ROOM_TENTH_MM,
  innerVolumeMl,
  insideOf,
  LEAST_SIDE_TENTH_MM,
  MOST_STACKED,
  stackCount,
} from './container';
export { CONTAINER_COLUMNS, containerFromRow, containerToRow } from './containerTable';
