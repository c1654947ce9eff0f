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
} from '../definition';
import { sort } from './room.entity';
import { measure } from './space.entity';

export const BIN_LOOKS = ['see_through', 'woven', 'slatted', 'closed', 'kept_free'] as const;
export type BinLook = (typeof BIN_LOOKS)[number];

/** Where a bin stands beyond its left edge: its distance from the front edge, on what it is lifted, how far it is turned. */
const standing = record({ frontTenthMm: measure, liftTenthMm: measure, degrees: decimal(0, 180) });

/** How full it is, as somebody saw it or a scale showed, and when. */
const level = record({ percent: whole(0, 100), seenOn: day, how: oneOf('seen', 'weighed') });

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
    /** The type it is one of. */
    containerId: added(orNull(weakRef('container'))),
    standing: added(orNull(standing)),
    level: added(orNull(level)),
  },
  retire: 'when_empty',
  writtenBy: 'member',
  title: (row) => `${row.name} ${row.code}`,
  sitsIn: (row) => [row.parentBinId ?? row.shelfId],
});
