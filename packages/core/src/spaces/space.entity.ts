import {
  defineEntity,
  added,
  code,
  decimal,
  length,
  listOf,
  longText,
  mass,
  oneOf,
  orNull,
  record,
  text,
  within,
  yesNo,
  type Holds,
} from '../definition';
import { LARGEST_LENGTH_TENTH_MM } from '../base';
import { sort } from './room.entity';

export const SPACE_KINDS = [
  'storage_rack',
  'closet',
  'cupboard',
  'chest_freezer',
  'upright_freezer',
  'refrigerator',
  'drawer_unit',
  'medicine_cupboard',
  'vehicle',
  'other',
] as const;
export type SpaceKind = (typeof SPACE_KINDS)[number];

/** By what the things of a space are grouped. */
export const GROUPINGS = [
  'kind',
  'season',
  'colour',
  'room',
  'person',
  'symptom',
  'subject',
  'alphabet',
  'order',
  'frequency',
] as const;
export type GroupBy = (typeof GROUPINGS)[number];

/** A measure inside a build or a plan: may have a fraction where it was computed. */
export const measure = decimal(0, LARGEST_LENGTH_TENTH_MM);

/** A pipe, a hump, a hinge: from the left wall, the foot and the front edge of the space. */
const obstacle = record({
  kind: oneOf('pipe', 'hump', 'hinge'),
  leftTenthMm: measure,
  bottomTenthMm: measure,
  frontTenthMm: measure,
  widthTenthMm: measure,
  heightTenthMm: measure,
  depthTenthMm: measure,
});
export type BuildObstacle = Holds<typeof obstacle>;

/** How a space is built, beyond its outline; whatever was not measured is null. */
const spaceBuild = record({
  /** Of each corner post, front to back. */
  postDepthTenthMm: orNull(length(0)),
  /** The free way in through the door frame. */
  openingWidthTenthMm: orNull(length()),
  openingHeightTenthMm: orNull(length()),
  hinge: orNull(oneOf('left', 'right', 'none')),
  holePitchTenthMm: orNull(length()),
  /** From the foot of the space to the lowest hole. */
  firstHoleTenthMm: orNull(length(0)),
  boardTenthMm: orNull(length()),
  loadGrams: orNull(mass),
  obstacles: listOf(obstacle, 20),
  school: orNull(oneOf(...GROUPINGS)),
});
export type SpaceBuild = Holds<typeof spaceBuild>;

export const space = defineEntity('space', {
  fields: {
    roomId: within('room'),
    name: text(1, 120),
    kind: oneOf(...SPACE_KINDS),
    code,
    widthTenthMm: orNull(length()),
    heightTenthMm: orNull(length()),
    depthTenthMm: orNull(length()),
    /** Width of each upright of a rack, or of each side wall. */
    postWidthTenthMm: orNull(length()),
    locked: yesNo,
    note: longText(2000),
    sort,
    build: added(orNull(spaceBuild)),
    /** Its foot over the floor, where it hangs; null: as its kind usually does. */
    footTenthMm: added(orNull(length(0))),
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: (row) => `${row.name} ${row.code}`,
});
