import {
  defineEntity,
  added,
  code,
  day,
  decimal,
  length,
  listOf,
  oneOf,
  orNull,
  record,
  text,
  weakRef,
  whole,
  within,
  yesNo,
  type Holds,
} from '../definition';
import { sort } from './room.entity';
import { measure } from './space.entity';

export const BIN_LOOKS = ['see_through', 'woven', 'slatted', 'closed', 'kept_free'] as const;
export type BinLook = (typeof BIN_LOOKS)[number];

/** Where a bin stands beyond its left edge: its distance from the front edge, on what it is lifted, how far it is turned. */
const standing = record({ frontTenthMm: measure, liftTenthMm: measure, degrees: decimal(0, 180) });

/** How full it is, as somebody saw it or a scale showed, and when. */
const level = record({ percent: whole(0, 100), seenOn: day, how: oneOf('seen', 'weighed') });

/** How often something is taken out, in the home's own words. */
export const HOW_OFTEN = ['daily', 'weekly', 'monthly', 'season', 'hardly'] as const;
export type HowOften = (typeof HOW_OFTEN)[number];

/** Who takes from it, how often, and where it is used. */
const handling = record({
  /** Null: as its things were taken, or a guess. */
  often: orNull(oneOf(...HOW_OFTEN)),
  /** Empty: every grown person alike. */
  personIds: listOf(weakRef('person'), 20),
  /** Where its things are used; null: in the room where it stands. */
  roomId: orNull(weakRef('room')),
});
export type Handling = Holds<typeof handling>;

export const bin = defineEntity('bin', {
  fields: {
    shelfId: within('shelf'),
    /** The bin this one stands in, or null when it stands on the shelf itself. */
    parentBinId: orNull(within('bin')),
    name: text(1, 120),
    look: oneOf(...BIN_LOOKS),
    hasLid: yesNo,
    code,
    sort,
    leftTenthMm: orNull(length(0)),
    widthTenthMm: orNull(length()),
    heightTenthMm: orNull(length()),
    depthTenthMm: orNull(length()),
    tags: listOf(text(1, 60), 40),
    /** On its label, in place of its name; null: its name. */
    labelWords: added(orNull(text(1, 60))),
    /** The type it is one of. */
    containerId: added(orNull(weakRef('container'))),
    standing: added(orNull(standing)),
    level: added(orNull(level)),
    handling: added(orNull(handling)),
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: (row) => `${row.name} ${row.code}`,
  sitsIn: (row) => [row.parentBinId ?? row.shelfId],
});
